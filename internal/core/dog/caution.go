package dog

import (
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
)

// CautionKind is whose matter a caution is, and when.
type CautionKind string

const (
	Veterinarian CautionKind = "veterinarian" // not the user's work
	CareWithNail CautionKind = "nail"
	Handle       CautionKind = "handle"  // how the dog is to be held
	Prepare      CautionKind = "prepare" // before starting
)

// Caution is a warning for today.
type Caution struct {
	Kind  CautionKind
	Nails []nail.Code // that it is about; none when it is about the dog
	Words string
}

// Elsewhere is who does what is not for the user's hands. A groomer is the professional: to them it
// is a veterinarian's matter, or not today's.
func Elsewhere(keeper bool) string {
	if keeper {
		return "a professional or a veterinarian"
	}
	return "not today; a veterinarian where it cannot wait"
}

// Cautions are what to know before these feet are touched, worst first.
func (f Feet) Cautions(readings []Reading, keeper bool) []Caution {
	var all []Caution
	add := func(kind CautionKind, which func(i int, r Reading) bool, words string) {
		var codes []nail.Code
		var names []string
		for i, r := range readings {
			if which(i, r) {
				codes, names = append(codes, r.Code), append(names, r.Code.String())
			}
		}
		if len(codes) > 0 {
			all = append(all, Caution{kind, codes, strings.Join(names, ", ") + words})
		}
	}
	for _, flag := range f.check.flags() {
		words := strings.ToUpper(flag[:1]) + flag[1:] + ": call a veterinarian. Nothing is trimmed until you have looked again and it is over."
		all = append(all, Caution{Kind: Veterinarian, Words: words})
	}
	add(Veterinarian, func(_ int, r Reading) bool { return r.State == nail.Torn },
		": torn into the quick. Do not trim; call a veterinarian.")
	add(Veterinarian, func(_ int, r Reading) bool { return r.State == nail.Ingrown },
		": grown into the skin. Do not trim; call a veterinarian.")
	add(Veterinarian, func(_ int, r Reading) bool { return !r.State.Veterinary() && r.InSkin() },
		": curled so far that it may touch the skin: "+Elsewhere(keeper)+".")
	add(CareWithNail, func(_ int, r Reading) bool { return r.Curling() && !r.InSkin() && !r.unseen() },
		": dewclaw curling. Do it first, take little.")
	add(CareWithNail, func(_ int, r Reading) bool { return r.Curling() && !r.InSkin() && r.unseen() },
		": dewclaw probably curls by now, though nobody has looked. Look at it first.")
	add(CareWithNail, func(_ int, r Reading) bool {
		return r.Code.Dewclaw() && !r.Curling() && r.Turn > claw.CurlTurn-warnTurn
	},
		": dewclaw close to curling. Do not leave it out.")
	add(CareWithNail, func(_ int, r Reading) bool { return r.Bled },
		": bled last time. Take less, look after every sliver, have styptic open.")
	add(CareWithNail, func(_ int, r Reading) bool { return r.State == nail.Split || r.State == nail.Broken },
		": split or broken. Only blunt it; if the quick shows, call a veterinarian.")
	add(CareWithNail, func(_ int, r Reading) bool { return r.State == nail.Loose },
		": hangs loose. Hold it, clip it, keep it away from anything that spins.")
	if f.FootCoat == LongCoat || f.check.Hair {
		all = append(all, Caution{Kind: Prepare, Words: "Hair on the feet: clear the pads and pull a mesh over the paw before anything spins."})
	}
	return all
}
