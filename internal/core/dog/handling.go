package dog

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Order is the school by which the paws follow one another.
type Order string

const (
	HindFirst    Order = "hind_first"    // most dogs mind them less, and the teeth are at the other end
	LowerFirst   Order = "lower_first"   // of a dog that lies on its side: they move less
	HardestFirst Order = "hardest_first" // while the dog is calm
	HardestLast  Order = "hardest_last"  // so that it spoils nothing
	OwnOrder     Order = "own"
)

// Position is how the dog is held.
type Position string

const (
	Standing  Position = "standing"     // on a table, the foot lifted back
	Forward   Position = "foot_forward" // standing or sitting, the foot held forward
	OnSide    Position = "on_side"      // lying, with a helper
	OnBack    Position = "on_back"      // between the knees
	OnLap     Position = "lap"
	FromStool Position = "stool"  // the groomer sits beside the table
	OnGround  Position = "ground" // the foot stays down
	AtChest   Position = "chest"  // against a helper's
	Armchair  Position = "armchair"
)

// Helping is whether somebody keeps the dog easy while another trims.
type Helping string

const (
	Alone  Helping = "alone"
	Wanted Helping = "wanted" // worth having
	Needed Helping = "needed" // not without
)

// Handling is what the keeper knows of holding this dog.
type Handling struct {
	Order    Order
	OwnOrder []nail.Paw // all four, for OwnOrder
	Position Position
	ByPaw    map[nail.Paw]Position // where one is held otherwise
	Helper   Helping
	Muzzle   bool
	// of a puppy: a nail or two a day is tipped while its paws are on a ladder; both schools have their dogs
	TipsMeanwhile bool
	Sore          bool // old or sore joints
	SoreTold      bool // somebody has said whether
	Noise         kit.Noise
	MostNails     *int     // at one sitting; nil is what its sittings tell
	MostMinutes   *float64 // the same
	Way           kit.Way  // clip, grind or both; empty is as Settings have it
	LargestCut    *float64 // mm for a nail 7 mm deep; nil is what is usual of the hand
}

// UsualHandling is that of a dog nobody has told of: hind paws first, the way for an unknown one.
func UsualHandling() Handling {
	return Handling{Order: HindFirst, Position: Standing, Helper: Alone, Noise: kit.NoiseUnknown}
}

// PositionOf is how a paw is held: its own way, or the dog's.
func (h Handling) PositionOf(paw nail.Paw) Position {
	if own, is := h.ByPaw[paw]; is {
		return own
	}
	return h.Position
}

// Positions lists them.
func Positions() []Position {
	return []Position{Standing, Forward, OnSide, OnBack, OnLap, FromStool, OnGround, AtChest, Armchair}
}

// TakesIt is how a dog takes it, as its keeper says on the first day.
type TakesIt string

const (
	Fine       TakesIt = "fine"
	Wriggles   TakesIt = "wriggles"
	Frightened TakesIt = "frightened"
	Bites      TakesIt = "bites"
)

// taking is how a dog that takes it so is held: a biter with a muzzle and never without a helper, a
// dog that wriggles or is frightened better with one (trade).
func (h Handling) taking(t TakesIt) Handling {
	switch t {
	case Bites:
		h.Muzzle, h.Helper = true, Needed
	case Wriggles, Frightened:
		h.Helper = Wanted
	case Fine:
		h.Helper = Alone
	}
	return h
}

func (h Handling) check() fault.Fields {
	var f fault.Fields
	paws := slices.Clone(h.OwnOrder)
	slices.Sort(paws)
	if h.Order == OwnOrder && len(slices.Compact(paws)) != 4 {
		f.Add("own_order", h.OwnOrder, say.Of(mustNameEachOfThe))
	}
	if h.LargestCut != nil {
		f.Range("largest_cut_mm", *h.LargestCut, kit.LeastLargest, kit.MostLargest, fault.MM)
	}
	if h.MostNails != nil && (*h.MostNails < 1 || *h.MostNails > len(nail.All())) {
		f.Add("most_nails", *h.MostNails, fault.NailsTo(len(nail.All())))
	}
	if h.MostMinutes != nil {
		f.Range("most_minutes", *h.MostMinutes, 1, mostMinutes, fault.Minutes)
	}
	return f
}

// seniorAt is the age at which a dog so heavy is asked about sore joints, years: large dogs are old
// sooner (common practice; the numbers are judgement).
func seniorAt(kg float64) float64 {
	switch {
	case kg < 10:
		return 11
	case kg < 25:
		return 10
	case kg < 45:
		return 8
	default:
		return 7
	}
}

func (d Dog) senior(on date.Date) bool {
	return d.AgeWeeks(on) >= seniorAt(d.WeightOn(on))*date.DaysPerYear/7
}

// HandlingCautions are what to know of holding a dog before it is touched, on every screen that leads
// to it, with a helper there or not.
func (d Dog) HandlingCautions(on date.Date, helped bool) []Caution {
	h := d.Handling
	var all []Caution
	for _, c := range []struct {
		is    bool
		words say.Line
	}{
		{h.Muzzle, say.Of(muzzleOnBeforeTheFirst)},
		{h.Helper == Needed && !helped, say.Of(notWithoutAHelper)},
		{h.Sore, say.Of(soreJointsLetItStand)},
		{!h.Sore && !h.SoreTold && d.senior(on), say.Of(notYoungAnyMoreAre)},
		{h.Noise == kit.NoiseAfraid, say.Of(fearsTheGrinderNoSpinning)},
	} {
		if c.is {
			all = append(all, Caution{Kind: Handle, Words: c.words})
		}
	}
	return all
}
