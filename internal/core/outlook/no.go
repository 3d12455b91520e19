package outlook

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// noWords say what a refusal keeps off, and until when: the same on every screen.
func noWords(no temper.Refusal) say.Line {
	if no.Reaction == temper.Snapping {
		return say.Of(snappedOnTheLadderFirst, say.Args{"on": no.On.Say(), "until": no.Until.Say()})
	}
	return say.Of(foughtOnTheLadderFirst, say.Args{"on": no.On.Say(), "until": no.Until.Say()})
}

// refusalOf is the one that keeps the nails of a date from coming sooner.
func refusalOf(f feet.Feet, next due.Next) temper.Refusal {
	no, _ := f.Refusal(next.Nails[0].Paw, f.Known())
	return no
}

// NoTrim says why nothing of a dog is trimmed on a day, since it snapped; empty where it may be.
func NoTrim(f feet.Feet, day date.Date) say.Line {
	if no := f.Refusals().Dog; no.Holds(day) {
		return say.Of(dogSaidNo, say.Args{"name": say.Name(f.Name), "no": noWords(no)})
	}
	return say.Line{}
}

// NoCautions are what a dog's no asks of whoever touches it next: before all other cautions.
func NoCautions(f feet.Feet, day date.Date) []dog.Caution {
	no := f.Refusals()
	if no.Dog.Holds(day) {
		return []dog.Caution{
			{
				Kind:  dog.Handle,
				Words: say.Of(snappedOnNoTrimBefore, say.Args{"on": no.Dog.On.Say(), "until": no.Dog.Until.Say()}),
			},
		}
	}
	var all []dog.Caution
	for _, paw := range nail.Paws() {
		if one, is := no.Of(paw, day); is {
			all = append(
				all,
				dog.Caution{
					Kind: dog.Handle,
					Words: say.Of(
						foughtOverOnLeaveThat,
						say.Args{"paw": nail.SaidPaws(paw), "on": one.On.Say(), "until": one.Until.Say()},
					),
				},
			)
		}
	}
	return all
}
