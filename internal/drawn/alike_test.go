package drawn

import (
	"math"
	"math/rand/v2"
	"regexp"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

// drawnAs is a drawing as a program reads it, which is more than its pixels tell: how often each colour stands in it,
// and how far, wide and opaque its parts are.
func drawnAs(svg string) map[string]float64 {
	seen := map[string]float64{}
	for _, colour := range regexp.MustCompile(`#[0-9a-f]{6}`).FindAllString(svg, -1) {
		seen[colour]++
	}
	for i, number := range regexp.MustCompile(`[ "(]-?[0-9]+\.[0-9]+`).FindAllString(svg, 60) {
		v, _ := strconv.ParseFloat(number[1:], 64)
		seen[strconv.Itoa(i)] = v / 200
	}
	return seen
}

// apartBy is how far two drawings lie apart.
func apartBy(a, b map[string]float64) (far float64) {
	for name, v := range a {
		far += (v - b[name]) * (v - b[name])
	}
	for name, v := range b {
		if _, is := a[name]; !is {
			far += v * v
		}
	}
	return far
}

// A program that has seen hundreds of drawn ends of one face, with how much was left of each, guesses no better than
// chance of which more is left: the drawing tells the face, and nothing beside it. That it can tell faces apart shows
// it can read.
func TestADrawnEndTellsItsFaceAlone(t *testing.T) {
	room := practice.Room{
		Chance: func(seed, stream uint64) virtual.Random { return rand.New(rand.NewPCG(seed, stream)) },
		Terms:  verdict.For(quick.AtFirstSign, kit.SomeHand, true, false),
	}
	type end struct {
		seen map[string]float64
		left float64
		grey bool
	}
	var white, both []end
	for number := 1; len(white) < 300; number++ {
		g, err := room.Play(
			practice.Exercise{Kind: practice.Dark, Seed: 34, Number: number},
			[]practice.Move{{MM: 0.5}, {Stop: true}},
		)
		if err != nil { // it bled at once
			continue
		}
		s := g.Steps[0]
		if s.Face != quick.White && s.Face != quick.Grey {
			continue
		}
		one := end{drawnAs(CutEnd(s.Face, false, s.Drawn)), g.Left, s.Face == quick.Grey}
		both = append(both, one)
		if s.Face == quick.White {
			white = append(white, one)
		}
	}
	middle := 0.0
	for _, e := range white {
		middle += e.left / float64(len(white))
	}
	guessed := func(all []end, is func(end) bool) estimate.Estimate {
		right := 0
		for i, e := range all { // by the one that looks most alike (Cover & Hart 1967)
			nearest, least := -1, math.Inf(1)
			for k, o := range all {
				if far := apartBy(e.seen, o.seen); k != i && far < least {
					nearest, least = k, far
				}
			}
			if is(e) == is(all[nearest]) {
				right++
			}
		}
		return estimate.Share(right, len(all), 3)
	}
	more := func(e end) bool { return e.left > middle }
	some := 0
	for _, e := range white {
		if more(e) {
			some++
		}
	}
	share := float64(some) / float64(len(white))
	left := guessed(white, more)
	assert.LessOrEqual(t, left.Low, share*share+(1-share)*(1-share), "no better than who guesses by how many there are")
	grey := 0
	for _, e := range both {
		if e.grey {
			grey++
		}
	}
	faces := guessed(both, func(e end) bool { return e.grey })
	chance := float64(grey) / float64(len(both))
	assert.Greater(t, faces.Low, chance*chance+(1-chance)*(1-chance), "it does tell faces apart")
}
