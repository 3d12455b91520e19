package record

import (
	"fmt"
	"reflect"
	"slices"
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Look is what was seen of one nail on a walk-round. What nobody looked at stays nil.
type Look struct {
	Code    nail.Code
	Gap     *measure.Number // to the floor
	Length  *measure.Number
	PastPad bool  // it reaches past its pad
	Present *bool // whether the nail is there at all: a dewclaw may be, or not
	Colour  *nail.Colour
	Shape   *nail.Shape
	State   *nail.Condition
	Sure    bool // its numbers were asked for again, and stand
}

// WalkRound is a walk round a dog that stands on a flat hard floor: is it due?
type WalkRound struct {
	On       date.Date
	Clicks   bool // on a hard floor
	Hair     bool // between the pads
	Swelling bool // swelling, discharge or a bad smell
	Limping  bool
	Sore     bool // it flinched when a leg or foot was touched: told at arrival
	Breaking bool // several nails breaking or falling off
	Looks    []Look
}

// Of is what was seen of a nail; nothing but its code when nobody looked at it.
func (c WalkRound) Of(code nail.Code) Look {
	for _, l := range c.Looks {
		if l.Code == code {
			return l
		}
	}
	return Look{Code: code}
}

// before is what is left to be told by a look once a later one is known.
func (l Look) before(later Look) Look {
	if later.Present != nil {
		l.Present = nil
	}
	if later.Colour != nil {
		l.Colour = nil
	}
	if later.Shape != nil {
		l.Shape = nil
	}
	if later.State != nil {
		l.State = nil
	}
	return l
}

// Tells tells whether another walk-round says the same.
func (c WalkRound) Tells(other WalkRound) bool {
	plain := func(c WalkRound) WalkRound {
		c.Looks = slices.Clone(c.Looks)
		for i := range c.Looks {
			c.Looks[i].Sure = false
		}
		slices.SortFunc(c.Looks, func(a, b Look) int { return a.Code.Compare(b.Code) })
		if len(c.Looks) == 0 {
			c.Looks = nil
		}
		return c
	}
	return reflect.DeepEqual(plain(c), plain(other))
}

// Touches tells whether a nail was seen that touches the floor or reaches past its pad: what clicks.
func (c WalkRound) Touches() bool {
	return slices.ContainsFunc(c.Looks, func(l Look) bool {
		return l.PastPad || l.Gap != nil && l.Gap.MM == claw.TouchGap
	})
}

// Flags are the red ones, in a few words: each a veterinarian's matter, and no nail is trimmed
// until a later walk-round no longer shows it.
func (c WalkRound) Flags() []say.Line {
	var flags []say.Line
	for _, f := range []struct {
		is    bool
		words say.Line
	}{
		{c.Swelling, say.Of(swellingDischargeOrABad)},
		{c.Limping, say.Of(limping)},
		{c.Sore, say.Of(soreWhenALegOr)},
		{c.Breaking, say.Of(severalNailsBreakingOrFalling)},
	} {
		if f.is {
			flags = append(flags, f.words)
		}
	}
	return flags
}

// Check returns the fields of a walk-round that cannot be for this dog; nil when it is sound.
func (c WalkRound) Check(d dog.Dog, today date.Date) fault.Fields {
	var f fault.Fields
	checkDay(&f, d, c.On, today)
	seen := map[nail.Code]bool{}
	for i, l := range c.Looks {
		var one fault.Fields
		if _, has := d.Nail(l.Code); has || seen[l.Code] || l.Present == nil || !*l.Present {
			checkCode(&one, d, l.Code, seen)
		}
		seen[l.Code] = true
		within(&one, "gap", measure.Gap, l.Gap)
		within(&one, "length", measure.Length, l.Length)
		doubtLook(&one, d, l, c.On)
		f.Under(fmt.Sprintf("looks[%d]", i), one)
	}
	return f
}

// doubtLook notes the numbers of a look that are asked for again.
func doubtLook(f *fault.Fields, d dog.Dog, l Look, day date.Date) {
	doubt(f, d, NailRecord{Code: l.Code, LengthBefore: l.Length, GapBefore: l.Gap, Sure: l.Sure}, day)
	for i := range *f {
		(*f)[i].Name = strings.Replace((*f)[i].Name, "_before_mm", "_mm", 1)
	}
}

// Seen returns a dog with its nails as the walk-round saw them. Others may have been told of
// later days: what one of them saw of a nail stands before what this one saw.
func (c WalkRound) Seen(d dog.Dog, others ...WalkRound) dog.Dog {
	nails := slices.Clone(d.Nails)
	for _, l := range c.Looks {
		for _, other := range others {
			if later := other.Of(l.Code); other.On.After(c.On) {
				l = l.before(later)
			}
		}
		at := slices.IndexFunc(nails, func(n dog.Nail) bool { return n.Code == l.Code })
		switch {
		case l.Present != nil && !*l.Present && at >= 0:
			nails = slices.Delete(nails, at, at+1)
			continue
		case at < 0 && l.Present != nil && *l.Present:
			nails = append(nails, dog.Nail{Code: l.Code, State: nail.Sound, Colour: nail.Unknown, Shape: nail.Usual})
			at = len(nails) - 1
		case at < 0:
			continue
		}
		tell(&nails[at].Colour, l.Colour)
		tell(&nails[at].Shape, l.Shape)
		tell(&nails[at].State, l.State)
	}
	slices.SortFunc(nails, func(a, b dog.Nail) int { return a.Code.Compare(b.Code) })
	d.Nails = nails
	return d
}

func tell[T any](field *T, seen *T) {
	if seen != nil {
		*field = *seen
	}
}
