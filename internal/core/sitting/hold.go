package sitting

import (
	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Hold is how one paw is held.
type Hold struct {
	Paw        nail.Paw
	Position   dog.Position
	LeftHanded bool       // the cutter is in the left hand
	Place      say.Line   // where the dog is, and where you are
	Limb       say.Line   // the limb in its natural line
	Pull       say.Line   // what to do when it pulls
	Hands      say.Line   // which hand holds what
	Safety     []say.Line // what keeps hand, helper and dog safe
}

// What is said of a hold (trade, common practice with no source).
const (
	// Support is what every hold has in common.
	Support say.Key = "hold.support"

	onTable    say.Key = "hold.place_standing"
	kneeling   say.Key = "hold.place_forward"
	lying      say.Key = "hold.place_on_side"
	onBack     say.Key = "hold.place_on_back"
	onLap      say.Key = "hold.place_lap"
	onStool    say.Key = "hold.place_stool"
	onGround   say.Key = "hold.place_ground"
	atChest    say.Key = "hold.place_chest"
	armchaired say.Key = "hold.place_armchair"

	liftBack   say.Key = "hold.limb_back"
	ownBend    say.Key = "hold.limb_bend"
	foldUnder  say.Key = "hold.limb_under"
	straight   say.Key = "hold.limb_straight"
	staysDown  say.Key = "hold.limb_down"
	atElbow    say.Key = "hold.pull_elbow"
	atKnee     say.Key = "hold.pull_knee"
	downAgain  say.Key = "hold.pull_down"
	rightHand  say.Key = "hold.hands_right"
	leftHand   say.Key = "hold.hands_left"
	forearm    say.Key = "hold.safe_forearm"
	noWeight   say.Key = "hold.safe_no_weight"
	lowElbow   say.Key = "hold.safe_lower_elbow"
	neverAlone say.Key = "hold.safe_never_alone"
	soreLean   say.Key = "hold.safe_sore"
)

var places = map[dog.Position]say.Key{
	dog.Standing:  onTable,
	dog.Forward:   kneeling,
	dog.OnSide:    lying,
	dog.OnBack:    onBack,
	dog.OnLap:     onLap,
	dog.FromStool: onStool,
	dog.OnGround:  onGround,
	dog.AtChest:   atChest,
	dog.Armchair:  armchaired,
}

func line(k say.Key) say.Line { return say.Line{Key: k} }

// HoldOf is the hold of a paw in the position that the dog has for it, of one that may bite or not.
func HoldOf(paw nail.Paw, h dog.Handling, left, mayBite bool) Hold {
	position := h.PositionOf(paw)
	hold := Hold{Paw: paw, Position: position, LeftHanded: left, Place: line(places[position]), Hands: line(rightHand)}
	if left {
		hold.Hands = line(leftHand)
	}
	raised := position == dog.Standing || position == dog.FromStool
	hind := paw.Hind()
	switch {
	case position == dog.OnGround:
		hold.Limb, hold.Pull = line(staysDown), line(downAgain)
	case hind && raised:
		hold.Limb = line(liftBack)
	case hind:
		hold.Limb = line(ownBend)
	case raised:
		hold.Limb = line(foldUnder)
	default:
		hold.Limb = line(straight)
	}
	switch {
	case position == dog.OnGround:
	case hind:
		hold.Pull = line(atKnee)
	default:
		hold.Pull = line(atElbow)
	}
	for _, one := range []struct {
		is   bool
		says say.Key
	}{
		{mayBite, forearm}, {position == dog.AtChest || position == dog.OnSide, noWeight}, {position == dog.OnSide, lowElbow},
		{raised, neverAlone}, {h.Sore, soreLean},
	} {
		if one.is {
			hold.Safety = append(hold.Safety, line(one.says))
		}
	}
	return hold
}

// Holds are the holds of the paws that are done on the first day of a plan, in the order of the work.
func (q Question) Holds(p Plan) []Hold {
	if len(p.Days) == 0 {
		return nil
	}
	var holds []Hold
	seen := map[nail.Paw]bool{}
	for _, s := range p.Days[0].Stops {
		if !seen[s.Code.Paw] {
			seen[s.Code.Paw] = true
			holds = append(holds, HoldOf(s.Code.Paw, q.Dog.Handling, q.LeftHanded, q.MayBite()))
		}
	}
	return holds
}
