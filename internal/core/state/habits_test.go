package state_test

import (
	"math"
	"math/rand/v2"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
	"fribbet/internal/core/virtual"
)

// habit is what somebody tells of a sitting.
type habit struct {
	name              string
	every, end        bool // each face, or only the last one's
	measured, feelers bool
	sliver            float64        // mm for a nail 7 mm deep; 0 is 1
	stop              quick.EndPoint // at which the hand stops; empty is the first sign
	said              state.Ended
	plan              bool // it tells the plan's amounts, whatever came off
	world             virtual.World
}

func eighteen() []state.Traits {
	var nails []state.Traits
	for i, c := range nail.All() {
		if c.Standard() {
			colour := nail.Dark
			if i%4 == 0 {
				colour = nail.Light
			}
			nails = append(nails, state.Traits{Code: c, Colour: colour, Shape: nail.Usual})
		}
	}
	return nails
}

// trim takes slivers until the first sign and tells of it what the habit tells.
func (h habit) trim(d *virtual.Dog, s *state.State, i int) state.Event {
	n := d.Nails[i]
	e := state.Event{Nail: n.Code, Trim: true, Work: state.Work{Ended: h.said, Stop: h.stop, Assumed: h.plan}}
	if h.measured {
		before := d.Measured(i)
		e.Length = &before
	}
	size := math.Min(1, n.Form.Depth/quick.SignsDepth)
	sliver, most := size, 12
	if h.sliver > 0 {
		sliver, most = h.sliver*size, 30
	}
	if h.feelers {
		sliver, most = size/2, 2
	}
	for range most {
		face := d.Cut(i, sliver)
		c := state.Slice{MM: sliver}
		if h.every {
			c.Face = face
		}
		e.Cuts = append(e.Cuts, c)
		if h.end {
			e.EndFace = face
		}
		if face == quick.Blood {
			e.Blood = true
			e.EndFace = ""
			e.Cuts[len(e.Cuts)-1].Face = ""
		}
		if face.Ends() || !h.feelers && face.FirstSign() && h.stop != quick.Full {
			break
		}
	}
	if h.plan { // down to where the sign should show, by what was believed
		planned := max(1, int((s.Spare(i).Mean-signSpare*size)/sliver))
		e.Cuts = slices.Repeat([]state.Slice{{MM: sliver}}, planned)
	}
	if h.measured {
		after := d.Measured(i)
		e.After = &after
	}
	return e
}

// held counts how often the truth lay in the middle 90 % of what was believed.
type held struct{ in, all int }

func (h *held) count(truth float64, n state.Normal) {
	h.all++
	if math.Abs(truth-n.Mean) <= z90*n.SD {
		h.in++
	}
}

func (h held) share() float64 { return 100 * float64(h.in) / float64(h.all) }

// touchedBy counts whether any nail that surely stands clear has truly touched by the day at which one in
// ten should have: every forecast that is told.
func touchedBy(d *virtual.Dog, s *state.State, h *held) {
	var floored []int
	for i, n := range d.Nails {
		if !n.Code.Dewclaw() {
			floored = append(floored, i)
		}
	}
	clear := s.SurelyClear(floored)
	low, high := 0.0, 20.0
	for range 8 {
		if mid := (low + high) / 2; s.TouchingOnce(clear, d.Where, mid) < 0.1 {
			low = mid
		} else {
			high = mid
		}
	}
	if len(clear) == 0 || low > 17 { // farther ahead no date is told
		return
	}
	h.all++
	for _, i := range clear {
		if n := d.Nails[i]; n.Floor-n.Length <= d.Rate(i)*low {
			h.in++
			return
		}
	}
}

// follow lets a habit run for half a year at one rhythm and counts before each trim.
func follow(h habit, weeks float64) (length, spare, floor, gap, rate, cautious held) {
	h.follow(weeks, func(d *virtual.Dog, s *state.State, _ float64) {
		for i, n := range d.Nails {
			length.count(n.Length, s.Length(i))
			spare.count(n.Spare, s.Spare(i))
			rate.count(d.Rate(i), s.Rate(i, d.Where))
			if !n.Code.Dewclaw() {
				floor.count(n.Floor-n.Length, s.ToFloor(i))
				if n.Floor > n.Length { // of one that touches there is nothing to tell
					gap.all++
					left, form := s.ToFloor(i), n.Form.WithLength(s.Length(i).Mean)
					truth := gapOf(n.Form.WithLength(n.Length), n.Floor-n.Length)
					if gapOf(form, left.Mean-z90*left.SD) <= truth && truth <= gapOf(form, left.Mean+z90*left.SD) {
						gap.in++
					}
				}
			}
		}
	}, func(d *virtual.Dog, s *state.State) { touchedBy(d, s, &cautious) })
	return length, spare, floor, gap, rate, cautious
}

// gapOf is the gap of a nail that has so much growth left to the floor, mm, as a reading tells it.
func gapOf(form claw.Claw, left float64) float64 {
	return math.Max(0, form.AtGrowthToFloor(math.Max(0, left)).Gap())
}

// follow lets the habit run for half a year, and shows every dog before and after each of its sittings.
func (h habit) follow(
	weeks float64,
	before func(d *virtual.Dog, s *state.State, week float64),
	after func(d *virtual.Dog, s *state.State),
) {
	r := rand.New(rand.NewPCG(12, 26))
	for k := range coveredDogs {
		where := growth.Where{Age: 60 + 3*float64(k), Weight: 3 + 0.44*float64(k), Pavement: float64(k % 12)}
		ago := float64(k%6) + 1
		d := virtual.Draw(r, h.world, where, eighteen(), &ago)
		s := state.Prior(where, eighteen(), &ago)
		for t := 0.0; t < halfYear; t += weeks {
			if t > 0 {
				s.Live(d.Where, weeks)
				d.Grow(weeks)
			}
			before(d, &s, t)
			for i, n := range d.Nails {
				if h.feelers && h.said != "" {
					s.Take(i, n.Form, state.Event{Nail: n.Code, Gap: felt(d.Feel(i))})
				}
				s.Take(i, n.Form, h.trim(d, &s, i))
			}
			after(d, &s)
		}
	}
}
