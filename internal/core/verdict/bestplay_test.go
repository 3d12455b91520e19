package verdict_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/hand"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// oneNail is a nail as both players find it.
type oneNail struct{ mean, sd float64 }

const (
	deep = quick.SignsDepth
	rest = 1.5 // mm that may stay without a price: there the first sign shows
)

// best is the best play on such a nail, finely.
func best(n oneNail, price practice.Prices) func(off float64, last quick.Face) float64 {
	return practice.BestPlay{
		Spare: quick.Spare{
			Mean: n.mean,
			SD:   n.sd,
		},
		Colour: nail.Dark,
		Scale:  1,
		Stop:   quick.Full,
		Rest:   rest,
		Thick:  []float64{0.3, 0.5, 0.75, 1, 1.5, 2},
		Prices: price,
		Step:   0.05,
		Hidden: 0.1,
		Scales: 7,
	}.Choose()
}

// play works many such nails by a way of choosing the next cut.
func play(n oneNail, next func(w verdict.Worked) float64) tally {
	r := rand.New(rand.NewPCG(27, 9))
	var all tally
	for range 6000 {
		left, scale := math.Max(0.05, n.mean+n.sd*r.NormFloat64()), quick.DrawScale(r.Float64())
		w := verdict.Worked{
			Belief: quick.NewBelief(18, deep, nail.Dark, quick.Gamma{Mean: n.mean, SD: n.sd}, quick.UsualScales()),
			Depth:  deep,
			Known:  true,
		}
		one := tally{nails: 1}
		for mm := next(w); mm > 0; mm = next(w) {
			left -= math.Max(0.02, mm+hand.Slices{}.SD(mm)*r.NormFloat64())
			face := quick.DrawFace(nail.Dark, left, scale, r.Float64())
			w.Cuts, w.Last = w.Cuts+1, face
			if left <= 0 || face == quick.Blood {
				one.bled = 1
				break
			}
			w.Belief.Cut(mm, face)
		}
		one.cuts = []int{w.Cuts}
		if one.bled == 0 {
			one.left = []float64{left}
		}
		all.add(one)
	}
	return all
}

func (t tally) meanLeft() float64 {
	sum := 0.0
	for _, mm := range t.left {
		sum += mm / float64(len(t.left))
	}
	return sum
}

func TestTheRuleBesideTheBestPlay(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	t.Parallel()
	n := oneNail{4.5, 0.9} // of a dog at four weeks that is known
	row := func(name string, got tally, beside string) {
		cuts, nine := got.perNail()
		told(
			t,
			fmt.Sprintf(
				"| %s | %.1f | %.1f | %d | %.2f | %s |",
				name,
				got.perThousand(),
				cuts,
				nine,
				got.meanLeft(),
				beside,
			),
		)
	}
	rule := play(n, func(w verdict.Worked) float64 { return verdict.Next(w, usual).MM })
	row("the rule, usual", rule, "")
	row("the rule, careful", play(n, func(w verdict.Worked) float64 { return verdict.Next(w, careful).MM }), "")
	for _, blood := range []float64{600, 1800, 6000} {
		price := practice.Prices{Cut: 3, LeftMM: 60, Blood: blood}
		choose := best(n, price)
		got := play(n, func(w verdict.Worked) float64 { return choose(w.Belief.Removed(), w.Last) })
		dearer := costs(price, rule) / costs(price, got)
		assert.LessOrEqual(t, dearer, 1.1)
		row(fmt.Sprintf("the best play, blood worth %g minutes", blood/60), got, fmt.Sprintf("%.2f", dearer))
	}
}

// costs is what a nail cost on the mean.
func costs(p practice.Prices, t tally) float64 {
	cuts, _ := t.perNail()
	cost := p.Cut*cuts + p.Blood*t.perThousand()/1000
	for _, mm := range t.left {
		cost += p.LeftMM * math.Max(0, mm-rest) / float64(t.nails)
	}
	return cost
}
