package round

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
)

// simulated is a year of a groomer's sixty dogs; what it draws is invented.
type simulated struct {
	r       *rand.Rand
	w       Week
	dogs    []simulatedDog
	visits  []Visit
	floor   int     // dog-days with a nail on the floor
	waited  float64 // minutes past the time that was told
	waiters int     // more than ten minutes
	done    int
}

type simulatedDog struct {
	Dog
	every  int
	last   date.Date
	called bool // first come, first served: its owner has rung
	rings  int  // and does so that many days after the last visit
}

func (s *simulated) at(i int) Dog {
	d := &s.dogs[i]
	days := func(share float64) date.Date { return d.last.AddDays(int(math.Round(share * float64(d.every)))) }
	d.Window = Window{Worth: days(0.6), Due: days(1), Touches: days(1.25), Curls: days(2)}
	return d.Dog
}

func simulate(seed uint64, minutes func(middle float64) int) *simulated {
	s := &simulated{r: rand.New(rand.NewPCG(seed, 1))}
	s.w = weekdays(Hours{Stretch: Stretch{At(9, 0), At(13, 0)}, Helper: []Stretch{{At(9, 0), At(11, 0)}}})
	for i := range 60 {
		middle := 12 + 30*s.r.Float64()
		d := simulatedDog{
			Dog: Dog{
				ID:      fmt.Sprint(i),
				Minutes: minutes(middle),
				Hard:    s.r.IntN(7) == 0,
				Takes:   estimate.Estimate{Value: middle},
			},
			every: 10 + s.r.IntN(22),
		}
		if s.r.IntN(10) == 0 {
			d.Help = Needed
		}
		d.last = monday.AddDays(-s.r.IntN(d.every))
		s.dogs = append(s.dogs, d)
	}
	return s
}

// work does a day: some owners call off, some dogs take twice as long. It returns who did not come.
func (s *simulated) work(day date.Date) (lost []int) {
	at := 0.0
	for _, v := range s.w.day(s.visits, day) {
		i := 0
		_, _ = fmt.Sscan(v.Dog.ID, &i)
		if s.r.Float64() < 0.08 {
			lost = append(lost, i)
			continue
		}
		takes := v.Dog.Takes.Value * math.Exp(0.2*s.r.NormFloat64())
		if s.r.Float64() < 0.05 {
			takes *= 2
		}
		starts := math.Max(float64(v.Start), at)
		late := starts - float64(v.Start)
		if s.waited += late; late > waiting {
			s.waiters++
		}
		at = starts + takes + float64(s.w.Around)
		s.dogs[i].last, s.done = day, s.done+1
	}
	for i := range s.dogs {
		if !day.Before(s.at(i).Window.Touches) {
			s.floor++
		}
	}
	return lost
}

const simulatedDays = 364

// byRound calls on Fridays whom the coming week should see, and offers another place to who called off.
func byRound(seed uint64) *simulated {
	s := simulate(seed, func(middle float64) int { return int(math.Ceil(1.2 * middle)) })
	for n := range simulatedDays {
		day := monday.AddDays(n)
		if n%7 == 0 {
			var dogs []Dog
			for i := range s.dogs {
				dogs = append(dogs, s.at(i))
			}
			s.visits = append(s.visits, s.w.Fill(dogs, s.visits, day, day.AddDays(6)).Visits...)
		}
		for _, i := range s.work(day) {
			if offers := s.w.Offers(s.at(i), s.visits, day.AddDays(1), day.AddDays(7), 1); len(offers) > 0 {
				s.visits = append(s.visits, offers[0].Visit)
			}
		}
	}
	return s
}

// byTurn gives whoever rings the first place that is free. Owners ring about when the dog is due, early or late by
// a spread, as a share of its rhythm.
func byTurn(seed uint64, spread float64) *simulated {
	s := simulate(seed, func(middle float64) int { return int(math.Round(middle)) })
	for n := range simulatedDays {
		day := monday.AddDays(n)
		for _, i := range s.work(day) {
			s.dogs[i].called = false
		}
		for i := range s.dogs {
			d, one := s.at(i), &s.dogs[i]
			if one.last == day || one.rings == 0 {
				one.called, one.rings = false, max(3, int(float64(one.every)*(1+spread*s.r.NormFloat64())))
			}
			if one.called || day.Before(one.last.AddDays(one.rings)) {
				continue
			}
			if next := s.first(d, day.AddDays(1)); next != nil {
				s.visits, one.called = append(s.visits, *next), true
			}
		}
	}
	return s
}

func (s *simulated) first(d Dog, from date.Date) *Visit {
	for day := from; day.Before(from.AddDays(60)); day = day.AddDays(1) {
		hours, open := s.w.On(day)
		if !open {
			continue
		}
		there := s.w.day(s.visits, day)
		for _, gap := range s.w.gaps(hours, there) {
			for _, start := range s.w.starts(gap, d, hours) {
				if v := (Visit{Dog: d, On: day, Start: start, State: Agreed}); s.w.Breaks(v).Nothing() &&
					s.w.Clash(v, there).Nothing() {
					return &v
				}
			}
		}
	}
	return nil
}

// A year of sixty dogs at the same hours: fewer nails on the floor and less waiting than first come, first served
// (what is drawn, and how well owners hit the day: judgement). The page in docs tells the figures, from three draws
// each.
func TestAYearOfTheRoundIsKinderThanFirstCome(t *testing.T) {
	page, err := os.ReadFile("../../../docs/round.md")
	require.NoError(t, err)
	rows := map[string][]*simulated{}
	for seed := range uint64(3) {
		round, turn := byRound(seed), byTurn(seed, 0.25)
		assert.Less(t, round.floor, turn.floor)
		assert.Less(t, round.waited, turn.waited)
		for name, s := range map[string]*simulated{"round": round, "by turn": turn, "by turn, each owner on the very day": byTurn(seed, 0)} {
			rows[name] = append(rows[name], s)
		}
	}
	for name, draws := range rows {
		span := func(of func(*simulated) int) string {
			low, high := of(draws[0]), of(draws[0])
			for _, s := range draws {
				low, high = min(low, of(s)), max(high, of(s))
			}
			return thousands(low) + " to " + thousands(high)
		}
		row := fmt.Sprintf(
			"| %s | %s | %s | %s | %s |",
			name,
			span(func(s *simulated) int { return s.done }),
			span(func(s *simulated) int { return s.floor }),
			span(func(s *simulated) int { return int(math.Round(s.waited)) }),
			span(func(s *simulated) int { return s.waiters }),
		)
		assert.Contains(t, string(page), row, "docs/round.md lacks it")
	}
}

// thousands is a number as the page writes it.
func thousands(n int) string {
	if n < 1000 {
		return fmt.Sprint(n)
	}
	return fmt.Sprintf("%d,%03d", n/1000, n%1000)
}
