package dog

const (
	mostName     = 80
	mostMinutes  = 600.0 // of a sitting
	oldestYears  = 40
	mostWeeksAgo = 520.0 // that a dog was last done before it was entered
)

// usualPavement is what a dog is taken to walk on pavement, km a week (judgement).
const usualPavement = 5.0
