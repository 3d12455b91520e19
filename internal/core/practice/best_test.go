package practice

import (
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/worked"
)

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

// The best play stands beside each move of a nail that is over: it stops where the person's own sign shows, takes one
// of the cuts that are offered, and a hand that follows it bleeds rarely. It is worked out while one looks.
func TestTheBestPlayStandsBesideEachMove(t *testing.T) {
	bled, nails := 0, 45
	for number := 1; number <= nails; number++ {
		n := Exercise{[]Kind{Dark, Light, Toy}[number%3], 33, number}
		var moves []Move
		for {
			var best []float64
			took := worked.Time(t, func() {
				var err error
				best, err = room.Best(n, append(moves, Move{Stop: true}))
				require.NoError(t, err)
			})
			assert.Less(t, took, 2*time.Second)
			mm := best[len(moves)]
			if mm == 0 {
				break
			}
			moves = append(moves, Move{MM: mm})
			g, err := room.Play(n, moves)
			require.NoError(t, err)
			offered := false
			for _, b := range g.Blades() {
				offered = offered || b.MM == mm
			}
			assert.True(t, offered, "%g mm", mm)
			if g.Bled {
				bled++
				break
			}
		}
		g, err := room.Play(n, moves)
		require.NoError(t, err)
		if last := len(g.Steps) - 1; last >= 0 && g.Steps[last].Face.FirstSign() {
			best, err := room.Best(n, append(moves, Move{Stop: true}))
			require.NoError(t, err)
			assert.Zero(t, best[last+1], "the first sign ends it")
		}
	}
	assert.LessOrEqual(t, bled, 2)
	running, err := room.Best(Exercise{Dark, 33, 1}, nil)
	require.NoError(t, err)
	assert.Nil(t, running, "not before the nail is over")
}
