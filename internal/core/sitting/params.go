package sitting

// Judgement (ours).
const (
	aloneShare = 0.5 // of what a dog takes, when a helper is wanted and nobody is there
	walkStrain = 1.0 // mean strain from which a walk first is advised
	restDays   = 3   // from one day of a spread plan to the next with a dog that is frightened
	WalkFirst  = 15  // minutes of it (trade: allow a quarter of an hour)
)
