package sitting

import (
	"fmt"
	"strings"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
)

// Cautions are what to know of holding this dog before it is touched, before those of its feet.
func (q Question) Cautions(p Plan) []dog.Caution {
	var all []dog.Caution
	say := func(kind dog.CautionKind, words string) { all = append(all, dog.Caution{Kind: kind, Words: words}) }
	all = append(all, q.Dog.HandlingCautions(q.Today, q.Helper || p.Blocked != "")...) // what blocks is said once
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
		say(dog.Veterinarian, strings.Join(impossible, ", ")+" are not given. What cannot be done safely: "+outlook.Elsewhere(q.Terms.Keeper)+". Whether to sedate is a veterinarian's decision alone.")
	}
	if paw, stands := p.Tolerance.Hardest(); stands && len(impossible) == 0 {
		say(dog.Handle, fmt.Sprintf("%s is the hardest paw: plan for it.", paw))
	}
	return all
}

// WhileTraining warns of nails of paws on a ladder that press and cannot wait for it. A curling
// dewclaw is for today; what touches the floor is for the days to come.
func WhileTraining(readings []feet.Reading, paws map[nail.Paw]bool, keeper bool) []dog.Caution {
	var all []dog.Caution
	for _, c := range []struct {
		kind    dog.CautionKind
		urgency Urgency
		unseen  bool
		words   string
	}{
		{dog.Veterinarian, Curls, false, " curls and cannot wait for the ladder: " + now(keeper) + "."},
		{dog.CareWithNail, Curls, true, " may curl by now, though nobody has looked: look at it. If it does, it cannot wait for the ladder: " + now(keeper) + "."},
		{dog.CareWithNail, OnFloor, false, " on the floor, and the paw is still on the ladder: what cannot wait is " + theirs(keeper) + "."},
		{dog.CareWithNail, OnFloor, true, " probably on the floor, and the paw is still on the ladder: what cannot wait is " + theirs(keeper) + "."},
	} {
		caution := dog.Caution{Kind: c.kind}
		var names []string
		for _, r := range readings {
			if paws[r.Code.Paw] && !r.State.Veterinary() && UrgencyOf(outlook.Planned{Reading: r}) == c.urgency && c.unseen == unseen(r) {
				caution.Nails, names = append(caution.Nails, r.Code), append(names, r.Code.String())
			}
		}
		if len(names) > 0 {
			caution.Words = strings.Join(names, ", ") + c.words
			all = append(all, caution)
		}
	}
	return all
}

// unseen tells whether what presses of a nail is only believed: nobody looked at its floor, or at its curl.
func unseen(r feet.Reading) bool {
	if r.Code.Dewclaw() {
		return r.Unseen()
	}
	return !r.Looked
}

// now is who does what cannot wait for the ladder.
func now(keeper bool) string {
	if keeper {
		return "a professional or a veterinarian, now"
	}
	return "a veterinarian, now"
}

func theirs(keeper bool) string {
	if keeper {
		return "a professional's or a veterinarian's"
	}
	return "a veterinarian's"
}
