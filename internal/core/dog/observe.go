package dog

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// Grown is what one nail grew between two days, as the dog's own records show it.
type Grown struct {
	growth.Observation
	From, To date.Date
}

// observer reads growth off one nail's records. It takes only what was seen or measured, never
// what was reckoned, so that nothing is learnt from a belief.
type observer struct {
	dog      Dog
	nail     Nail
	measured day   // when a length was last known, and that length
	chain    chain // of trims since the last that tells where it ended
	last     sight // where the last trim ended
	grown    []Grown
	swings   []seenSwing
}

// sight is a day on which something came off, and how far from the quick that ended.
type sight struct {
	on   date.Date
	left quick.Spare
	seen bool // by its face, by its blood, or through the horn
}

// chain is a run of trims from a day on.
type chain struct {
	from, to date.Date
	run      quick.Run
}

func chainFrom(s sight) chain { return chain{s.on, s.on, quick.RunFrom(s.left)} }

// day is a day with a length in mm.
type day struct {
	on     date.Date
	length float64
}

// seenSwing is a nail between two sightings of its quick; its rate is filled in when it is known.
type seenSwing struct {
	quick.Swing
	code nail.Code
	on   date.Date
}

// observe reads a dog's events in their order.
func observe(d Dog, events []event) (grown []Grown, swings []seenSwing, sightings int) {
	for _, n := range d.Nails {
		if n.State == nail.Torn || n.State == nail.Broken {
			continue // a broken or torn nail gives no observation
		}
		o := observer{dog: d, nail: n}
		for _, e := range events {
			switch {
			case e.sitting != nil:
				for _, r := range e.sitting.Records {
					if r.Code == n.Code && !r.leftAlone() {
						o.record(e.on, r)
					}
				}
			default:
				o.look(e.on, e.check.look(n.Code))
			}
		}
		o.slivers(o.last.left)
		grown, swings = append(grown, o.grown...), append(swings, o.swings...)
	}
	seen := map[date.Date]bool{}
	for _, s := range swings {
		seen[s.on] = true
	}
	return grown, swings, len(seen)
}

func (o *observer) look(on date.Date, l Look) {
	if l.State != nil && (*l.State == nail.Torn || *l.State == nail.Broken) {
		o.slivers(o.last.left) // what grew before it broke
		o.measured, o.last, o.chain = day{}, sight{}, chain{}
		return
	}
	if l.Length != nil {
		o.lengths(on, *l.Length, math.Sqrt2*caliperSD)
		o.measured = day{on, *l.Length}
	}
}

func (o *observer) record(on date.Date, r Record) {
	removed := r.Removed()
	known := false
	switch {
	case r.LengthBefore != nil:
		known = o.lengths(on, *r.LengthBefore, math.Sqrt2*caliperSD)
	case r.LengthAfter != nil:
		known = o.lengths(on, *r.LengthAfter+removed, math.Hypot(math.Sqrt2*caliperSD, cutsSD(r)))
	}
	if removed > 0 {
		o.trim(on, removed, known, r)
	}
	switch {
	case r.LengthAfter != nil:
		o.measured = day{on, *r.LengthAfter}
	case r.LengthBefore != nil:
		o.measured = day{on, *r.LengthBefore - removed}
	case removed > 0:
		o.measured = day{}
	}
}

// lengths notes growth from the last known length to this one; it tells whether there was one.
func (o *observer) lengths(on date.Date, length, sd float64) bool {
	if o.measured.on.IsZero() || !on.After(o.measured.on) {
		return false
	}
	o.note(o.measured.on, on, length-o.measured.length, sd, false)
	return true
}

// trim notes what came off. Where no length told, what came off is what grew, once the quick's own
// move between the trims is reckoned as usual.
func (o *observer) trim(on date.Date, removed float64, known bool, r Record) {
	now := o.endOf(on, r)
	later := !o.last.on.IsZero() && on.After(o.last.on)
	if later {
		o.swing(removed, now, r)
	}
	switch {
	case known || !later:
		o.chain = chainFrom(now)
	default:
		o.chain.run = o.chain.run.Trim(o.dog.followUsual(on), float64(on.Sub(o.chain.to))/7, removed, cutsSD(r))
		o.chain.to = on
		if now.seen || on.Sub(o.chain.from) >= chainDays || o.dog.PavementOn(o.chain.from) != o.dog.PavementOn(on) {
			o.slivers(now.left)
			o.chain = chainFrom(now)
		}
	}
	o.last = now
}

// slivers notes growth from a run of trims that ended so far from the quick.
func (o *observer) slivers(left quick.Spare) {
	if c := o.chain; c.to.After(c.from) {
		weeks := float64(c.to.Sub(c.from)) / 7
		rate, sd := c.run.Rate(left)
		o.note(c.from, c.to, rate*weeks, sd*weeks, true)
	}
}

// swing notes the spare between two sightings of the quick.
func (o *observer) swing(removed float64, now sight, r Record) {
	if now.seen && o.last.seen {
		o.swings = append(o.swings, seenSwing{quick.Swing{
			Weeks: float64(now.on.Sub(o.last.on)) / 7, Start: o.last.left.Mean, End: removed + now.left.Mean,
			SD: math.Sqrt(now.left.SD*now.left.SD + o.last.left.SD*o.last.left.SD + cutsSD(r)*cutsSD(r)),
		}, o.nail.Code, now.on})
	}
}

func (o *observer) note(from, to date.Date, grown, sd float64, slivers bool) {
	o.grown = append(o.grown, Grown{growth.Observation{
		Nail: o.nail.Code, Group: o.nail.Code.Group(), Weeks: float64(to.Sub(from)) / 7, Grown: grown, SD: sd,
		Pavement: o.dog.pavementOver(from, to), Age: o.dog.AgeWeeks(to), Weight: o.dog.WeightOn(to), Slivers: slivers,
	}, from, to})
}

// endOf is how far from the quick a trim ended. Where nobody saw it, a trim ends somewhere between
// the margin and where the quick holds still; the first one, often a single sliver, anywhere.
func (o *observer) endOf(on date.Date, r Record) sight {
	form := claw.Assumed(o.nail.Code, o.nail.Shape, o.dog.WeightOn(on))
	left, seen := quick.LeftAt(r.EndFace, form.Depth)
	switch {
	case r.Blood:
		left, seen = quick.Bled(r.Cuts[len(r.Cuts)-1]), true
	case r.SpareLeft != nil && seen:
		left = left.Seen(*r.SpareLeft)
	case r.SpareLeft != nil:
		left, seen = quick.SeenAt(*r.SpareLeft), true
	case seen:
	case o.last.on.IsZero():
		left = quick.Assumed(form.Length).CutDry(r.Removed())
	default:
		rest := o.dog.followUsual(on).Rest
		left = quick.Spare{Mean: rest / 2, SD: rest / 3}
	}
	return sight{on, left, seen}
}

// cutsSD is how far the cuts of a record may be off together, mm; measured at both ends, they do not count.
func cutsSD(r Record) float64 {
	if r.LengthBefore != nil && r.LengthAfter != nil {
		return 0
	}
	return cutSD * math.Sqrt(float64(len(r.Cuts)))
}
