package due

import (
	"testing"

	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
)

// anyTrim is a trim of one nail with a dog about it.
func anyTrim(t *rapid.T) Trim {
	code := rapid.SampledFrom(nail.All()).Draw(t, "nail")
	shape := rapid.SampledFrom([]nail.Shape{nail.Straight, nail.Usual, nail.Hooked}).Draw(t, "shape")
	weight := rapid.Float64Range(1, 90).Draw(t, "kg")
	return Trim{
		On:       monday,
		Sat:      monday,
		Rhythm:   rapid.SampledFrom(rhythm.Rhythms()).Draw(t, "rhythm"),
		Workdays: date.Workdays{Weekdays: date.EveryDay},
		Weight:   weight,
		Margin:   1,
		Nails: []TrimmedNail{
			{
				Code: code,
				Claw: claw.Assumed(code, shape, weight),
				Gap:  rapid.Float64Range(0, 3).Draw(t, "gap"),
				Rate: growth.Rate{
					Mean: rapid.Float64Range(0.1, 2).Draw(t, "rate"),
					SD:   rapid.Float64Range(0, 0.5).Draw(t, "sd"),
				},
				Spare: rapid.Float64Range(0, 2).Draw(t, "spare"),
			},
		},
	}
}

func dueOf(t *rapid.T, trim Trim) date.Date {
	next, err := After(trim)
	if err != nil {
		t.Fatal(err)
	}
	return next.Earliest
}

func TestMoreOfAThingNeverMovesTheDateTheWrongWay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		trim := anyTrim(t)
		before := dueOf(t, trim)
		change := func(what string, how func(*TrimmedNail), right func(after date.Date) bool) {
			other := trim
			other.Nails = []TrimmedNail{trim.Nails[0]}
			how(&other.Nails[0])
			if after := dueOf(t, other); !right(after) {
				t.Fatalf("%s moved the date from %s to %s", what, before, after)
			}
		}
		change(
			"standing higher",
			func(n *TrimmedNail) { n.Gap += 0.5 },
			func(a date.Date) bool { return !a.Before(before) },
		)
		// But for a nail that is down again within the least wait (see Trim.again), which was not done here.
		change(
			"growing faster",
			func(n *TrimmedNail) { n.Rate.Mean += 0.2 },
			func(a date.Date) bool { return !a.After(before) },
		)
		change(
			"wishing a gap",
			func(n *TrimmedNail) { n.WishedGap = 0.3 },
			func(a date.Date) bool { return !a.After(before) },
		)
		change(
			"more spare",
			func(n *TrimmedNail) { n.Spare += 0.5 },
			func(a date.Date) bool { return !a.After(before) },
		)
	})
}

func TestAnotherNailNeverMakesADogDueLater(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		one, two := anyTrim(t), anyTrim(t)
		if one.Nails[0].Code == two.Nails[0].Code {
			t.Skip("the same nail")
		}
		alone := dueOf(t, one)
		one.Nails = append(one.Nails, two.Nails...)
		if both := dueOf(t, one); both.After(alone) {
			t.Fatalf("due %s with two nails, %s with one of them", both, alone)
		}
	})
}

// A dewclaw has no floor: nothing that the gap says can move it.
func TestTheFloorIsNothingToADewclaw(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		trim := anyTrim(t)
		if !trim.Nails[0].Code.Dewclaw() {
			t.Skip("a toe on the ground")
		}
		low := dueOf(t, trim)
		trim.Nails[0].Gap = 30
		if high := dueOf(t, trim); high != low {
			t.Fatalf("a dewclaw is due %s or %s by its gap", low, high)
		}
	})
}
