package temper

import (
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Jeffreys' interval of ten, 95 % (Brown, Cai, DasGupta 2001, Statist. Sci. 16, table 5; from memory).
func TestJeffreysInterval(t *testing.T) {
	for calm, want := range map[int][2]float64{
		0: {0, 0.217}, 1: {0.011, 0.381}, 2: {0.044, 0.503}, 3: {0.093, 0.606}, 4: {0.153, 0.696}, 5: {0.224, 0.776},
	} {
		low, high := Share{calm, 10}.Range()
		assert.InDelta(t, want[0], low, 0.0006, "%d of 10", calm)
		assert.InDelta(t, want[1], high, 0.0006, "%d of 10", calm)
	}
}

// Calm on nine of ten with a helper and on three of ten alone is said; a fair coin finds nothing in 95 of 100 dogs.
func TestWhatMadeItCalmIsNotChance(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	var days []Day
	for k := range 20 {
		days = append(days, Day{Calm: k < 9 || k >= 10 && k < 13, Was: map[Circumstance]bool{WithHelper: k < 10}})
	}
	found := WhatMadeItCalm(days)
	require.Len(t, found, 1)
	assert.Equal(t, Calmer{WithHelper, Share{9, 10}, Share{3, 10}, true}, found[0])
	assert.Empty(t, WhatMadeItCalm(days[5:14]), "too few sittings")

	r := rand.New(rand.NewPCG(29, 4))
	const dogs = 1000
	said := 0
	for range dogs {
		var days []Day
		for range 10 + r.IntN(30) {
			days = append(days, coin(r))
		}
		if len(WhatMadeItCalm(days)) > 0 {
			said++
		}
	}
	assert.LessOrEqual(t, said, dogs/20, "said of a coin")
}

// coin is a sitting of which nothing goes with anything.
func coin(r *rand.Rand) Day {
	d := Day{Calm: r.IntN(2) == 0, Was: map[Circumstance]bool{}}
	for _, what := range []Circumstance{WithHelper, AfterWalk, WithTreats, ByGrinder, BeforeNoon} {
		d.Was[what] = r.IntN(2) == 0
	}
	held := r.IntN(4) // the fourth: nobody knows how
	for k, position := range []string{"standing", "lap", "on_side"} {
		if held < 3 {
			d.Was[HeldSo(position)] = k == held
		}
	}
	return d
}

// A helper who is only there for difficult dogs goes with unrest over all dogs together, and with calm in each.
func TestWhatMadeThemCalmComparesEachDogWithItself(t *testing.T) {
	var dogs [][]Day
	for k := range 40 {
		difficult := k%2 == 0
		var days []Day
		for i := range 10 {
			helped := i < 8 && difficult || i < 2
			calm := map[[2]bool]int{
				{true, true}: 5, {true, false}: 2, {false, true}: 10, {false, false}: 9,
			}[[2]bool{difficult, helped}] > (i*7+k)%10
			days = append(days, Day{Calm: calm, Was: map[Circumstance]bool{WithHelper: helped}})
		}
		dogs = append(dogs, days)
	}
	together := counted(WithHelper, slices.Concat(dogs...))
	assert.False(t, together.More, "over all sittings alike, a helper looks bad: %+v", together)
	found := WhatMadeThemCalm(dogs)
	require.Len(t, found, 1)
	assert.True(t, found[0].More)

	r := rand.New(rand.NewPCG(29, 5))
	const books = 400
	said := 0
	for range books {
		var dogs [][]Day
		for range 8 {
			var days []Day
			for range 4 + r.IntN(12) {
				days = append(days, coin(r))
			}
			dogs = append(dogs, days)
		}
		if len(WhatMadeThemCalm(dogs)) > 0 {
			said++
		}
	}
	assert.LessOrEqual(t, said, books/20, "said of a coin")
}

// One stratum against its closed form: 9 of 10 and 3 of 10 (Mantel and Haenszel 1959, from memory).
func TestMantelHaenszelOfOneStratum(t *testing.T) {
	var m mantelHaenszel
	m.add(Calmer{With: Share{9, 10}, Without: Share{3, 10}})
	assert.InDelta(t, 3.0, m.over, 1e-12, "9, where 6 of 10 would be expected")
	assert.InDelta(t, 10.0*10*12*8/(20*20*19), m.variance, 1e-12)
	assert.InDelta(t, 0.0261, m.chance(), 0.0001, "z = 2.5 / sqrt(1.263) = 2.224, whose normal tails hold 2.6 %%")
}

// The clearest comes first: how far apart the two shares are, whichever is the larger.
func TestTheClearestComesFirst(t *testing.T) {
	wide, narrow := Calmer{With: Share{3, 10}, Without: Share{8, 10}}, Calmer{With: Share{9, 10}, Without: Share{6, 10}}
	assert.Equal(t, []Calmer{wide, narrow}, strongest([]Calmer{narrow, wide}))
}
