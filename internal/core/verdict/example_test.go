package verdict_test

import (
	"fmt"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

// A keeper's next cut on a known dark nail, before and after its end showed a dark centre.
func ExampleNext() {
	terms := verdict.For(quick.AtFirstSign, kit.SomeHand, true, false)
	w := verdict.Worked{
		Belief: quick.NewBelief(15, 7, nail.Dark, quick.Gamma{Mean: 4, SD: 0.9}, quick.UsualScales()),
		Depth:  7,
		Known:  true,
	}
	step := verdict.Next(w, terms)
	fmt.Printf("%s %.2f mm: %s\n", step.Action, step.MM, wordstest.Of(step.Because))
	w.Belief.Cut(step.MM, quick.DarkCentre)
	w.Cuts, w.Last = 1, quick.DarkCentre
	step = verdict.Next(w, terms)
	fmt.Printf("%s: %s\n", step.Action, wordstest.Of(step.Because))
	// Output:
	// sliver 0.50 mm: the tip first, then look at the end
	// stop: the first sign shows, and you stop there
}
