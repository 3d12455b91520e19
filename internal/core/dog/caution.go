package dog

import "strings"

// Caution is a warning for today, worst first.
type Caution struct {
	Veterinary bool // a veterinarian's matter
	Words      string
}

// Cautions are what to know before these feet are touched.
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
	add := func(vet bool, names []string, words string) {
		if len(names) > 0 {
			all = append(all, Caution{vet, strings.Join(names, ", ") + words})
		}
	}
	add(true, torn, ": torn into the quick. Do not trim; call a veterinarian.")
	add(true, inSkin, ": curled so far that it may touch the skin. A professional or a veterinarian should do it.")
	add(false, curling, ": dewclaw curling. Do it first, take little.")
	add(false, soon, ": dewclaw close to curling. Do not leave it out.")
	add(false, bled, ": bled last time. Take less, look after every sliver, have styptic open.")
	if f.dog.FootCoat == LongCoat {
		add(false, []string{"Long hair on the feet"}, ": clear the pads and pull a mesh over the paw before anything spins.")
	}
	return all
}
