package sitting

import (
	"fmt"
	"strings"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
)

// Cautions are what to know of holding this dog before it is touched, before those of its feet.
func (q Question) Cautions(p Plan) []dog.Caution {
	var all []dog.Caution
	say := func(kind dog.CautionKind, words string) { all = append(all, dog.Caution{Kind: kind, Words: words}) }
	h := q.Dog.Handling
	if h.Muzzle {
		say(dog.Handle, "Muzzle on before the first touch: a safety tool and no shame.")
	}
	if h.Helper == dog.Needed {
		say(dog.Handle, "Not without a helper.")
	}
	var impossible []string
	for i, paw := range p.Tolerance.Paws {
		if paw.Impossible {
			impossible = append(impossible, nail.Paw(i).String())
		}
	}
	switch n := len(impossible); {
	case n == 1:
		say(dog.Handle, strings.Join(impossible, "")+" is not given: leave it, never force it.")
	case n > 1:
		say(dog.Veterinarian, strings.Join(impossible, ", ")+" are not given. A dog that cannot be done safely goes to a professional; whether to sedate is a veterinarian's decision alone.")
	}
	if h.Sore {
		say(dog.Handle, "Sore joints: let it stand or lean, small movements, many breaks.")
	}
	if h.Noise == kit.NoiseAfraid {
		say(dog.Handle, "Fears the grinder: no spinning tool near it before the ladder is done.")
	}
	if paw, stands := p.Tolerance.Hardest(); stands && len(impossible) == 0 {
		say(dog.Handle, fmt.Sprintf("%s is the hardest paw: plan for it.", paw))
	}
	return all
}

// WhileTraining warns of nails of paws on a ladder that press and cannot wait for it.
func WhileTraining(readings []dog.Reading, paws map[nail.Paw]bool) []dog.Caution {
	var codes []nail.Code
	var names []string
	for _, r := range readings {
		if paws[r.Code.Paw] && !r.State.Veterinary() && UrgencyOf(dog.Planned{Reading: r}).Urgent() {
			codes, names = append(codes, r.Code), append(names, r.Code.String())
		}
	}
	if len(codes) == 0 {
		return nil
	}
	words := strings.Join(names, ", ") + " cannot wait for the ladder: a professional or a veterinarian."
	return []dog.Caution{{Kind: dog.Veterinarian, Nails: codes, Words: words}}
}
