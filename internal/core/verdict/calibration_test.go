package verdict_test

import (
	"fmt"
	"math/rand/v2"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

var (
	careful = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Careful, Hand: kit.NewHand}
	usual   = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Usual, Hand: kit.NewHand}
	full    = verdict.Terms{Stop: quick.Full, Limit: verdict.Usual, Hand: kit.PractisedHand} // a groomer's
)

// hands is how real hands and dogs differ from the model: one face in twenty is read one step
// wrong, each cut is off by a fifth, and every dog's quick follows in its own way.
func hands(w virtual.World) virtual.World {
	w.Misread, w.CutShare, w.PullSD = 0.05, 0.2, 0.3
	return w
}

// tally is what came of some nails.
type tally struct {
	nails, bled int
	told        float64 // chances that were told, added up
	left        []float64
	long, much  int // nails with over 3 mm of spare, and of these, those left with over 2.5
}

func (t *tally) add(o tally) {
	t.nails, t.bled, t.told = t.nails+o.nails, t.bled+o.bled, t.told+o.told
	t.left = append(t.left, o.left...)
	t.long, t.much = t.long+o.long, t.much+o.much
}

func (t tally) perThousand() float64 { return 1000 * float64(t.bled) / float64(t.nails) }
func (t tally) toldPerThousand() float64 {
	return 1000 * t.told / float64(t.nails)
}
func (t tally) median() float64 {
	slices.Sort(t.left)
	return t.left[len(t.left)/2]
}

// useful: safe and useless would be easy. Few nails with plenty of spare may be left with most of it.
func (t tally) useful(tt *testing.T) {
	tt.Helper()
	assert.Less(tt, t.median(), 1.75)
	assert.Less(tt, 4*t.much, t.long)
}

func standard(r *rand.Rand) []state.Nail {
	colour := nail.Dark
	if r.Float64() < 0.25 {
		colour = nail.Light
	}
	var nails []state.Nail
	for _, c := range nail.All() {
		if c.Standard() {
			nails = append(nails, state.Nail{Code: c, Colour: colour, Shape: nail.Usual})
		}
	}
	return nails
}

func somewhere(r *rand.Rand) growth.Where {
	return growth.Where{Age: 60 + 400*r.Float64(), Weight: 6 + 34*r.Float64(), Pavement: 10 * r.Float64()}
}

// way is how a nail is worked and told: step by step, or in one press.
type way struct {
	terms verdict.Terms
	press bool // so many slivers, each looked at, and only the end's face told
}

// after is how the dog is worked so many sittings after one at which it bled.
func (w way) after(dry int) way {
	if dry < 2 {
		w.terms = verdict.For(w.terms.Stop, w.terms.Hand, w.terms.Limit == verdict.Careful, true)
	}
	return w
}

// nail works one nail to its end by the verdict, and tells the state of it.
func (w way) nail(d *virtual.Dog, s *state.State, i int) tally {
	n := d.Nails[i]
	t := tally{nails: 1}
	start := n.Spare
	work := state.Work{}
	b := s.Belief(i, n.Form, work)
	worked := verdict.Worked{Belief: b, Depth: n.Form.Depth, Known: s.Worked(i)}
	first := verdict.Next(worked, w.terms)
	if first.Action == verdict.Ask {
		mark := quick.Seen{Mark: quick.Groove, Spare: max(0, n.Spare+d.Error())}
		work.Landmarks = []quick.Seen{mark}
		b.See(mark)
		worked.Reads = true
		first = verdict.Next(worked, w.terms)
	}
	for step := first; step.Action == verdict.Sliver; { // the risk of each sliver, as it was when it was taken
		t.told += step.Risk
		face := d.Cut(i, step.MM)
		c := state.Slice{MM: step.MM}
		if face == quick.Blood {
			t.bled, work.Blood = 1, true
			work.Cuts = append(work.Cuts, c)
			break
		}
		if w.press {
			work.EndFace = face
		} else {
			c.Face = face
		}
		work.Cuts = append(work.Cuts, c)
		b.Cut(step.MM, face)
		worked.Cuts, worked.Last = len(work.Cuts), face
		next := verdict.Next(worked, w.terms)
		if w.press { // the hand goes on by the eye alone, and tells only how it ended
			mm := first.Going
			if face == quick.Grey {
				mm = min(mm, verdict.Thin(n.Form.Depth))
			}
			next.Action, next.MM, next.Risk = verdict.Sliver, mm, max(b.Bleeds(mm), b.Risk(mm))
			if len(work.Cuts) >= first.Slivers || face.FirstSign() || face.Ends() {
				if !face.FirstSign() || w.terms.Stop == quick.AtFirstSign {
					break
				}
				w.press = false // from the sign to the dot it goes step by step, by what was told
				work.EndFace, work.Cuts[len(work.Cuts)-1].Face = "", face
				b = s.Belief(i, n.Form, work)
				worked.Belief = b
				next = verdict.Next(worked, w.terms)
			}
		}
		step = next
	}
	s.Work(i, n.Form, work)
	if !work.Blood {
		t.left = append(t.left, d.Nails[i].Spare)
		if start > 3 {
			t.long = 1
			if d.Nails[i].Spare > 2.5 {
				t.much = 1
			}
		}
	}
	return t
}

// firstSittings are dogs of which nothing is known but their size.
func firstSittings(w virtual.World, trimmed *float64, as way) tally {
	r := rand.New(rand.NewPCG(40, 1))
	var all tally
	for range 600 {
		where, nails := somewhere(r), standard(r)
		d := virtual.Draw(r, hands(w), where, nails, trimmed)
		s := state.Prior(where, nails, nil)
		for i := range nails {
			all.add(as.nail(d, &s, i))
		}
	}
	return all
}

// fortyWeeks is one dog after the other over forty weeks at one rhythm; the first and the last ten apart.
func fortyWeeks(weeks int, caliper bool, dogs int, as way) (all, early, late tally) {
	r := rand.New(rand.NewPCG(40, 2))
	for range dogs {
		as.fortyWeeks(r, somewhere(r), virtual.World{}, weeks, caliper, func(week int, t tally) {
			all.add(t)
			if week < 10 {
				early.add(t)
			}
			if week >= 30 {
				late.add(t)
			}
		})
	}
	return all, early, late
}

// fortyWeeks works one dog that was trimmed one rhythm before, and tells of every nail that was worked.
func (w way) fortyWeeks(r *rand.Rand, where growth.Where, world virtual.World, weeks int, caliper bool, each func(week int, t tally)) {
	nails, ago := standard(r), float64(weeks)
	d := virtual.Draw(r, hands(world), where, nails, &ago)
	s := state.Prior(where, nails, &ago)
	dry := 2 // sittings since the last one at which a nail bled
	for week := 0; week < 40; week += weeks {
		if week > 0 {
			s.Grow(d.Where, float64(weeks))
			d.Grow(float64(weeks))
		}
		as, bled := w.after(dry), 0
		for i, n := range d.Nails {
			if caliper {
				s.SeeLength(i, d.Measured(i))
			}
			if !verdict.Worth(s.Spare(i).Mean, n.Form.Depth, 1) {
				continue
			}
			t := as.nail(d, &s, i)
			bled += t.bled
			each(week, t)
		}
		if dry++; bled > 0 {
			dry = 0
		}
	}
}

// alone is a hand that takes slivers of mm until the first sign, and asks nobody.
func alone(d *virtual.Dog, i int, mm float64) tally {
	t := tally{nails: 1}
	for {
		face := d.Cut(i, mm*verdict.Size(d.Nails[i].Form.Depth))
		if face == quick.Blood {
			t.bled = 1
			return t
		}
		if face.FirstSign() || face.Ends() {
			t.left = []float64{d.Nails[i].Spare}
			return t
		}
	}
}

// Beside the program: what a hand does by the eye alone, in the same worlds.
func TestAHandAloneBleedsMore(t *testing.T) {
	t.Parallel()
	for _, mm := range []float64{1, 0.5} {
		var first, later tally
		r := rand.New(rand.NewPCG(40, 3))
		for range 50 {
			where, nails := somewhere(r), standard(r)
			d := virtual.Draw(r, hands(virtual.World{}), where, nails, nil)
			for week := 0; week < 40; week += 2 {
				for i := range nails {
					one := alone(d, i, mm)
					if week == 0 {
						first.add(one)
					}
					later.add(one)
				}
				d.Grow(2)
			}
		}
		assert.Greater(t, later.perThousand(), 10.0)
		told(t, fmt.Sprintf("| %g mm slivers until the first sign | %.0f | %.0f | %.2f |", mm, first.perThousand(), later.perThousand(), later.median()))
	}
}

func TestFirstSittingsRarelyBleed(t *testing.T) {
	week := 1.0
	for _, c := range []struct {
		name    string
		world   virtual.World
		trimmed *float64
		most    float64
	}{
		{"nothing known but the size", virtual.World{}, nil, 6},
		{"trimmed a week ago, and nobody said so", virtual.World{}, &week, 20},
		{"spares 30 % shorter than is usual", virtual.World{Shorter: 0.7}, nil, 20},
		{"faces show 30 % later", virtual.World{Later: 0.7}, nil, 15},
	} {
		t.Run(c.name, func(t *testing.T) {
			t.Parallel()
			got := firstSittings(c.world, c.trimmed, way{terms: careful})
			assert.LessOrEqual(t, got.perThousand(), c.most)
			got.useful(t)
			told(t, fmt.Sprintf("| %s | %.1f | %.1f | %.2f | %.0f %% |", c.name, got.perThousand(), got.toldPerThousand(), got.median(), 100*float64(got.much)/float64(max(1, got.long))))
		})
	}
}

func TestFortyWeeksRarelyBleed(t *testing.T) {
	for _, c := range []struct {
		name string
		as   way
		most float64
	}{
		{"careful, step by step", way{terms: careful}, 3},
		{"careful, one press a nail", way{careful, true}, 3},
		{"usual, step by step", way{terms: usual}, 5},
		{"usual, one press a nail", way{usual, true}, 5},
		{"as far as it goes, one press a nail", way{full, true}, 5},
	} {
		for _, weeks := range []int{1, 2, 4} {
			for _, caliper := range []bool{false, true} {
				name := fmt.Sprintf("%s | %d weeks | %s", c.name, weeks, map[bool]string{true: "caliper", false: "no"}[caliper])
				t.Run(name, func(t *testing.T) {
					t.Parallel()
					all, early, late := fortyWeeks(weeks, caliper, 3*(6+8*weeks), c.as)
					assert.LessOrEqual(t, all.perThousand(), c.most)
					assert.LessOrEqual(t, all.perThousand(), 2*max(1.5, all.toldPerThousand()), "within twice what was told")
					assert.LessOrEqual(t, late.perThousand(), early.perThousand()+2, "no more in the last ten weeks than in the first")
					if !c.as.press {
						all.useful(t)
					}
					told(t, fmt.Sprintf("| %s | %.1f | %.1f | %.1f | %.1f | %.2f | %.0f %% |", name, all.perThousand(), all.toldPerThousand(),
						early.perThousand(), late.perThousand(), all.median(), 100*float64(all.much)/float64(max(1, all.long))))
				})
			}
		}
	}
}

// Dogs of 5 to 8 kg whose signs show 30 % later, fortnightly over forty weeks: where one press to the dot hurt most.
func TestSmallDogsWhoseSignsShowLate(t *testing.T) {
	for _, c := range []struct {
		name string
		as   way
	}{{"usual, one press a nail", way{usual, true}}, {"as far as it goes, one press a nail", way{full, true}}, {"as far as it goes, step by step", way{full, false}}} {
		t.Run(c.name, func(t *testing.T) {
			t.Parallel()
			var all tally
			r := rand.New(rand.NewPCG(40, 9))
			for range 30 {
				where := growth.Where{Age: 60 + 400*r.Float64(), Weight: 5 + 3*r.Float64(), Pavement: 10 * r.Float64()}
				c.as.fortyWeeks(r, where, virtual.World{Later: 0.7}, 2, false, func(_ int, one tally) { all.add(one) })
			}
			assert.LessOrEqual(t, all.perThousand(), 12.0)
			assert.LessOrEqual(t, all.perThousand(), 2*all.toldPerThousand(), "within twice what was told")
			told(t, fmt.Sprintf("| late signs, 5 to 8 kg: %s | %.1f | %.1f | %.2f |", c.name, all.perThousand(), all.toldPerThousand(), all.median()))
		})
	}
}

// told wants a row to stand on the page in docs, to the digit.
func told(t *testing.T, row string) {
	t.Helper()
	page, err := os.ReadFile("../../../docs/calibration.md")
	require.NoError(t, err)
	assert.True(t, strings.Contains(string(page), row), "docs/calibration.md lacks %s", row)
}
