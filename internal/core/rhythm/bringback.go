package rhythm

import (
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Plan is how a long quick is to be brought back: a rhythm kept until every trimmed nail clears
// the floor.
type Plan struct {
	Rhythm  Rhythm
	Started date.Date
	Goal    float64     // gap at which a trimmed nail is to stand, mm
	Steps   []Step      // its sittings, the first on the first day
	Never   bool        // it does not get there at this rhythm
	Holding []nail.Code // the nails that do not, when it never does
}

// Step is one sitting of a plan, as it is expected.
type Step struct {
	On    date.Date
	Quick float64 // where the quick ends on the mean toe, mm, once trimmed
	Gap   float64 // of the lowest trimmed nail, mm
}

// BringBack follows the sittings of a rhythm until every trimmed toe stands goal mm clear of the
// floor. There must be a nail.
func BringBack(nails []Start, r Rhythm, start date.Date, goal float64, work Work) Plan {
	nails = slices.Clone(nails)
	p := Plan{Rhythm: r, Started: start, Goal: goal}
	live(nails, r, work, func(day, _ int, sat bool) bool {
		if day > 7*mostWeeks {
			p.Never, p.Steps = true, nil
			return false
		}
		if !sat {
			return true
		}
		least := math.Inf(1)
		p.Holding = nil
		for _, n := range nails {
			if n.Code.Dewclaw() {
				continue
			}
			gap := n.gap()
			least = math.Min(least, gap)
			if gap < goal {
				p.Holding = append(p.Holding, n.Code)
			}
		}
		if math.IsInf(least, 1) { // nothing but dewclaws: nothing is to be lifted
			least = goal
		}
		p.Steps = append(p.Steps, Step{start.AddDays(day), meanQuick(nails), least})
		return len(p.Holding) > 0
	})
	return p
}

// Done is the day on which the plan gets there; no date when it never does.
func (p Plan) Done() date.Date {
	if p.Never {
		return date.Date{}
	}
	return p.Steps[len(p.Steps)-1].On
}

// Back is how far the quick of the mean toe is to draw back, mm.
func (p Plan) Back() float64 {
	if p.Never {
		return 0
	}
	return p.Steps[0].Quick - p.Steps[len(p.Steps)-1].Quick
}

// Track is where a plan stands.
type Track string

const (
	Reached Track = "reached"  // every trimmed nail clears the floor
	OnTrack Track = "on_track" // about where it should be
	Behind  Track = "behind"
	Early   Track = "early" // too soon to tell
)

// Progress is a plan against what has come of it.
type Progress struct {
	Track    Track
	Back     float64 // that the quick of the mean toe has drawn back, mm
	Expected float64 // that it should have by now
	Held     int     // sittings since the plan began
	Due      int     // that it should have had by now
	Words    say.Line
}

// On compares the plan with the nails as they are: quick is where it ends on the mean toe, mm,
// gap the lowest nail's after the last trim, held the number of sittings since the plan began.
func (p Plan) On(today date.Date, nails []Start, gap float64, held int) Progress {
	g := Progress{Held: held, Back: p.Steps[0].Quick - meanQuick(nails)}
	for _, s := range p.Steps {
		if !s.On.After(today) {
			g.Due++
			g.Expected = p.Steps[0].Quick - s.Quick
		}
	}
	switch behind := g.Expected - g.Back; {
	case gap >= p.Goal && held > 0:
		g.Track, g.Words = Reached, say.Of(everyTrimmedNailClearsThe)
	case g.Held < g.Due-1:
		g.Track, g.Words = Behind, say.Of(
			ofTrimsWereHeldThe,
			say.Args{"held": say.Count(g.Held), "due": say.Whole(g.Due)},
		)
	case p.Back() < leastBack || g.Expected < leastBack/2:
		g.Track, g.Words = Early, say.Of(tooEarlyToTellFrom)
	case behind > offTrack*p.Back():
		g.Track, g.Words = Behind, say.Of(theQuickDrawsBackMore)
	default:
		g.Track, g.Words = OnTrack, say.Of(theQuickDrawsBackAs)
	}
	return g
}
