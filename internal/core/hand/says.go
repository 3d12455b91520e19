package hand

import "fribbet/internal/core/say"

// What is said of a hand.
const (
	Thicker say.Key = "hand.thicker" // than it means
	Thinner say.Key = "hand.thinner"
	AsMeant say.Key = "hand.as_meant"
	Even    say.Key = "hand.even" // as most are
	Evener  say.Key = "hand.evener"
	Uneven  say.Key = "hand.uneven"

	EyeCares say.Key = "hand.eye_cares" // where its eye sets the care
)

// EyeSays is what is said where the hand's eye sets the care; nothing where it does not.
func (s Slices) EyeSays() say.Line {
	if s.Milder == 0 {
		return say.Line{}
	}
	return say.Line{Key: EyeCares, Args: say.Args{"Of": say.Round(100 * s.Milder)}}
}

// Says is what slices say of a hand: how thick they come out, then how even.
func (l Learnt) Says() []say.Line {
	thick, even := AsMeant, Even
	switch {
	case l.Times.Value > 1+apart:
		thick = Thicker
	case l.Times.Value < 1-apart:
		thick = Thinner
	}
	switch {
	case l.Spread.Value > l.Usual*(1+apart):
		even = Uneven
	case l.Spread.Value < l.Usual*(1-apart):
		even = Evener
	}
	return []say.Line{
		{
			Key: thick,
			Args: say.Args{
				"Meant": say.Length(l.Meant),
				"True":  say.Length(l.Meant * l.Times.Value),
				"Range": say.Lengths{Low: l.Meant * l.Times.Low, High: l.Meant * l.Times.High},
			},
		},
		{Key: even, Args: say.Args{"By": say.Length(l.Spread.Value), "Usual": say.Length(l.Usual)}},
	}
}
