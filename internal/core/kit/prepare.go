package kit

import (
	"cmp"
	"fribbet/internal/core/say"
	"slices"
	"strings"
)

// Needs is what work asks of a kit, by tool: cuts of a cutter, minutes of what grinds.
type Needs map[Tool]Use

// Add adds what other work asks.
func (n Needs) Add(o Needs) {
	for tool, use := range o {
		sum := n[tool]
		sum.Cuts += use.Cuts
		sum.Minutes += use.Minutes
		n[tool] = sum
	}
}

// Grinding is the minutes in which something turns.
func (n Needs) Grinding() (minutes float64) {
	for tool, use := range n {
		if tool.Work() == Grinding {
			minutes += use.Minutes
		}
	}
	return minutes
}

// Prepare says what is to be done to a kit for a day's work, in words; earlier is what is asked of it until then. A
// machine is taken to be charged over night: on today's work it goes with what it holds now. A tool of which the kit
// has none fit for work is not spoken of: the list of what to see to names it.
func Prepare(pieces []Piece, earlier, day Needs, today bool) []say.Line {
	var words []say.Line
	machines := machines(pieces)
	charge := map[string]float64{}
	for _, tool := range Tools() {
		asks, any := day[tool]
		p, has := freshest(pieces, tool)
		if !any || !has {
			continue
		}
		charge[machines[p.ID]] += asks.Minutes
		until, more := earlier[tool].Minutes, asks.Minutes
		if p.State.Counts == CountsCuts {
			until, more = earlier[tool].Cuts, asks.Cuts
		}
		if used := p.State.Used + until; used+more > p.State.Limit {
			words = append(
				words,
				say.Of(
					theBeforeItByThen,
					say.Args{
						"service": p.Item.service(),
						"item":    p.Item.called(),
						"used":    say.Round(used),
						"limit":   say.Round(p.State.Limit),
						"counts":  p.State.Counts.say(),
						"more":    say.Round(more),
					},
				),
			)
		}
	}
	for _, p := range pieces {
		asks := charge[p.ID]
		switch {
		case p.Item.Kind != Grinder || asks == 0:
		case asks > p.State.Limit:
			words = append(
				words,
				say.Of(
					aChargeOfTheLasts,
					say.Args{"item": p.Item.called(), "limit": say.Round(p.State.Limit), "asks": say.Round(asks)},
				),
			)
		case today && p.State.Used+asks > p.State.Limit:
			words = append(
				words,
				say.Of(
					chargeTheItHoldsAbout,
					say.Args{
						"item":  p.Item.called(),
						"limit": say.Round(max(0, p.State.Limit-p.State.Used)),
						"asks":  say.Round(asks),
					},
				),
			)
		}
	}
	return words
}

// freshest is the piece of a tool that is fit for work and bears the most; false where there is none.
func freshest(pieces []Piece, tool Tool) (Piece, bool) {
	fit := slices.DeleteFunc(
		slices.Clone(pieces),
		func(p Piece) bool { return p.Item.Kind != Kind(tool) || !p.State.Usable() },
	)
	if len(fit) == 0 {
		return Piece{}, false
	}
	return slices.MinFunc(
		fit,
		func(a, b Piece) int { return cmp.Compare(a.State.Used-a.State.Limit, b.State.Used-b.State.Limit) },
	), true
}

// machines are the machines on which bands and bits run, by their ids: the one that they name, or else the first of
// the kit.
func machines(pieces []Piece) map[string]string {
	machineOf := map[string]string{}
	for _, p := range pieces {
		if tool, is := p.Item.Kind.Tool(); !is || tool.Work() != Grinding {
			continue
		}
		machineOf[p.ID] = p.Item.On
		for _, m := range pieces {
			if machineOf[p.ID] == "" && m.Item.Kind == Grinder {
				machineOf[p.ID] = m.ID
			}
		}
	}
	return machineOf
}

// called is what a piece is called in a sentence.
func (i Item) called() say.Value {
	if name := strings.TrimSpace(i.Name); name != "" {
		return say.Name(name)
	}
	return i.Kind.Say()
}
