package outlook

import (
	"fribbet/internal/core/claw"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Elsewhere is who does what is not for the user's hands. A groomer is the professional: to them it
// is a veterinarian's matter, or not today's.
func Elsewhere(keeper bool) say.Line {
	if keeper {
		return say.Of(aProfessionalOrAVeterinarian)
	}
	return say.Of(notTodayAVeterinarianWhere)
}

// Cautions are what to know before these feet are touched, worst first.
func Cautions(f feet.Feet, readings []feet.Reading, keeper bool) []dog.Caution {
	var all []dog.Caution
	add := func(kind dog.CautionKind, which func(i int, r feet.Reading) bool, key say.Key) {
		var codes []nail.Code
		for i, r := range readings {
			if which(i, r) {
				codes = append(codes, r.Code)
			}
		}
		if len(codes) > 0 {
			all = append(
				all,
				dog.Caution{
					Kind:  kind,
					Nails: codes,
					Words: say.Of(key, say.Args{"nails": nail.SaidEach(codes...), "elsewhere": Elsewhere(keeper)}),
				},
			)
		}
	}
	for _, flag := range f.Flags() {
		words := say.Of(callAVeterinarianNothingIs, say.Args{"flag": say.Start(flag)})
		all = append(all, dog.Caution{Kind: dog.Veterinarian, Words: words})
	}
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return r.State == nail.Torn },
		tornIntoTheQuickDo)
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return r.State == nail.Ingrown },
		grownIntoTheSkinDo)
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return !r.State.Veterinary() && r.InSkin() },
		curledSoFarThatIt)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.Curling() && !r.InSkin() && !r.Unseen() },
		dewclawCurlingDoItFirst)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool {
		return r.Curling() && !r.InSkin() && r.Unseen() && r.Trimmed.IsZero()
	},
		dewclawProbablyCurlsByNow)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool {
		return r.Code.Dewclaw() && (!r.Curling() || r.Unseen() && !r.Trimmed.IsZero()) &&
			r.Turn > claw.CurlTurn-warnTurn
	},
		dewclawCloseToCurlingDo)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.Bled },
		bledLastTimeTakeLess)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.State == nail.Split || r.State == nail.Broken },
		splitOrBrokenOnlyBlunt)
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.State == nail.Loose },
		hangsLooseHoldItClip)
	if f.FootCoat == dog.LongCoat || f.Hair() {
		all = append(all, dog.Caution{Kind: dog.Prepare, Words: say.Of(hairOnTheFeetClear)})
	}
	return all
}
