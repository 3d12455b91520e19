package verdict_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/hand"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// The best play on one dark nail, by dynamic programming backwards from all that may come off (Bellman 1957, Dynamic
// Programming): it knows how the faces show, how far the hand is off and what the spare may be, and weighs time, horn
// left too long and blood. It goes by what came off so far and by the last face: earlier faces are forgotten, so the
// very best may be a little better still.

// prices are seconds, or what is worth as much.
type prices struct{ cut, leftMM, blood float64 }

// oneNail is a nail as both players find it.
type oneNail struct{ mean, sd float64 }

const (
	deep  = quick.SignsDepth
	apart = 0.05 // mm between two states
	rest  = 1.5  // mm that may stay without a price: there the first sign shows
)

var (
	thicknessesPlayed = []float64{0.3, 0.5, 0.75, 1, 1.5, 2}
	facesPlayed       = append([]quick.Face{""}, quick.Faces(nail.Dark)...) // none at first; blood is last
)

// shows are the chances of each face where so much is left, over how early this dog's faces may show.
func shows() func(left, scale float64) []float64 {
	known := map[[2]int][]float64{}
	return func(left, scale float64) []float64 {
		key := [2]int{int(math.Round(left / apart)), int(math.Round(scale * 1000))}
		if p, is := known[key]; is {
			return p
		}
		p := make([]float64, len(facesPlayed))
		const draws = 200
		for u := range draws {
			face := quick.DrawFace(nail.Dark, float64(key[0])*apart, scale, (float64(u)+0.5)/draws)
			if left <= 0 {
				face = quick.Blood
			}
			for i, f := range facesPlayed {
				if f == face {
					p[i] += 1.0 / draws
				}
			}
		}
		known[key] = p
		return p
	}
}

// oneMove is a cut that may be taken: what it costs at once, blood among it, and how likely each face shows then.
type oneMove struct {
	mm, cost float64
	to       int // off by then
	shows    []float64
}

// moves are what may be done once so much is off and that face showed: to stop, at a price, or one of the cuts. This is
// all that a play which goes by these two knows, so that the best of it is that of a Markov decision process.
type moves struct {
	stop [][]float64
	cuts [][][]oneMove
}

// solved is the best play, backwards from all that may come off (Bellman 1957): what each place costs, and the thickness
// to take there, 0 to stop.
func (m moves) solved() (value, choice [][]float64) {
	states := len(m.stop)
	value, choice = make([][]float64, states), make([][]float64, states)
	for r := states - 1; r >= 0; r-- {
		value[r], choice[r] = append([]float64(nil), m.stop[r]...), make([]float64, len(m.stop[r]))
		for f, cuts := range m.cuts[r] {
			for _, c := range cuts {
				cost := c.cost
				for g, p := range c.shows {
					cost += p * value[c.to][g]
				}
				if cost < value[r][f] {
					value[r][f], choice[r][f] = cost, c.mm
				}
			}
		}
	}
	return value, choice
}

// movesOn are those on a nail.
func movesOn(n oneNail, price prices) (m moves) {
	show, states := shows(), int(8/apart)
	var scales []float64
	for k := range 7 {
		scales = append(scales, quick.DrawScale((float64(k)+0.5)/7))
	}
	type hidden struct{ left, chance, scale float64 }
	m.stop, m.cuts = make([][]float64, states), make([][][]oneMove, states)
	for r := range states {
		m.stop[r], m.cuts[r] = make([]float64, len(facesPlayed)), make([][]oneMove, len(facesPlayed))
		off := float64(r) * apart
		left := distuv.Normal{Mu: n.mean - off, Sigma: math.Sqrt(n.sd*n.sd + 0.05*off)} // what each cut was off by is in it
		for f := range facesPlayed[:len(facesPlayed)-1] {
			var all []hidden
			sum := 0.0
			for x := 0.05; x < 8; x += 0.1 {
				for _, scale := range scales {
					chance := left.Prob(x)
					if f > 0 {
						chance *= show(x, scale)[f]
					}
					all, sum = append(all, hidden{x, chance, scale}), sum+chance
				}
			}
			for _, h := range all {
				m.stop[r][f] += h.chance / sum * math.Max(0, h.left-rest) * price.leftMM
			}
			if sum < 1e-12 || facesPlayed[f].Ends() {
				continue
			}
			for _, mm := range thicknessesPlayed {
				c := oneMove{mm: mm, cost: price.cut, to: r + int(math.Round(mm/apart)), shows: make([]float64, len(facesPlayed))}
				if c.to >= states {
					break
				}
				sd := hand.Slices{}.SD(mm)
				for _, h := range all {
					if h.chance < 1e-9*sum {
						continue
					}
					for _, z := range []float64{-1.22, 0, 1.22} { // three points of a normal (Gauss-Hermite)
						weight := h.chance / sum * map[bool]float64{true: 2.0 / 3, false: 1.0 / 6}[z == 0]
						then := h.left - math.Max(0.02, mm+z*math.Sqrt2*sd)
						for g, p := range show(then, h.scale) {
							if facesPlayed[g] == quick.Blood {
								c.cost += weight * p * price.blood
							} else {
								c.shows[g] += weight * p
							}
						}
					}
				}
				m.cuts[r][f] = append(m.cuts[r][f], c)
			}
		}
	}
	return m
}

// best is the thickness to take after so many steps have come off and that face, 0 to stop.
func best(n oneNail, price prices) func(off float64, last quick.Face) float64 {
	_, choice := movesOn(n, price).solved()
	return func(off float64, last quick.Face) float64 {
		for f, face := range facesPlayed {
			if r := int(math.Round(off / apart)); face == last && r < len(choice) {
				return choice[r][f]
			}
		}
		return 0
	}
}

// cheapest is what the best of all plays costs, each played out to its end: every way to decide at every place.
func (m moves) cheapest() float64 {
	type place struct{ r, f int }
	var places []place
	for r := range m.stop {
		for f := range m.stop[r] {
			if len(m.cuts[r][f]) > 0 {
				places = append(places, place{r, f})
			}
		}
	}
	least := math.Inf(1)
	decided := map[place]int{} // which cut; 0 stops
	var played func(at place) float64
	played = func(at place) float64 {
		if decided[at] == 0 {
			return m.stop[at.r][at.f]
		}
		c := m.cuts[at.r][at.f][decided[at]-1]
		cost := c.cost
		for g, p := range c.shows {
			if p > 0 {
				cost += p * played(place{c.to, g})
			}
		}
		return cost
	}
	var decide func(k int)
	decide = func(k int) {
		if k == len(places) {
			least = min(least, played(place{}))
			return
		}
		for way := range len(m.cuts[places[k].r][places[k].f]) + 1 {
			decided[places[k]] = way
			decide(k + 1)
		}
	}
	decide(0)
	return least
}

// On small grids the best play worked out backwards costs what the best of all plays costs.
func TestTheBestPlayIsTheBestOfAllPlays(t *testing.T) {
	r := rand.New(rand.NewPCG(33, 1))
	for range 60 {
		const states, faces = 4, 3
		m := moves{make([][]float64, states), make([][][]oneMove, states)}
		for at := range states {
			m.stop[at], m.cuts[at] = make([]float64, faces), make([][]oneMove, faces)
			for f := range faces {
				m.stop[at][f] = 10 * r.Float64()
				for thick := 1; thick <= 2 && at+thick < states; thick++ {
					c := oneMove{mm: float64(thick), cost: r.Float64(), to: at + thick, shows: make([]float64, faces)}
					blood := 0.3 * r.Float64()
					c.cost += 20 * blood
					a, b := r.Float64(), r.Float64()
					low, high := min(a, b), max(a, b)
					c.shows[0], c.shows[1], c.shows[2] = (1-blood)*low, (1-blood)*(high-low), (1-blood)*(1-high)
					m.cuts[at][f] = append(m.cuts[at][f], c)
				}
			}
		}
		value, _ := m.solved()
		assert.InDelta(t, m.cheapest(), value[0][0], 1e-9)
	}
}

// play works many such nails by a way of choosing the next cut.
func play(n oneNail, next func(w verdict.Worked) float64) tally {
	r := rand.New(rand.NewPCG(27, 9))
	var all tally
	for range 6000 {
		left, scale := math.Max(0.05, n.mean+n.sd*r.NormFloat64()), quick.DrawScale(r.Float64())
		w := verdict.Worked{Belief: quick.NewBelief(18, deep, nail.Dark, quick.Gamma{Mean: n.mean, SD: n.sd}, quick.UsualScales()), Depth: deep, Known: true}
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
		told(t, fmt.Sprintf("| %s | %.1f | %.1f | %d | %.2f | %s |", name, got.perThousand(), cuts, nine, got.meanLeft(), beside))
	}
	rule := play(n, func(w verdict.Worked) float64 { return verdict.Next(w, usual).MM })
	row("the rule, usual", rule, "")
	row("the rule, careful", play(n, func(w verdict.Worked) float64 { return verdict.Next(w, careful).MM }), "")
	for _, blood := range []float64{600, 1800, 6000} {
		price := prices{cut: 3, leftMM: 60, blood: blood}
		choose := best(n, price)
		got := play(n, func(w verdict.Worked) float64 { return choose(w.Belief.Removed(), w.Last) })
		dearer := price.of(rule) / price.of(got)
		assert.LessOrEqual(t, dearer, 1.1)
		row(fmt.Sprintf("the best play, blood worth %g minutes", blood/60), got, fmt.Sprintf("%.2f", dearer))
	}
}

// of is what a nail cost on the mean.
func (p prices) of(t tally) float64 {
	cuts, _ := t.perNail()
	cost := p.cut*cuts + p.blood*t.perThousand()/1000
	for _, mm := range t.left {
		cost += p.leftMM * math.Max(0, mm-rest) / float64(t.nails)
	}
	return cost
}
