package verdict_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/growth"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

// hands is how real hands and dogs differ from the model: one face in twenty is read one step
// wrong, each cut is off by a fifth, and every dog's quick follows in its own way.
func hands(w virtual.World) virtual.World {
	w.Misread, w.PullSD = 0.05, 0.3
	if w.CutShare == 0 {
		w.CutShare = 0.2
	}
	return w
}

// tally is what came of some nails.
type tally struct {
	nails, bled int
	told        float64 // chances that were told, added up
	left        []float64
	cuts        []int
	long, much  int // nails with over 3 mm of spare, and of these, those left with over 2.5
}

func (t *tally) add(o tally) {
	t.nails, t.bled, t.told = t.nails+o.nails, t.bled+o.bled, t.told+o.told
	t.left = append(t.left, o.left...)
	t.cuts = append(t.cuts, o.cuts...)
	t.long, t.much = t.long+o.long, t.much+o.much
}

func (t tally) perThousand() float64 { return 1000 * float64(t.bled) / float64(t.nails) }

// offBeside is how far chance alone sets two such tallies apart, one standard deviation, of a thousand nails.
func (t tally) offBeside(o tally) float64 {
	of := func(t tally) float64 { return float64(t.bled) / float64(t.nails*t.nails) }
	return 1000 * math.Sqrt(of(t)+of(o))
}

func (t tally) toldPerThousand() float64 {
	return 1000 * t.told / float64(t.nails)
}

func (t tally) median() float64 {
	slices.Sort(t.left)
	return t.left[len(t.left)/2]
}

// perNail is how many cuts a nail takes, on the mean, and at most on nine nails in ten.
func (t tally) perNail() (mean float64, nineInTen int) {
	slices.Sort(t.cuts)
	for _, n := range t.cuts {
		mean += float64(n) / float64(len(t.cuts))
	}
	return mean, t.cuts[len(t.cuts)*9/10]
}

// useful: safe and useless would be easy. Few nails with plenty of spare may be left with most of it.
func (t tally) useful(tt *testing.T) {
	tt.Helper()
	assert.Less(tt, t.median(), 1.75)
	assert.Less(tt, 4*t.much, t.long)
}

func standard(r *rand.Rand) []state.Traits {
	colour := nail.Dark
	if r.Float64() < 0.25 {
		colour = nail.Light
	}
	var nails []state.Traits
	for _, c := range nail.All() {
		if c.Standard() {
			nails = append(nails, state.Traits{Code: c, Colour: colour, Shape: nail.Usual})
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
	press bool // the plan's cuts, each looked at, and only the end's face told
	stick bool // ten of its slices were measured, on a picture
	eye   bool // its eye was practised, and is known
}

// measured is the same hand once ten of its slices were read off a picture.
func (w way) measured(tt require.TestingT, d *virtual.Dog, r *rand.Rand) way {
	if w.eye {
		w.terms.Slices.Milder = hand.Eye{Asked: 100, Milder: 32}.Share()
	}
	if !w.stick {
		return w
	}
	read := make([]measure.Number, 10)
	for i := range read {
		read[i] = measure.Number{MM: max(0.2, d.Slice(1)+0.14*r.NormFloat64()), By: measure.Photo, SD: 0.14}
	}
	learnt, err := hand.Learn(1, read)
	require.NoError(tt, err)
	w.terms.Slices = learnt.Slices
	return w
}

// after is how the dog is worked so many sittings after one at which it bled.
func (w way) after(dry int) way {
	if dry < 2 {
		w.terms.Limit, w.terms.Thin = verdict.Careful, true
	}
	return w
}

// slice is a cut as the state is told it: as the hand cuts, where that was measured.
func (w way) slice(mm float64) state.Slice {
	return state.Slice{MM: w.terms.Slices.True(mm), SD: w.terms.Slices.SD(mm)}
}

// nail works one nail to its end by the verdict, and tells the state of it.
func (w way) nail(d *virtual.Dog, s *state.State, i int) tally {
	n := d.Nails[i]
	t := tally{nails: 1}
	start := n.Spare
	work := state.Work{Milder: w.terms.Slices.Milder}
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
	cut := func(mm float64) quick.Face {
		face := d.Cut(i, mm)
		c := w.slice(mm)
		c.Face = face
		if face == quick.Blood {
			t.bled, work.Blood, c.Face = 1, true, ""
		}
		work.Cuts = append(work.Cuts, c)
		return face
	}
	step := first
	if w.press && first.Action == verdict.Sliver { // by the eye alone, as the plan says; only how it ended is told
		t.told += first.Plan.Chance
		var face quick.Face
		grey := false
		for mm := first.Plan.Next(0, face, grey); mm > 0; mm = first.Plan.Next(len(work.Cuts), face, grey) {
			face = cut(mm)
			grey = grey || face == quick.Grey
		}
		for k := range work.Cuts { // the screen counts the plan's cuts: that some were thinner nobody tells
			work.Cuts[k] = w.slice(first.Plan.Cuts[k])
		}
		if !work.Blood {
			work.EndFace = face
		}
		step = verdict.Step{Action: verdict.Stop}
		if face.FirstSign() && w.terms.Stop == quick.Full { // from the sign to the dot step by step, by what was told
			worked.Belief, worked.Cuts, worked.Last = s.Belief(i, n.Form, work), len(work.Cuts), face
			step = verdict.Next(worked, w.terms)
		}
		b = worked.Belief
	}
	for step.Action == verdict.Sliver { // the risk of each cut, as it was when it was taken
		t.told += step.Risk
		face := cut(step.MM)
		if face == quick.Blood {
			break
		}
		if work.EndFace != "" { // that of the press, before it
			work.Cuts[len(work.Cuts)-2].Face, work.EndFace = work.EndFace, ""
		}
		b.Cut(w.slice(step.MM).MM, face)
		worked.Cuts, worked.Last = len(work.Cuts), face
		step = verdict.Next(worked, w.terms)
	}
	if work.Blood {
		work.EndFace = ""
	}
	t.cuts = []int{len(work.Cuts)}
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

// small is a dog of so many kg, from least to most.
func small(r *rand.Rand, least, most float64) growth.Where {
	return growth.Where{Age: 60 + 400*r.Float64(), Weight: least + (most-least)*r.Float64(), Pavement: 10 * r.Float64()}
}

func toy(r *rand.Rand) growth.Where { return small(r, 1.5, 6) }

func smaller(r *rand.Rand) growth.Where { return small(r, 5, 8) }

// fortyWeeks is one dog after the other over forty weeks at one rhythm; the first and the last ten apart.
func fortyWeeks(
	tt require.TestingT,
	world virtual.World,
	draw func(*rand.Rand) growth.Where,
	weeks int,
	caliper bool,
	dogs int,
	as way,
) (all, early, late tally) {
	r := rand.New(rand.NewPCG(40, 2))
	for range dogs {
		as.fortyWeeks(tt, r, draw(r), world, weeks, caliper, func(week int, t tally) {
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
func (w way) fortyWeeks(
	tt require.TestingT,
	r *rand.Rand,
	where growth.Where,
	world virtual.World,
	weeks int,
	caliper bool,
	each func(week int, t tally),
) {
	nails, ago := standard(r), float64(weeks)
	d := virtual.Draw(r, hands(world), where, nails, &ago)
	s := state.Prior(where, nails, &ago)
	w = w.measured(tt, d, r)
	dry := 2 // sittings since the last one at which a nail bled
	for week := 0; week < 40; week += weeks {
		if week > 0 {
			s.Live(d.Where, float64(weeks))
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
