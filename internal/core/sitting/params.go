package sitting

// Judgement (ours).
const (
	aloneShare = 0.5 // of what a dog takes, when a helper is wanted and nobody is there
	walkStrain = 1.0 // mean strain from which a walk first is advised
	restDays   = 3   // from one day of a spread plan to the next with a dog that is frightened
	WalkFirst  = 15  // minutes of it (trade: allow a quarter of an hour)
)

// mostPast is how many of a dog's last sittings say how it takes them: what it took years ago says
// little of today (judgement).
const mostPast = 40

// noon parts the halves of a day, the hour.
const noon = 12

// hardStrain is the mean strain at one paw over a dog's last sittings, 0 calm to 4 snapping, from which on it must
// not be met tired (judgement).
const hardStrain = 2

// shortest is what a visit takes at the least, minutes: a dog is greeted, and let go with a word (judgement).
const shortest = 10
