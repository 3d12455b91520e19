package quick

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/estimate"
)

// The closed forms against a Runge–Kutta integration of the two equations themselves.
func TestDriftIsTheIntegral(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := Drift{rapid.Float64Range(0.1, 2).Draw(t, "rate"), 0, Follow{rapid.Float64Range(0.02, 0.5).Draw(t, "pull"), rapid.Float64Range(1, 5).Draw(t, "rest")}}
		start, weeks := rapid.Float64Range(0, 8).Draw(t, "start"), rapid.Float64Range(0.1, 12).Draw(t, "weeks")
		spare, quick := start, 0.0
		const steps = 200
		h := weeks / steps
		slope := func(m float64) float64 { return d.Rate - d.Pull*(m-d.Rest) }
		for range steps {
			a := slope(spare)
			b := slope(spare + h*a/2)
			c := slope(spare + h*b/2)
			e := slope(spare + h*c)
			grown := h * (a + 2*b + 2*c + e) / 6
			spare += grown
			quick += d.Rate*h - grown
		}
		if got := d.After(Spare{Mean: start}, weeks).Mean; math.Abs(got-spare) > 1e-6 {
			t.Fatalf("spare %v, by integration %v", got, spare)
		}
		if got := d.Move(start, weeks); math.Abs(got-quick) > 1e-6 {
			t.Fatalf("quick moved %v, by integration %v", got, quick)
		}
		if even := d.BreakEven(start); even > 0 && math.Abs(d.Move(start, even)) > 1e-6 {
			t.Fatalf("at break-even of %v weeks the quick moves %v", even, d.Move(start, even))
		}
	})
}

// A run of trims gives back the rate that made it, exactly where its ends are known, and within
// its own deviation where cuts and ends are only about right.
func TestARunOfTrimsTellsItsRate(t *testing.T) {
	noise := rand.New(rand.NewPCG(9, 9))
	within := 0
	const runs = 400
	for range runs {
		d := Drift{0.4 + noise.Float64(), 0, UsualFollow(1)}
		start := Spare{3, 1}
		spare := start.Mean + start.SD*noise.NormFloat64()
		run, exact := RunFrom(start), RunFrom(Spare{Mean: spare})
		for range 6 {
			weeks, left := 1+2*noise.Float64(), 1+0.3*noise.NormFloat64()
			spare = d.After(Spare{Mean: spare}, weeks).Mean
			off := spare - left
			spare = left
			run = run.Trim(d.Follow, weeks, off+0.3*noise.NormFloat64(), 0.3)
			exact = exact.Trim(d.Follow, weeks, off, 0)
		}
		rate, _ := exact.Rate(Spare{Mean: spare})
		require.InDelta(t, d.Rate, rate, 1e-9)
		if rate, sd := run.Rate(Spare{spare + 0.4*noise.NormFloat64(), 0.4}); math.Abs(rate-d.Rate) < 1.6449*sd {
			within++
		}
	}
	assert.InDelta(t, 0.9*runs, within, 24, "four standard deviations of a count of 400")
}

// The worked example of docs/model.md, section E; and: weekly draws the quick back, fortnightly a
// little, four weeks about holds, six weeks lets it grow out (common practice, no source).
func TestRhythmsMoveTheQuickAsTheTradeSays(t *testing.T) {
	d := Drift{1, 0, UsualFollow(1)}
	for weeks, move := range map[float64]float64{1: -0.142, 2: -0.175, 4: 0.044} {
		assert.InDelta(t, move, d.Move(1, weeks), 0.0005)
	}
	assert.InDelta(t, 3.76, d.BreakEven(1), 0.005)
	assert.Less(t, d.Move(1, 1), d.Move(1, 2)/2, "a week draws back more than a fortnight")
	assert.Greater(t, d.Move(1, 6), 0.3)
	assert.Zero(t, d.BreakEven(3), "with so much left it grows whatever the rhythm")
}

// swings of a dog whose quick follows in its own way, seen to a quarter of a millimetre.
func swings(own Follow, n int, noise *rand.Rand) []Swing {
	var all []Swing
	for i := range n {
		s := Swing{Weeks: float64(1 + i%5), Start: 0.6 + 0.1*float64(i%7), SD: 0.25, Rate: 1}
		s.End = Drift{1, 0, own}.After(Spare{Mean: s.Start}, s.Weeks).Mean + 0.25*noise.NormFloat64()
		all = append(all, s)
	}
	return all
}

func TestHabitIsLearntFromWhatTheDogDoes(t *testing.T) {
	noise := rand.New(rand.NewPCG(3, 1))
	own := Follow{0.16, 2.2}
	h := LearnHabit(1, 0.02, swings(own, 300, noise), 25)
	assert.Equal(t, estimate.Learnt, h.Pull.Source)
	assert.True(t, h.Pull.Low < own.Pull && own.Pull < h.Pull.High, "%v", h.Pull)
	assert.True(t, h.Rest.Low < own.Rest && own.Rest < h.Rest.High, "%v", h.Rest)
	usual := LearnHabit(1, 0.02, nil, 25)
	assert.Less(t, h.Rest.High-h.Rest.Low, usual.Rest.High-usual.Rest.Low)
}

func TestFewSittingsLeaveTheUsualHabit(t *testing.T) {
	h := LearnHabit(1.2, 0.1, swings(Follow{0.3, 1}, 100, rand.New(rand.NewPCG(1, 1))), 7)
	assert.Equal(t, estimate.Assumed, h.Pull.Source)
	assert.Equal(t, UsualFollow(1.2), h.Follow())
	assert.Less(t, h.Pull.Low, h.Pull.Value)
	assert.Greater(t, h.Rest.High, h.Rest.Value)
}

// A rate that may be wrong looks like another rest: the less it is known, the less the usual rest
// holds a dog's own records back.
func TestAnUncertainRateLeavesTheRestOpen(t *testing.T) {
	rest := func(rateSD float64, seen []Swing) estimate.Estimate { return LearnHabit(1, rateSD, seen, 25).Rest }
	sure, unsure := rest(0.01, nil), rest(0.3, nil)
	assert.Greater(t, unsure.High-unsure.Low, sure.High-sure.Low)
	few := swings(Follow{0.1, 6}, 8, rand.New(rand.NewPCG(5, 1)))
	assert.Greater(t, rest(0.3, few).Value, rest(0.01, few).Value)
}

// Habits drawn from what is believed of them lie within the 90 % range nine times in ten.
func TestHabitIsCalibrated(t *testing.T) {
	noise := rand.New(rand.NewPCG(7, 7))
	const dogs = 300
	pulls, rests := 0, 0
	for range dogs {
		own := Follow{pull * math.Exp(pullSD*noise.NormFloat64()), restShare + restSD*noise.NormFloat64()}
		h := LearnHabit(1, 0.001, swings(own, 60, noise), 20)
		if h.Pull.Low <= own.Pull && own.Pull <= h.Pull.High {
			pulls++
		}
		if h.Rest.Low <= own.Rest && own.Rest <= h.Rest.High {
			rests++
		}
	}
	assert.InDelta(t, 0.9*dogs, pulls, 21, "four standard deviations of a count of 300")
	assert.InDelta(t, 0.9*dogs, rests, 21)
}
