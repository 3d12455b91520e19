package sitting

import (
	"math"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/round"
	"fribbet/internal/core/temper"
)

// Visit is what a dog asks of a groomer at one visit, on the question's day, with whoever it needs to hold it:
// one of whom nothing is to be done that day asks for no minutes.
func (q Question) Visit() round.Dog {
	q.Helper = true
	p := For(q)
	d := round.Dog{Name: q.Dog.Name, Help: helps[q.Dog.Handling.Helper], Hard: q.hard(p.Tolerance)}
	if len(p.Days) == 0 {
		d.Takes = estimate.Estimate{Source: estimate.Assumed}
		return d
	}
	today := p.Days[0]
	d.Takes, d.Nails = today.Minutes, len(today.Stops)
	d.Minutes = max(shortest, fives(today.Minutes.At80()))
	d.Kit = kit.Needs{}
	for _, s := range today.Stops {
		if !s.Urgency.Urgent() {
			d.CanWait++
		}
		d.Kit.Add(
			kit.Needs{s.Tool.Tool: {Cuts: float64(s.cuts()), Minutes: today.Minutes.Value / float64(len(today.Stops))}},
		)
		if s.Then != nil {
			d.Kit.Add(
				kit.Needs{
					s.Then.Tool: {
						Cuts:    temper.RoundTouches,
						Minutes: temper.Seconds(kit.Grinding, temper.RoundTouches) / 60,
					},
				},
			)
		}
	}
	return d
}

// fives is minutes as they are told: by fives.
func fives(minutes float64) int { return 5 * int(math.Ceil(minutes/5)) }

var helps = map[dog.Helping]round.Help{dog.Alone: round.NoHelp, dog.Wanted: round.Preferred, dog.Needed: round.Needed}

// hard tells whether a dog must not be met tired: it fears or bites, as was said or as it was met.
func (q Question) hard(t temper.Tolerance) bool {
	if len(q.Past.Outings) == 0 {
		return q.first() == temper.Frightened
	}
	for _, paw := range t.Paws {
		if paw.Touched && (paw.Impossible || paw.Strain >= hardStrain) {
			return true
		}
	}
	return q.Dog.Handling.Muzzle
}
