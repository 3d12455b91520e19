package dog

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/quick"
)

// Feet is all of a dog's nails as its sittings left them.
type Feet struct {
	dog   Dog
	on    date.Date // of the last sitting; zero when there was none
	known date.Date // of the last sitting or check
	check Check     // the last one
	toes  []toe
}

// toe is one nail as its own last record left it.
type toe struct {
	Nail
	on           date.Date // of that record; zero when there is none
	trimmed      date.Date // when something last came off; zero when nothing ever did
	claw         claw.Claw
	stood        claw.Claw // the nail when its gap was last known, which fixes the toe's height
	stoodGap     float64   // that gap, mm
	lengthSD     float64
	lengthSource estimate.Source
	gapSD        float64
	gapSource    estimate.Source
	spare        quick.Spare
	spareSource  estimate.Source
	endLength    float64 // where its trims end, mm: the first one, or the last that was measured
	endSpare     float64 // and how far from the quick, mm: the first, or the last that was seen
	bled         bool
	pastPad      bool // seen to reach past its pad, and not trimmed since
}

// FeetAfter folds a dog's sittings and walk-round checks, in any order, into its feet. On one
// day the check comes first: one looks before one cuts.
func FeetAfter(d Dog, sittings []Sitting, checks ...Check) Feet {
	f := Feet{dog: d}
	for _, n := range d.Nails {
		f.toes = append(f.toes, newToe(d, n, d.Weights[len(d.Weights)-1].On))
	}
	type event struct {
		on  date.Date
		add func()
	}
	events := make([]event, 0, len(sittings)+len(checks))
	for _, c := range checks {
		events = append(events, event{c.On, func() { f.look(c) }})
	}
	for _, s := range sittings {
		events = append(events, event{s.On, func() { f.trim(s) }})
	}
	slices.SortStableFunc(events, func(a, b event) int { return a.on.Sub(b.on) })
	for _, e := range events {
		f.known = e.on
		e.add()
	}
	return f
}

// Hair tells whether hair was seen between the pads at the last walk-round.
func (f Feet) Hair() bool { return f.check.Hair }

func (f *Feet) trim(s Sitting) {
	f.on = s.On
	for i := range f.toes {
		for _, r := range s.Records {
			if r.Code == f.toes[i].Code {
				f.toes[i] = f.toes[i].after(f.dog, s.On, r)
			}
		}
	}
}

func (f *Feet) look(c Check) {
	f.check = c
	unexplained := c.Clicks && !c.touches()
	for i := range f.toes {
		t := f.toes[i]
		l := c.look(t.Code)
		t = t.after(f.dog, c.On, Record{Code: l.Code, LengthBefore: l.Length, GapBefore: l.Gap})
		t.pastPad = l.PastPad || t.pastPad && l.Gap == nil
		if unexplained && l.Gap == nil {
			t = t.maybeTouching(f.dog, c.On)
		}
		f.toes[i] = t
	}
}

// maybeTouching is a nail that nobody looked at on a dog that was heard to click: one of them touches.
func (t toe) maybeTouching(d Dog, day date.Date) toe {
	t.stood, t.stoodGap = t.claw.Grown(t.at(d, day).grown), claw.TouchGap
	t.gapSD, t.gapSource = assumedGapSD, estimate.Assumed
	return t
}

// newToe is a nail that nobody has measured: of the usual form for the dog's size, and just
// touching the floor, as an untrimmed nail is taken to.
func newToe(d Dog, n Nail, day date.Date) toe {
	c := claw.Assumed(n.Code, n.Shape, d.WeightOn(day))
	return toe{
		Nail: n, claw: c, stood: c, stoodGap: claw.TouchGap,
		lengthSD: assumedLengthShare * c.Length, lengthSource: estimate.Assumed,
		gapSD: assumedGapSD, gapSource: estimate.Assumed,
		spare: quick.Assumed(c.Length), spareSource: estimate.Assumed,
	}
}

// after is the toe once the record's trim is done. Where nobody measures, two opinions are
// joined, each weighed by how sure it is: what the assumed rate says has grown, less what came
// off; and that the trims of one nail end about where its first one did, or where one was last
// measured. The first opinion alone would carry a year off by the whole error of the rate.
func (t toe) after(d Dog, on date.Date, r Record) toe {
	if r.leftAlone() {
		return t
	}
	if t.on.IsZero() {
		t = newToe(d, t.Nail, on)
	}
	now := t.at(d, on)
	form := claw.Assumed(t.Code, t.Shape, d.WeightOn(on))
	before, after := now.length, 0.0
	removed := r.Removed()
	switch {
	case r.LengthAfter != nil:
		after, before = *r.LengthAfter, *r.LengthAfter+removed // the cuts, or both lengths: the same sum
	case r.LengthBefore != nil:
		before, after = *r.LengthBefore, *r.LengthBefore-removed
	default:
		after = before - removed
		if removed > 0 && !t.trimmed.IsZero() {
			after = blend(after, now.grownSD, t.endLength, sameEndSD)
		}
	}
	after = math.Max(after, leastLeft*form.Length)                      // an assumed length may be shorter than what came off
	t.lengthSD = math.Min(now.lengthSD, assumedLengthShare*form.Length) // no less sure than of a nail never seen
	if r.LengthAfter != nil || r.LengthBefore != nil {
		t.lengthSD, t.lengthSource = caliperSD, estimate.Measured
	}
	t.stand(form, before, after, r)
	t.belief(now, before, removed, r)
	t.on = on
	if removed > 0 {
		t.endAt(after, r)
		t.trimmed, t.pastPad, t.bled = on, false, r.Blood
	}
	return t
}

// endAt notes where the trims of this nail end.
func (t *toe) endAt(length float64, r Record) {
	first := t.trimmed.IsZero()
	if first || r.LengthAfter != nil || r.LengthBefore != nil {
		t.endLength = length
	}
	if first || r.Blood || r.SpareLeft != nil {
		t.endSpare = t.spare.Mean
	}
}

// stand notes the trimmed nail and, when a gap was measured, how high it stood: the one after
// the trim speaks before the one before it.
func (t *toe) stand(form claw.Claw, before, after float64, r Record) {
	t.claw = form.WithLength(after)
	switch {
	case r.GapAfter != nil:
		t.stood, t.stoodGap = t.claw, *r.GapAfter
	case r.GapBefore != nil:
		t.stood, t.stoodGap = form.WithLength(before), *r.GapBefore
	default:
		return
	}
	t.gapSD, t.gapSource = feelerSD, estimate.Measured
}

// stance is the nail on the floor as its last record left it: a toe keeps its coat line's height.
func (t toe) stance() claw.Stance {
	return t.claw.AtCoatHeight(t.stood.AtGap(t.stoodGap).CoatHeight())
}

// belief is what the trim showed of the quick.
func (t *toe) belief(now nailNow, before, removed float64, r Record) {
	spare := now.spare
	if t.on.IsZero() {
		spare = quick.Assumed(before)
	}
	switch {
	case r.Blood:
		t.spare, t.spareSource = quick.Bled(r.Cuts[len(r.Cuts)-1]), estimate.Measured
		return
	case removed > 0:
		spare, t.spareSource = spare.CutDry(removed), estimate.Learnt
		if !t.trimmed.IsZero() {
			spare.Mean = blend(spare.Mean, now.grownSD, t.endSpare, sameEndSD)
		}
	}
	if left, tells := quick.LeftAt(r.EndFace, t.Colour, t.claw.Depth); tells && removed > 0 {
		spare = spare.Joined(left)
	}
	if r.SpareLeft != nil {
		spare, t.spareSource = spare.Seen(*r.SpareLeft), estimate.Measured
	}
	t.spare = spare
}

// nailNow is a toe's nail on a later day.
type nailNow struct {
	grown, grownSD   float64 // since the last record, mm
	length, lengthSD float64
	spare            quick.Spare
}

// at is the toe's nail on a day not before its last record.
func (t toe) at(d Dog, day date.Date) nailNow {
	if t.on.IsZero() {
		return nailNow{length: t.claw.Length, lengthSD: t.lengthSD, spare: t.spare}
	}
	weeks := float64(day.Sub(t.on)) / 7
	rate := d.RateOn(t.Code, t.on)
	most := longest * claw.Assumed(t.Code, t.Shape, d.WeightOn(day)).Length
	grown, sd := math.Min(rate.Mean*weeks, math.Max(0, most-t.claw.Length)), rate.SD*weeks
	return nailNow{
		grown: grown, grownSD: sd,
		length: t.claw.Length + grown, lengthSD: math.Hypot(t.lengthSD, sd),
		spare: quick.NewDrift(rate.Mean, rate.SD, claw.SizeFactor(d.WeightOn(t.on))).After(t.spare, weeks),
	}
}

// blend is the mean of two opinions, each weighed by how sure it is.
func blend(a, aSD, b, bSD float64) float64 {
	return (a*bSD*bSD + b*aSD*aSD) / (aSD*aSD + bSD*bSD)
}
