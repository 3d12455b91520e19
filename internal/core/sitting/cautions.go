package sitting

import (
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/say"
)

// Cautions are what to know of holding this dog before it is touched, before those of its feet.
func (q Question) Cautions(p Plan) []dog.Caution {
	var all []dog.Caution
	add := func(kind dog.CautionKind, words say.Line) { all = append(all, dog.Caution{Kind: kind, Words: words}) }
	all = append(all, q.Dog.HandlingCautions(q.Today, q.Helper || !p.Blocked.Nothing())...) // what blocks is said once
	var impossible []nail.Paw
	for i, paw := range p.Tolerance.Paws {
		if paw.Impossible {
			impossible = append(impossible, nail.Paw(i))
		}
	}
	switch n := len(impossible); {
	case n == 1:
		add(dog.Handle, say.Of(isNotGivenLeaveIt, say.Args{"paw": nail.SaidPaws(impossible...)}))
	case n > 1:
		add(
			dog.Veterinarian,
			say.Of(
				areNotGivenWhatCannot,
				say.Args{"paws": nail.SaidPaws(impossible...), "elsewhere": outlook.Elsewhere(q.Terms.Keeper)},
			),
		)
	}
	if paw, stands := p.Tolerance.Hardest(); stands && len(impossible) == 0 {
		add(dog.Handle, say.Of(isTheHardestPawPlan, say.Args{"paw": nail.SaidPaws(paw)}))
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
		words   say.Key
		who     say.Line
	}{
		{dog.Veterinarian, Curls, false, curlsAndCannotWaitFor, now(keeper)},
		{dog.CareWithNail, Curls, true, mayCurlByNowThough, now(keeper)},
		{dog.CareWithNail, OnFloor, false, onTheFloorAndThe, theirs(keeper)},
		{dog.CareWithNail, OnFloor, true, probablyOnTheFloorAnd, theirs(keeper)},
	} {
		caution := dog.Caution{Kind: c.kind}
		for _, r := range readings {
			if paws[r.Code.Paw] && !r.State.Veterinary() && UrgencyOf(outlook.Planned{Reading: r}) == c.urgency &&
				c.unseen == unseen(r) {
				caution.Nails = append(caution.Nails, r.Code)
			}
		}
		if len(caution.Nails) > 0 {
			caution.Words = say.Of(c.words, say.Args{"nails": nail.SaidEach(caution.Nails...), "who": c.who})
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
func now(keeper bool) say.Line {
	if keeper {
		return say.Of(aProfessionalOrAVeterinarian)
	}
	return say.Of(aVeterinarianNow)
}

func theirs(keeper bool) say.Line {
	if keeper {
		return say.Of(aProfessionalsOrAVeterinarians)
	}
	return say.Of(aVeterinarians)
}
