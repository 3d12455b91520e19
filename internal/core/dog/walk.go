package dog

import (
	"fmt"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
)

// Look is what was seen of one nail on a walk-round. What nobody looked at stays nil.
type Look struct {
	Code    nail.Code
	Gap     *float64 // to the floor, mm
	Length  *float64 // mm
	PastPad bool     // it reaches past its pad
	Present *bool    // whether the nail is there at all: a dewclaw may be, or not
	Colour  *nail.Colour
	Shape   *nail.Shape
	State   *nail.State
}

// Check is a walk round a dog that stands on a flat hard floor: is it due?
type Check struct {
	On       date.Date
	Clicks   bool // on a hard floor
	Hair     bool // between the pads
	Swelling bool // swelling, discharge or a bad smell
	Limping  bool
	Breaking bool // several nails breaking or falling off
	Looks    []Look
}

// look is what was seen of a nail; nothing but its code when nobody looked at it.
func (c Check) look(code nail.Code) Look {
	for _, l := range c.Looks {
		if l.Code == code {
			return l
		}
	}
	return Look{Code: code}
}

// touches tells whether a nail was seen that touches the floor or reaches past its pad: what clicks.
func (c Check) touches() bool {
	return slices.ContainsFunc(c.Looks, func(l Look) bool {
		return l.PastPad || l.Gap != nil && *l.Gap == claw.TouchGap
	})
}

// flags are the red ones: each a veterinarian's matter.
func (c Check) flags() []string {
	var flags []string
	for _, f := range []struct {
		is    bool
		words string
	}{
		{c.Swelling, "Swelling, discharge or a bad smell at a nail: call a veterinarian."},
		{c.Limping, "Limping: call a veterinarian."},
		{c.Breaking, "Several nails breaking or falling off: call a veterinarian."},
	} {
		if f.is {
			flags = append(flags, f.words)
		}
	}
	return flags
}

// Check returns the fields of a walk-round that cannot be for this dog; nil when it is sound.
func (c Check) Check(d Dog, today date.Date) fault.Fields {
	var f fault.Fields
	d.checkDay(&f, c.On, today)
	seen := map[nail.Code]bool{}
	for i, l := range c.Looks {
		var one fault.Fields
		if _, has := d.Nail(l.Code); has || seen[l.Code] || l.Present == nil || !*l.Present {
			d.checkCode(&one, l.Code, seen)
		}
		seen[l.Code] = true
		if l.Gap != nil {
			one.Range("gap_mm", *l.Gap, 0, claw.MostGap, "mm")
		}
		if l.Length != nil {
			one.Range("length_mm", *l.Length, 1, mostLength, "mm")
		}
		f.Under(fmt.Sprintf("looks[%d]", i), one)
	}
	return f
}

// Seen returns the dog with its nails as the walk-round saw them.
func (d Dog) Seen(c Check) Dog {
	nails := slices.Clone(d.Nails)
	for _, l := range c.Looks {
		at := slices.IndexFunc(nails, func(n Nail) bool { return n.Code == l.Code })
		switch {
		case l.Present != nil && !*l.Present && at >= 0:
			nails = slices.Delete(nails, at, at+1)
			continue
		case at < 0 && l.Present != nil && *l.Present:
			nails = append(nails, Nail{l.Code, nail.Sound, nail.Unknown, nail.Usual})
			at = len(nails) - 1
		case at < 0:
			continue
		}
		set(&nails[at].Colour, l.Colour)
		set(&nails[at].Shape, l.Shape)
		set(&nails[at].State, l.State)
	}
	slices.SortFunc(nails, func(a, b Nail) int { return a.Code.Compare(b.Code) })
	d.Nails = nails
	return d
}
