package bench

import "time"

// Judgement (ours).
const (
	mostMeasure = 80.0 // mm
	mostNote    = 2000
	// of a sitting: a giant’s nails, sixty touches each, each told with its face, are half of it
	mostEvents   = 5000
	longest      = 4 * time.Hour // beyond this the end was forgotten: no minutes are learnt from it
	doubtSDs     = 5.0           // from what is believed, beyond which a landmark is asked for again
	leastDoubtSD = 0.5           // mm: nobody tells a landmark better
	mostMinutes  = 6000.0        // of a sitting
)

// Blood is how long a bleeding nail is held before anybody looks, and after how long it has usually
// stopped: later it is a veterinarian's (common practice, no source).
const (
	BloodHold  = 60 * time.Second
	BloodStops = 4 * time.Minute
)

// littlePavement is the km a week under which pavement files hardly anything (judgement).
const littlePavement = 3
