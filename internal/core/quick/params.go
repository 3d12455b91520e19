package quick

const (
	// Prior of the spare of a nail with no history, as shares of its length (judgement).
	priorMeanShare = 0.25
	priorSDShare   = 0.12

	// seenSD is how well a quick seen through the horn is placed, mm (judgement).
	seenSD = 0.4

	// pull is how fast the quick follows the nail, per week (judgement, set so that weekly work
	// draws it back, fortnightly a little, four weeks about holds, six weeks lets it grow out;
	// those four are trade).
	pull = 0.1

	// restShare is the spare at which the quick neither grows nor draws back, mm for a dog of
	// size factor 1 (judgement, set with pull).
	restShare = 3.0

	// Margin is how much spare a trim leaves in front of the quick, mm (judgement).
	Margin = 1.0
)
