package sitting

import (
	"cmp"
	"slices"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// order is the paws of a sitting, first to last, and why.
type order struct {
	paws []nail.Paw
	why  say.Line
}

// order is the keeper's school, turned into paws.
func (q Question) order(t temper.Tolerance) order {
	hindFirst := []nail.Paw{nail.LH, nail.RH, nail.LF, nail.RF}
	hardest, standsOut := t.Hardest()
	without := slices.DeleteFunc(slices.Clone(hindFirst), func(p nail.Paw) bool { return p == hardest })
	switch school := q.Dog.Handling.Order; {
	case school == dog.OwnOrder:
		return order{q.Dog.Handling.OwnOrder, say.Of(yourOwnOrder)}
	case school == dog.LowerFirst:
		return order{[]nail.Paw{nail.RH, nail.RF, nail.LH, nail.LF}, say.Of(lyingOnItsRightSide)}
	case school == dog.HardestFirst && standsOut:
		return order{
			append([]nail.Paw{hardest}, without...),
			say.Of(firstTheHardestWhileThe, say.Args{"paw": nail.SaidPaws(hardest)}),
		}
	case school == dog.HardestLast && standsOut:
		return order{append(without, hardest), say.Of(lastTheHardestSoThat, say.Args{"paw": nail.SaidPaws(hardest)})}
	default:
		return order{hindFirst, say.Of(hindFirstMostDogsMind)}
	}
}

// compare puts nails in the order of the paws; in one paw light nails first, which show how
// far the dark ones go, then from the inside out with the dewclaw last.
func (o order) compare(a, b PlannedNail) int {
	light := func(s PlannedNail) int {
		if s.Colour == nail.Light {
			return 0
		}
		return 1
	}
	outward := func(s PlannedNail) int {
		if s.Code.Dewclaw() {
			return 6
		}
		return int(s.Code.Digit)
	}
	return cmp.Or(
		cmp.Compare(slices.Index(o.paws, a.Code.Paw), slices.Index(o.paws, b.Code.Paw)),
		cmp.Compare(light(a), light(b)),
		cmp.Compare(outward(a), outward(b)),
		a.Code.Compare(b.Code),
	)
}

// arrange puts one day's nails into the order of the work and says, where there is more to say
// than that its paw is at hand, why a nail stands there.
func (o order) arrange(stops []PlannedNail) {
	slices.SortStableFunc(stops, func(a, b PlannedNail) int {
		return cmp.Or(cmp.Compare(curls(b), curls(a)), o.compare(a, b))
	})
	dark := slices.ContainsFunc(stops, func(s PlannedNail) bool { return s.Colour != nail.Light })
	for i := range stops {
		s := &stops[i]
		first := i == 0 || stops[i-1].Code.Paw != s.Code.Paw || curls(stops[i-1]) == 1
		switch {
		case s.Urgency == Curls && s.Unseen():
			s.Why = say.Of(aDewclawThatMayCurl)
		case s.Urgency == Curls:
			s.Why = say.Of(aCurlingDewclawComesBefore)
		case s.Colour == nail.Light && dark && first:
			s.Why = say.Of(lightShowsHowFarThe)
		case (i == 0 || curls(stops[i-1]) == 1) && s.Code.Paw == o.paws[0]:
			s.Why = o.why
		case s.Urgency == OnFloor && s.Looked:
			s.Why = say.Of(touchesTheFloor)
		case s.Urgency == OnFloor:
			s.Why = say.Of(probablyTouchesTheFloor)
		case s.Code.Dewclaw():
			s.Why = say.Of(aDewclawLittleButEvery)
		}
	}
}

func curls(s PlannedNail) int {
	if s.Urgency == Curls {
		return 1
	}
	return 0
}
