package due

// Rhythm is how often a dog is done at the latest: the ceiling of the school its keeper follows.
type Rhythm string

const (
	EveryOtherDay Rhythm = "every_other_day" // to drive a long quick back
	TwiceAWeek    Rhythm = "twice_a_week"    // the same
	Weekly        Rhythm = "weekly"          // grinding, or tiny tips
	Fortnightly   Rhythm = "fortnightly"     // the usual home advice
	FourWeeks     Rhythm = "four_weeks"      // the general ceiling
)

// Rhythms lists them, most frequent first.
func Rhythms() []Rhythm {
	return []Rhythm{EveryOtherDay, TwiceAWeek, Weekly, Fortnightly, FourWeeks}
}

// Days is the rhythm's longest interval in days (common practice, no source); 0 for an unknown rhythm.
func (r Rhythm) Days() float64 {
	return map[Rhythm]float64{EveryOtherDay: 2, TwiceAWeek: 3.5, Weekly: 7, Fortnightly: 14, FourWeeks: 28}[r]
}

// isUp says that the rhythm's interval has passed.
func (r Rhythm) isUp() string {
	return map[Rhythm]string{
		EveryOtherDay: "two days are up", TwiceAWeek: "half a week is up", Weekly: "a week is up",
		Fortnightly: "two weeks are up", FourWeeks: "four weeks are up",
	}[r]
}
