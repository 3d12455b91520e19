package due

const (
	// worthCut is the least that is worth a cut, mm beyond the margin (judgement).
	worthCut = 0.5

	// soonest is the least wait between two sittings, weeks: no rhythm in use is shorter than
	// every other day (trade). Without it a nail left touching would be due the day after.
	soonest = 2.0 / 7

	// farWeeks is where a date stops meaning anything: ten years (judgement). Beyond it a rule says never.
	farWeeks = 520

	// MostMargin is the largest margin in front of the quick that can be chosen, mm (judgement).
	MostMargin = 5.0

	// MostWishedGap is the largest floor gap that can be wished for, mm (judgement).
	MostWishedGap = 10.0
)
