// Package practice trains eye and hand on nails that are drawn, where nothing can bleed: each has a hidden quick and a
// way of showing it, drawn from what is believed of such nails, and is the same nail to whoever names its seed.
package practice

import (
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

// Kind is what is hard about a nail.
type Kind string

// The kinds there are, in the order in which they are learnt.
const (
	Light     Kind = "light" // the quick is seen through it
	Dark      Kind = "dark"
	Dewclaw   Kind = "dewclaw"
	LongQuick Kind = "long_quick" // nobody has trimmed it for long, and its quick has grown along
	Toy       Kind = "toy"        // of a dog under 4 kg: everything is half as thick
	Moving    Kind = "moving"     // the dog moves: a slice comes out thinner or thicker than was meant
)

// Kinds are all of them, in their order.
func Kinds() []Kind { return []Kind{Light, Dark, Dewclaw, LongQuick, Toy, Moving} }

// Exercise names one nail: the same kind, seed and number are the same nail to everybody.
type Exercise struct {
	Kind   Kind
	Seed   int // of a series, from 1 to MostSeed
	Number int // in it, from 1 on
}

// Room is where somebody practises: where its chances come from, always the same for a seed and a stream, and at which
// end point, by which hand's care, they stop.
type Room struct {
	Chance func(seed, stream uint64) virtual.Random
	Terms  verdict.Terms
}

// Check names what there is no nail for.
func (n Exercise) Check() fault.Fields {
	var f fault.Fields
	if !slices.Contains(Kinds(), n.Kind) {
		f.Add("kind", string(n.Kind), fault.AnyOf(Kinds()))
	}
	f.Range("seed", float64(n.Seed), 1, MostSeed, fault.None)
	f.Range("number", float64(n.Number), 1, MostNumber, fault.None)
	return f
}

// stream parts a nail's chances from those of the others of its seed.
func (n Exercise) stream() uint64 {
	return uint64(n.Number)<<8 | uint64(slices.Index(Kinds(), n.Kind)) //nolint:gosec // never negative
}

// horn names how the end after one of its moves is drawn.
func (n Exercise) horn(move int) uint64 {
	return uint64(n.Seed)<<24 | uint64(n.Number)<<8 | uint64(move) //nolint:gosec // never negative
}

// drawn is the nail as it truly is, on a dog of its own, and what anybody knows of it beforehand.
type drawn struct {
	dog   *virtual.Dog
	known state.State
	r     virtual.Random
}

func (r Room) draw(n Exercise) drawn {
	chance := r.Chance(uint64(n.Seed), n.stream()) //nolint:gosec // never negative
	between := func(low, high float64) float64 { return low + (high-low)*chance.Float64() }
	code, one := nail.Code{Paw: nail.LF, Digit: 3}, state.Traits{Colour: nail.Dark, Shape: nail.Usual}
	where, world := growth.Where{
		Age:      between(50, 400),
		Weight:   between(6, 40),
		Pavement: between(0, 10),
	}, virtual.World{}
	ago := between(3, 7)
	since := &ago
	switch n.Kind {
	case Light:
		one.Colour = nail.Light
	case Dewclaw:
		code.Digit = 1
	case LongQuick:
		since, world.Shorter = nil, longQuickSpare
	case Toy:
		where.Weight = between(1.6, 4)
	case Moving:
		world.CutShare = movingShare
	case Dark:
	}
	one.Code = code
	nails := []state.Traits{one}
	return drawn{virtual.Draw(chance, world, where, nails, since), state.Prior(where, nails, since), chance}
}
