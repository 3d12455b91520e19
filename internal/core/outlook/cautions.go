package outlook

import (
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
)

// Elsewhere is who does what is not for the user's hands. A groomer is the professional: to them it
// is a veterinarian's matter, or not today's.
func Elsewhere(keeper bool) string {
	if keeper {
		return "a professional or a veterinarian"
	}
	return "not today; a veterinarian where it cannot wait"
}

// Cautions are what to know before these feet are touched, worst first.
func Cautions(f feet.Feet, readings []feet.Reading, keeper bool) []dog.Caution {
	var all []dog.Caution
	add := func(kind dog.CautionKind, which func(i int, r feet.Reading) bool, words string) {
		var codes []nail.Code
		var names []string
		for i, r := range readings {
			if which(i, r) {
				codes, names = append(codes, r.Code), append(names, r.Code.String())
			}
		}
		if len(codes) > 0 {
			all = append(all, dog.Caution{Kind: kind, Nails: codes, Words: strings.Join(names, ", ") + words})
		}
	}
	for _, flag := range f.Flags() {
		words := strings.ToUpper(flag[:1]) + flag[1:] + ": call a veterinarian. Nothing is trimmed until you have looked again and it is over."
		all = append(all, dog.Caution{Kind: dog.Veterinarian, Words: words})
	}
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return r.State == nail.Torn },
		": torn into the quick. Do not trim; call a veterinarian.")
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return r.State == nail.Ingrown },
		": grown into the skin. Do not trim; call a veterinarian.")
	add(dog.Veterinarian, func(_ int, r feet.Reading) bool { return !r.State.Veterinary() && r.InSkin() },
		": curled so far that it may touch the skin: "+Elsewhere(keeper)+".")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.Curling() && !r.InSkin() && !r.Unseen() },
		": dewclaw curling. Do it first, take little.")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool {
		return r.Curling() && !r.InSkin() && r.Unseen() && r.Trimmed.IsZero()
	},
		": dewclaw probably curls by now, though nobody has looked. Look at it first.")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool {
		return r.Code.Dewclaw() && (!r.Curling() || r.Unseen() && !r.Trimmed.IsZero()) && r.Turn > claw.CurlTurn-warnTurn
	},
		": dewclaw close to curling. Do not leave it out.")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.Bled },
		": bled last time. Take less, look after every thin slice, have styptic open.")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.State == nail.Split || r.State == nail.Broken },
		": split or broken. Only blunt it; if the quick shows, call a veterinarian.")
	add(dog.CareWithNail, func(_ int, r feet.Reading) bool { return r.State == nail.Loose },
		": hangs loose. Hold it, clip it, keep it away from anything that spins.")
	if f.FootCoat == dog.LongCoat || f.Hair() {
		all = append(all, dog.Caution{Kind: dog.Prepare, Words: "Hair on the feet: clear the pads and pull a mesh over the paw before anything spins."})
	}
	return all
}
