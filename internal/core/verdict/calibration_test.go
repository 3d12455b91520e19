package verdict_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"slices"
	"strings"
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
	"fribbet/internal/sampled"
)

var (
	careful = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Careful, Most: 2}
	usual   = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Usual, Most: 2}
	full    = verdict.Terms{Stop: quick.Full, Limit: verdict.Usual, Most: 2} // a groomer's
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

func toy(r *rand.Rand) growth.Where     { return small(r, 1.5, 6) }
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

// Beside the program: what a hand does by the eye alone, in the same worlds.
func TestAHandAloneBleedsMore(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
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
		told(
			t,
			fmt.Sprintf(
				"| %g mm slivers until the first sign | %.0f | %.0f | %.2f |",
				mm,
				first.perThousand(),
				later.perThousand(),
				later.median(),
			),
		)
	}
}

func TestFirstSittingsRarelyBleed(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
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
			told(
				t,
				fmt.Sprintf(
					"| %s | %.1f | %.1f | %.2f | %.0f %% |",
					c.name,
					got.perThousand(),
					got.toldPerThousand(),
					got.median(),
					100*float64(got.much)/float64(max(1, got.long)),
				),
			)
		})
	}
}

// kind is some hands and dogs over forty weeks, and what is asked of them.
type kind struct {
	name    string
	as      way
	world   virtual.World
	draw    func(*rand.Rand) growth.Where
	caliper bool
	weeks   []int
	most    float64 // nails of 1000 that may bleed
	within  float64 // times what was told, or 1.5 of 1000
	cuts    map[int]float64
	nine    int // cuts at most, on nine nails in ten
}

// ofSize is those terms with that largest cut, mm.
func ofSize(t verdict.Terms, mm float64) verdict.Terms {
	t.Most = mm
	return t
}

func TestFortyWeeksRarelyBleed(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	all, late := []int{1, 2, 4}, virtual.World{Later: 0.7}
	thick := virtual.World{CutTimes: 1.4, CutShare: 0.35}
	press, steps := map[int]float64{1: 3.2, 2: 4.4, 4: 5.6}, map[int]float64{1: 3.6, 2: 4.9, 4: 6.3}
	onePress, oneStep := map[int]float64{1: 3.6, 2: 5.2, 4: 7}, map[int]float64{1: 3.6, 2: 5.2, 4: 7}
	two, milder := []int{2, 4}, virtual.World{Milder: 0.3}
	toys := map[int]float64{1: 5, 2: 7, 4: 10}
	any := map[int]float64{1: 5, 2: 8, 4: 12}
	for i, k := range []kind{
		{"careful, step by step", way{terms: careful}, virtual.World{}, somewhere, false, all, 3, 2, steps, 11},
		{"careful, one press a nail", way{terms: careful, press: true}, virtual.World{}, somewhere, false, all, 3, 2, press, 8},
		{"usual, step by step", way{terms: usual}, virtual.World{}, somewhere, false, all, 5, 2, steps, 11},
		{"usual, one press a nail", way{terms: usual, press: true}, virtual.World{}, somewhere, false, all, 5, 2, press, 8},
		{"as far as it goes, step by step", way{terms: full}, virtual.World{}, somewhere, false, all, 5, 2, steps, 11},
		{"as far as it goes, one press a nail", way{terms: full, press: true}, virtual.World{}, somewhere, false, all, 5, 2, press, 8},
		// lengths make the spare too sure,
		{"usual, step by step, caliper", way{terms: usual}, virtual.World{}, somewhere, true, all, 5, 2.5, steps, 11},
		{"usual, one press a nail, caliper", way{terms: usual, press: true}, virtual.World{}, somewhere, true, all, 5, 2.5, press, 8},
		{"careful, step by step, largest cut 1 mm", way{terms: ofSize(careful, 1)}, virtual.World{}, somewhere, false, all, 3, 2, oneStep, 12},
		{"careful, one press a nail, largest cut 1 mm", way{terms: ofSize(careful, 1), press: true}, virtual.World{}, somewhere, false, all, 3, 2, onePress, 11},
		{"1.5 to 6 kg: careful, step by step", way{terms: careful}, virtual.World{}, toy, false, all, 4.5, 2, toys, 20},
		{"1.5 to 6 kg: usual, step by step", way{terms: usual}, virtual.World{}, toy, false, all, 6, 2, toys, 20},
		{"1.5 to 6 kg: usual, one press a nail", way{terms: usual, press: true}, virtual.World{}, toy, false, all, 4.5, 2, map[int]float64{1: 4.2, 2: 5.6, 4: 7}, 12},
		{"its millimetre is 1.4 and uneven, nobody knows: usual, step by step", way{terms: usual}, thick, somewhere, false, all, 13, 6, steps, 11},
		{"its millimetre is 1.4 and uneven, measured: usual, step by step", way{terms: usual, stick: true}, thick, somewhere, false, all, 5, 2, steps, 11},
		{"its millimetre is 1.4 and uneven, nobody knows: usual, one press a nail", way{terms: usual, press: true}, thick, somewhere, false, all, 13, 6, press, 9},
		{"its millimetre is 1.4 and uneven, measured: usual, one press a nail", way{terms: usual, press: true, stick: true}, thick, somewhere, false, all, 5, 2, press, 8},
		{"three ends in ten taken for milder, nobody knows: careful, step by step", way{terms: careful}, milder, somewhere, false, two, 7, 4, toys, 12},
		{"three ends in ten taken for milder, practised: careful, step by step", way{terms: careful, eye: true}, milder, somewhere, false, two, 4, 2, toys, 12},
		{"three ends in ten taken for milder, nobody knows: usual, one press a nail", way{terms: usual, press: true}, milder, somewhere, false, two, 10, 6, onePress, 9},
		{"three ends in ten taken for milder, practised: usual, one press a nail", way{terms: usual, press: true, eye: true}, milder, somewhere, false, two, 5, 2, onePress, 9},
		{"signs 30 % later: usual, step by step", way{terms: usual}, late, somewhere, false, []int{2, 4}, 10, 5, any, 20},
		{"signs 30 % later: usual, one press a nail", way{terms: usual, press: true}, late, somewhere, false, []int{2, 4}, 10, 6, any, 12},
		{"signs 30 % later: as far as it goes, one press a nail", way{terms: full, press: true}, late, somewhere, false, []int{2, 4}, 10, 5, any, 12},
		{"signs 30 % later, 5 to 8 kg: usual, one press a nail", way{terms: usual, press: true}, late, smaller, false, []int{2, 4}, 12, 4, any, 20},
		{"signs 30 % later, 5 to 8 kg: as far as it goes, one press a nail", way{terms: full, press: true}, late, smaller, false, []int{2, 4}, 12, 4, any, 20},
		{"signs 30 % later, 5 to 8 kg: as far as it goes, step by step", way{terms: full}, late, smaller, false, []int{2, 4}, 15, 4, any, 25},
	} {
		for j, weeks := range k.weeks {
			name := fmt.Sprintf("%s | %d weeks", k.name, weeks)
			t.Run(name, func(t *testing.T) {
				t.Parallel()
				sampled.Row(t, i+j)
				all, early, late := fortyWeeks(t, k.world, k.draw, weeks, k.caliper, 2*(6+8*weeks), k.as)
				cuts, nine := all.perNail()
				assert.LessOrEqual(t, all.perThousand(), k.most)
				assert.LessOrEqual(t, all.perThousand(), k.within*max(1.5, all.toldPerThousand()), "what was told")
				assert.LessOrEqual(
					t,
					late.perThousand(),
					early.perThousand()+max(3, 3*early.offBeside(late)),
					"no more in the last ten weeks than in the first, give or take what chance makes of so many nails",
				)
				assert.LessOrEqual(t, cuts, k.cuts[weeks])
				assert.LessOrEqual(t, nine, k.nine)
				if !k.as.press {
					all.useful(t)
				}
				told(
					t,
					fmt.Sprintf(
						"| %s | %.1f | %.1f | %.1f | %.1f | %.1f | %d | %.2f | %.0f %% |",
						name,
						all.perThousand(),
						all.toldPerThousand(),
						early.perThousand(),
						late.perThousand(),
						cuts,
						nine,
						all.median(),
						100*float64(all.much)/float64(max(1, all.long)),
					),
				)
			})
		}
	}
}

// told wants a row to stand on the page in docs, to the digit.
func told(t *testing.T, row string) {
	t.Helper()
	page, err := os.ReadFile("../../../docs/calibration.md")
	require.NoError(t, err)
	assert.True(t, strings.Contains(string(page), row), "docs/calibration.md lacks %s", row)
}
