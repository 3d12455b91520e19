package dog

import "strings"

// CautionKind is whose matter a caution is, and when.
type CautionKind string

const (
	Veterinarian CautionKind = "veterinarian" // not the user's work
	CareWithNail CautionKind = "nail"
	Prepare      CautionKind = "prepare" // before starting
)

// Caution is a warning for today.
type Caution struct {
	Kind  CautionKind
	Words string
}

// Cautions are what to know before these feet are touched, worst first.
func (f Feet) Cautions(readings []Reading) []Caution {
	var torn, inSkin, curling, soon, bled []string
	for i, r := range readings {
		name := r.Code.String()
		switch {
		case f.toes[i].torn():
			torn = append(torn, name)
		case r.InSkin():
			inSkin = append(inSkin, name)
		case r.Curling():
			curling = append(curling, name)
		case r.Code.Dewclaw() && r.ToCurl < warnWithin:
			soon = append(soon, name)
		}
		if f.toes[i].bled {
			bled = append(bled, name)
		}
	}
	var all []Caution
	add := func(kind CautionKind, names []string, words string) {
		if len(names) > 0 {
			all = append(all, Caution{kind, strings.Join(names, ", ") + words})
		}
	}
	add(Veterinarian, torn, ": torn into the quick. Do not trim; call a veterinarian.")
	add(Veterinarian, inSkin, ": curled so far that it may touch the skin. A professional or a veterinarian should do it.")
	add(CareWithNail, curling, ": dewclaw curling. Do it first, take little.")
	add(CareWithNail, soon, ": dewclaw close to curling. Do not leave it out.")
	add(CareWithNail, bled, ": bled last time. Take less, look after every sliver, have styptic open.")
	if f.dog.FootCoat == LongCoat {
		add(Prepare, []string{"Long hair on the feet"}, ": clear the pads and pull a mesh over the paw before anything spins.")
	}
	return all
}
