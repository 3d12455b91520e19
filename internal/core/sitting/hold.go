package sitting

import (
	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
)

// Hold is how one paw is held.
type Hold struct {
	Paw      nail.Paw
	Position dog.Position
	Place    string // where the dog is, and where you are
	Limb     string // the limb in its natural line
	Pull     string // what to do when it pulls
	Hands    string // which hand holds what
}

// Support is what every hold has in common.
const Support = "Hold the toe itself between finger and thumb: dogs pull when the toe is left unsupported."

// HoldOf is the hold of a paw in the dog's position (trade, common practice with no source).
func HoldOf(paw nail.Paw, h dog.Handling, left bool) Hold {
	hold := Hold{Paw: paw, Position: h.Position, Place: places[h.Position], Hands: "The foot in your left hand, the cutter in your right."}
	if left {
		hold.Hands = "The foot in your right hand, the cutter in your left."
	}
	lifted := h.Position == dog.Standing || h.Position == dog.FromStool
	switch {
	case paw.Hind() && lifted:
		hold.Limb = "Lift the foot back and up a little. The leg stays under the hip, out to the side only a little."
	case paw.Hind():
		hold.Limb = "Leave the leg in its own bend, out to the side only a little."
	case lifted:
		hold.Limb = "Fold the foot back under the chest. A fore leg does not swing out sideways."
	default:
		hold.Limb = "Bring the foot straight forward. A fore leg does not swing out sideways."
	}
	hold.Pull = "If it pulls: a flat hand behind the elbow, and do not squeeze."
	if paw.Hind() {
		hold.Pull = "If it pulls: a flat hand in front of the knee, and do not squeeze."
	}
	if h.Sore {
		hold.Pull += " Sore joints: let it stand or lean, small movements, a break after this paw."
	}
	return hold
}

var places = map[dog.Position]string{
	dog.Standing:  "The dog stands on a table or a raised mat; you stand beside it, facing its tail.",
	dog.Forward:   "The dog stands or sits; you kneel in front of it.",
	dog.OnSide:    "The dog lies on its side, a helper at its head.",
	dog.OnBack:    "The dog lies on its back between your knees.",
	dog.OnLap:     "The dog sits on your lap, its back against you.",
	dog.FromStool: "The dog stands on the table; you sit on a stool, the foot at the height of your eyes.",
}

// Holds are the holds of the paws that are done on a day, in the order of the work.
func (d Day) Holds(h dog.Handling, left bool) []Hold {
	var holds []Hold
	seen := map[nail.Paw]bool{}
	for _, s := range d.Stops {
		if !seen[s.Code.Paw] {
			seen[s.Code.Paw] = true
			holds = append(holds, HoldOf(s.Code.Paw, h, left))
		}
	}
	return holds
}
