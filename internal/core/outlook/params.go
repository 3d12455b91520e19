package outlook

import "math"

// warnTurn before it curls, a dewclaw is warned of (judgement).
const warnTurn = 25 * math.Pi / 180
