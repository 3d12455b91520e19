package record

// Sliver is one thin cut, mm (trade: 1 mm is typical).
const Sliver = 1.0

// Judgement (ours).
const (
	doubtLengths = 3.0 // times the usual length, beyond which a length is asked for again

	mostNote       = 2000
	mostTick       = 40
	longestMinutes = 600.0 // of a sitting
	LeastCut       = 0.05  // the thinnest cut that can be recorded, mm: one touch of a grinder
	MostCuts       = 60    // a nail
)
