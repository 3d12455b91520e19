package virtual

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
)

// even is chance without surprises: the middle of everything, or so many standard deviations beside it.
type even struct{ beside float64 }

func (even) Float64() float64       { return 0.5 }
func (e even) NormFloat64() float64 { return e.beside }

var adult = growth.Where{Age: 200, Weight: 25, Pavement: 0}

func drawn(r Random, w World, where growth.Where, codes ...string) *Dog {
	var nails []state.Traits
	for _, code := range codes {
		nails = append(nails, state.Traits{Code: nail.MustParse(code), Colour: nail.Dark})
	}
	weeks := 2.0
	return Draw(r, w, where, nails, &weeks)
}

// A nail grows by its rate, and what is in front of its quick by less, once there is more of it than when at rest.
func TestANailGrowsByItsRate(t *testing.T) {
	d := drawn(even{}, World{}, adult, "LF3")
	was, rate := d.Nails[0], d.Rate(0)
	assert.InDelta(t, d.Gross()+was.Own, rate, 1e-9, "nothing wears it")
	d.Grow(1)
	assert.InDelta(t, was.Length+rate, d.Nails[0].Length, 1e-9)
	assert.InDelta(t, adult.Age+1, d.Where.Age, 1e-9)
	more := d.Nails[0].Spare - was.Spare
	assert.Less(t, more, rate, "the quick follows")
	assert.Greater(t, more, 0.0)

	slow := drawn(even{}, World{}, growth.Where{Age: 200, Weight: 25, Pavement: 20}, "LF3")
	assert.InDelta(t, slow.wear[nail.Fore]*20*claw.SizeFactor(25), rate-slow.Rate(0), 1e-9, "pavement wears it")
	fast := drawn(even{}, World{Faster: 1.5}, adult, "LF3")
	assert.InDelta(t, 0.5*growth.Usual(adult), fast.Gross()-d.Gross(), 1e-9)
}

// Nobody trims for three years: horn wears or breaks a little way beyond the floor, and a dewclaw grows on.
func TestWhatIsLeftAloneMeetsTheFloor(t *testing.T) {
	d := drawn(even{}, World{}, adult, "LF3", "LF1")
	size := claw.SizeFactor(adult.Weight)
	for range 156 {
		d.Grow(1)
	}
	past := d.Nails[0].Length - d.Nails[0].Floor
	assert.Greater(t, past, wornFrom*size)
	assert.LessOrEqual(t, past, (wornFrom+wornReach)*size)
	assert.LessOrEqual(t, d.Nails[0].Spare, d.rest+2*longSpare, "its quick grows after it")
	assert.Greater(t, d.Nails[1].Length, d.Nails[0].Length+10)
	assert.Less(t, d.past(&d.Nails[1]), 0.0)
}

// Slices come out as they are meant, thicker where the hand is another, and beside it as widely as it cuts.
func TestSlicesComeOutAsTheHandCuts(t *testing.T) {
	assert.InDelta(t, 0.5, drawn(even{}, World{}, adult).Slice(0.5), 1e-9)
	assert.InDelta(t, 0.65, drawn(even{}, World{CutTimes: 1.3}, adult).Slice(0.5), 1e-9)
	assert.InDelta(t, 0.6, drawn(even{1}, World{CutShare: 0.2}, adult).Slice(0.5), 1e-9)
	assert.InDelta(t, 0.02, drawn(even{-9}, World{}, adult).Slice(0.1), 1e-9, "something comes off")
}

// A cut shortens the nail and what is in front of its quick by as much, and bleeds at it; a quick is not cut away.
func TestACutBleedsAtTheQuick(t *testing.T) {
	d := drawn(even{}, World{}, adult, "LF3")
	was := d.Nails[0]
	assert.NotEqual(t, quick.Blood, d.Cut(0, 0.5))
	assert.InDelta(t, was.Length-0.5, d.Nails[0].Length, 1e-9)
	assert.InDelta(t, was.Spare-0.5, d.Nails[0].Spare, 1e-9)
	assert.Equal(t, quick.Blood, d.Cut(0, was.Spare))
	assert.Zero(t, d.Nails[0].Spare)
}

// An eye that reads a step too mild, or wrong, never takes anything for blood.
func TestAMisreadFaceIsTheOneBeside(t *testing.T) {
	d := drawn(even{}, World{}, adult)
	faces := quick.Faces(nail.Dark)
	for i, f := range faces[:len(faces)-1] {
		assert.Equal(t, faces[max(0, i-1)], d.misread(nail.Dark, f, true))
		assert.Equal(t, faces[min(len(faces)-2, i+1)], d.misread(nail.Dark, f, false))
	}
}

// A living nail always has some horn in front of its quick, and of a short-quicked world's half as much.
func TestASpareIsNeverNothing(t *testing.T) {
	n := state.Normal{Mean: 3, SD: 2}
	assert.Greater(t, gammaLike(n, -3), 0.0)
	assert.InDelta(t, 2.57, gammaLike(n, 3), 0.01, "the median of a gamma distribution of that mean and sd")
	usual, short := drawn(even{}, World{}, adult, "LF3"), drawn(even{}, World{Shorter: 0.5}, adult, "LF3")
	assert.InDelta(t, usual.Nails[0].Spare/2, short.Nails[0].Spare, 1e-9)
}

// What passes under a nail is read off how far it is from the floor.
func TestWhatPassesUnderANail(t *testing.T) {
	d := drawn(even{}, World{}, adult, "LF3")
	n := &d.Nails[0]
	for under, length := range map[measure.Under]float64{
		measure.Touches: n.Floor + 1, measure.Paper: n.Floor - 0.01, measure.Card: n.Floor - 3,
	} {
		n.Length = length
		assert.Equal(t, under, d.Feel(0))
	}
}
