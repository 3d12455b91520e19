package temper

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Jeffreys' interval of ten, 95 % (Brown, Cai, DasGupta 2001, Statist. Sci. 16, table 5; from memory).
func TestJeffreysInterval(t *testing.T) {
	for calm, want := range map[int][2]float64{0: {0, 0.217}, 1: {0.011, 0.381}, 2: {0.044, 0.503}, 3: {0.093, 0.606}, 4: {0.153, 0.696}, 5: {0.224, 0.776}} {
		low, high := Share{calm, 10}.Range()
		assert.InDelta(t, want[0], low, 0.0006, "%d of 10", calm)
		assert.InDelta(t, want[1], high, 0.0006, "%d of 10", calm)
	}
}

// Calm on nine of ten with a helper and on three of ten alone is said; a fair coin finds nothing in 95 of 100 dogs.
func TestWhatMadeItCalmIsNotChance(t *testing.T) {
	var days []Day
	for k := range 20 {
		d := Day{Calm: k < 9 || k >= 10 && k < 13}
		if k < 10 {
			d.Had = []Circumstance{WithHelper}
		}
		days = append(days, d)
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
			d := Day{Calm: r.IntN(2) == 0}
			for _, what := range Circumstances() {
				if r.IntN(2) == 0 {
					d.Had = append(d.Had, what)
				}
			}
			days = append(days, d)
		}
		if len(WhatMadeItCalm(days)) > 0 {
			said++
		}
	}
	assert.LessOrEqual(t, said, dogs/20, "said of a coin")
}
