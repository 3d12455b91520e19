package dog

import (
	"math"
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/quick"
)

// Feet is all of a dog's nails as its sittings left them.
type Feet struct {
	body
	on    date.Date // of the last sitting; zero when there was none
	known date.Date // of the last sitting or check
	check Check     // the last one
	toes  []toe
}

// toe is one nail as its own last record left it.
type toe struct {
	Nail         `json:"-"` // the dog's own
	On           date.Date  `json:",omitzero"` // of that record; zero when there is none
	Trimmed      date.Date  `json:",omitzero"` // when something last came off; zero when nothing ever did
	Claw         claw.Claw
	Height       float64 // of the coat line above the floor, as the nail stood when its gap was last known, mm
	LengthSD     float64
	LengthSource estimate.Source
	GapSD        float64
	GapSource    estimate.Source
	Spare        quick.Spare
	SpareSource  estimate.Source
	EndLength    float64 // where its trims end, mm: the first one, or the last that was measured
	EndSpare     float64 // and how far from the quick, mm: the first, or the last that was seen
	Bled         bool    `json:",omitzero"`
	PastPad      bool    `json:",omitzero"` // seen to reach past its pad, and not trimmed since
}

// FeetAfter folds a dog's sittings and walk-round checks, in any order, into its feet, once
// it has learnt from them how fast this dog's nails grow.
func FeetAfter(d Dog, sittings []Sitting, checks ...Check) Feet {
	return fold(d, eventsOf(sittings, checks), func(date.Date, Feet) {})
}

// fold runs through a dog's events and tells after each how the feet were.
func fold(d Dog, events []event, after func(on date.Date, f Feet)) Feet {
	f := Feet{body: body{d, learn(d, events)}}
	for _, n := range d.Nails {
		f.toes = append(f.toes, newToe(d, n, d.Weights[len(d.Weights)-1].On))
	}
	for _, e := range events {
		f.known = e.on
		if e.sitting != nil {
			f.trim(*e.sitting)
		} else {
			f.look(*e.check)
		}
		after(e.on, f)
	}
	return f
}

// Hair tells whether hair was seen between the pads at the last walk-round.
func (f Feet) Hair() bool { return f.check.Hair }

// Closed tells whether the last walk-round saw what is a veterinarian's matter for the dog as a
// whole, and what in a few words: no nail is trimmed until a later one says that it is over.
func (f Feet) Closed() (string, bool) {
	flags := f.check.flags()
	return strings.Join(flags, ", "), len(flags) > 0
}

func (f *Feet) trim(s Sitting) {
	f.on = s.On
	for i := range f.toes {
		for _, r := range s.Records {
			if r.Code == f.toes[i].Code {
				f.toes[i] = f.toes[i].after(f.body, s.On, r)
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
		t = t.after(f.body, c.On, Record{Code: l.Code, LengthBefore: l.Length, GapBefore: l.Gap})
		t.PastPad = l.PastPad || t.PastPad && l.Gap == nil
		if unexplained && l.Gap == nil {
			t = t.maybeTouching(f.body, c.On)
		}
		f.toes[i] = t
	}
}

// maybeTouching is a nail that nobody looked at on a dog that was heard to click: one of them touches.
func (t toe) maybeTouching(b body, day date.Date) toe {
	t.Height = t.Claw.Grown(t.at(b, day).grown).AtGap(claw.TouchGap).CoatHeight()
	t.GapSD, t.GapSource = assumedGapSD, estimate.Assumed
	return t
}

// newToe is a nail that nobody has measured: of the usual form for the dog's size, and just
// touching the floor, as an untrimmed nail is taken to.
func newToe(d Dog, n Nail, day date.Date) toe {
	c := claw.Assumed(n.Code, n.Shape, d.WeightOn(day))
	return toe{
		Nail: n, Claw: c, Height: c.AtGap(claw.TouchGap).CoatHeight(),
		LengthSD: assumedLengthShare * c.Length, LengthSource: estimate.Assumed,
		GapSD: assumedGapSD, GapSource: estimate.Assumed,
		Spare: quick.Assumed(c.Length), SpareSource: estimate.Assumed,
	}
}

// after is the toe once the record's trim is done. Where a length was ever measured, it and what
// came off since are the length. Where nobody measures, two opinions are joined, each weighed by how sure it is: what the assumed rate says has grown, less what came
// off; and that the trims of one nail end about where its first one did, or where one was last
// measured. The first opinion alone would carry a year off by the whole error of the rate.
func (t toe) after(b body, on date.Date, r Record) toe {
	if r.leftAlone() {
		return t
	}
	if t.On.IsZero() {
		t = newToe(b.Dog, t.Nail, on)
	}
	now := t.at(b, on)
	form := claw.Assumed(t.Code, t.Shape, b.WeightOn(on))
	before, after := now.length, 0.0
	removed := r.Removed()
	switch {
	case r.LengthAfter != nil:
		after, before = *r.LengthAfter, *r.LengthAfter+removed // the cuts, or both lengths: the same sum
	case r.LengthBefore != nil:
		before, after = *r.LengthBefore, *r.LengthBefore-removed
	default:
		after = before - removed
		if removed > 0 && !t.Trimmed.IsZero() && t.LengthSource != estimate.Measured {
			after = blend(after, now.grownSD, t.EndLength, sameEndSD)
		}
	}
	after = math.Max(after, leastLeft*form.Length)                      // an assumed length may be shorter than what came off
	t.LengthSD = math.Min(now.lengthSD, assumedLengthShare*form.Length) // no less sure than of a nail never seen
	if r.LengthAfter != nil || r.LengthBefore != nil {
		t.LengthSD, t.LengthSource = caliperSD, estimate.Measured
	}
	t.stand(form, before, after, r)
	t.belief(now, before, removed, r)
	t.On = on
	if removed > 0 {
		t.endAt(after, r)
		t.Trimmed, t.PastPad, t.Bled = on, false, r.Blood
	}
	return t
}

// endAt notes where the trims of this nail end.
func (t *toe) endAt(length float64, r Record) {
	first := t.Trimmed.IsZero()
	if first || r.LengthAfter != nil || r.LengthBefore != nil {
		t.EndLength = length
	}
	if first || r.Blood || r.SpareLeft != nil {
		t.EndSpare = t.Spare.Mean
	}
}

// stand notes the trimmed nail and, when a gap was measured, how high it stood: the one after
// the trim speaks before the one before it.
func (t *toe) stand(form claw.Claw, before, after float64, r Record) {
	t.Claw = form.WithLength(after)
	switch {
	case r.GapAfter != nil:
		t.Height = t.Claw.AtGap(*r.GapAfter).CoatHeight()
	case r.GapBefore != nil:
		t.Height = form.WithLength(before).AtGap(*r.GapBefore).CoatHeight()
	default:
		return
	}
	t.GapSD, t.GapSource = feelerSD, estimate.Measured
}

// stance is the nail on the floor as its last record left it: a toe keeps its coat line's height.
func (t toe) stance() claw.Stance {
	return t.Claw.AtCoatHeight(t.Height)
}

// belief is what the trim showed of the quick.
func (t *toe) belief(now nailNow, before, removed float64, r Record) {
	spare := now.spare
	if t.On.IsZero() {
		spare = quick.Assumed(before)
	}
	switch {
	case r.Blood:
		t.Spare, t.SpareSource = quick.Bled(r.Cuts[len(r.Cuts)-1]), estimate.Measured
		return
	case removed > 0:
		spare, t.SpareSource = spare.CutDry(removed), estimate.Learnt
		if !t.Trimmed.IsZero() {
			spare.Mean = blend(spare.Mean, now.grownSD, t.EndSpare, sameEndSD)
		}
	}
	if left, tells := quick.LeftAt(r.EndFace, t.Claw.Depth); tells && removed > 0 {
		spare = left // alone: one dog's way of showing faces is no new evidence every time
	}
	if r.SpareLeft != nil {
		spare, t.SpareSource = spare.Seen(*r.SpareLeft), estimate.Measured
	}
	t.Spare = spare
}

// nailNow is a toe's nail on a later day.
type nailNow struct {
	grown, grownSD   float64 // since the last record, mm
	length, lengthSD float64
	spare            quick.Spare
}

// at is the toe's nail on a day not before its last record.
func (t toe) at(b body, day date.Date) nailNow {
	if t.On.IsZero() {
		return nailNow{length: t.Claw.Length, lengthSD: t.LengthSD, spare: t.Spare}
	}
	weeks := float64(day.Sub(t.On)) / 7
	rate := b.rateFrom(t.Code, t.On, day)
	most := longest * claw.Assumed(t.Code, t.Shape, b.WeightOn(day)).Length
	grown, sd := math.Min(rate.Mean*weeks, math.Max(0, most-t.Claw.Length)), rate.SD*weeks
	return nailNow{
		grown: grown, grownSD: sd,
		length: t.Claw.Length + grown, lengthSD: math.Hypot(t.LengthSD, sd),
		spare: b.drift(rate).After(t.Spare, weeks),
	}
}

// blend is the mean of two opinions, each weighed by how sure it is.
func blend(a, aSD, b, bSD float64) float64 {
	return (a*bSD*bSD + b*aSD*aSD) / (aSD*aSD + bSD*bSD)
}
