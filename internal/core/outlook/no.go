package outlook

import (
	"fmt"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// noWords say what a refusal keeps off, and until when: the same on every screen.
func noWords(no temper.Refusal) string {
	if no.Reaction == temper.Snapping {
		return fmt.Sprintf("snapped on %s: the ladder first, no trim before %s", no.On.Short(), no.Until.Short())
	}
	return fmt.Sprintf("fought on %s: the ladder first, this paw not before %s", no.On.Short(), no.Until.Short())
}

// refusalOf is the one that keeps the nails of a date from coming sooner.
func refusalOf(f feet.Feet, next due.Next) temper.Refusal {
	no, _ := f.Refusal(next.Nails[0].Paw, f.Known())
	return no
}

// NoTrim says why nothing of a dog is trimmed on a day, since it snapped; empty where it may be.
func NoTrim(f feet.Feet, day date.Date) string {
	if no := f.Refusals().Dog; no.Holds(day) {
		return f.Name + " " + noWords(no) + "."
	}
	return ""
}

// NoCautions are what a dog's no asks of whoever touches it next: before all other cautions.
func NoCautions(f feet.Feet, day date.Date) []dog.Caution {
	no := f.Refusals()
	if no.Dog.Holds(day) {
		return []dog.Caution{{Kind: dog.Handle, Words: fmt.Sprintf(
			"Snapped on %s. No trim before %s: the ladder first, a muzzle it is trained to and not forced into, and a helper. What cannot wait: ask your veterinarian.", no.Dog.On.Short(), no.Dog.Until.Short())}}
	}
	var all []dog.Caution
	for _, paw := range nail.Paws() {
		if one, is := no.Of(paw, day); is {
			all = append(all, dog.Caution{Kind: dog.Handle, Words: fmt.Sprintf(
				"Fought over %s on %s: leave that paw until %s, train it on the ladder, with a helper and another hold. What cannot wait there: ask your veterinarian.", paw, one.On.Short(), one.Until.Short())})
		}
	}
	return all
}
