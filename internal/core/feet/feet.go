// Package feet is all of a dog's nails as its sittings and walk-rounds left them: one joint state, read on
// any day as lengths, spares, growth, the rank, a section and a history.
//
// In its words:
//
//   - Feet: one dog's nails after everything that was told, on a day
//   - fold: to go through sittings and looks in their order
//   - Reading: one nail on a day: length, gap, spare, rate, each with its range
//   - rank: all nails side by side, to scale
//   - look, check: what somebody saw under a nail without trimming; all looks of one round
//   - outlier: a length that was left out, since it is none of its nail
package feet

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
)

// Feet is all of a dog's nails as its sittings and looks left them: one joint state, and what was
// seen beside it.
type Feet struct {
	dog.Dog
	state    state.State
	day      date.Date        // of the state
	on       date.Date        // of the last sitting; zero when there was none
	known    date.Date        // of the last sitting or look
	check    record.WalkRound // the last one
	toes     []toe            // in the order of the dog's nails
	Outliers []Outlier        // lengths that did not fit and were left out
	measured int              // how many lengths were told and taken
	no       temper.Refusals  // what it said no with, and until when that holds
	dry      int              // sittings since the last one at which a nail bled, plus one; 0 is never
}

// toe is what is known of one nail beside the state.
type toe struct {
	Trimmed  date.Date `json:",omitzero"` // when something last came off
	Bled     bool      `json:",omitzero"` // at its last trim
	PastPad  bool      `json:",omitzero"` // seen to reach past its pad, and not trimmed since
	Cleared  bool      `json:",omitzero"` // its last trim left it clear of the floor
	GapSeen  bool      `json:",omitzero"` // somebody looked at its floor
	Through  bool      `json:",omitzero"` // its quick was seen through the horn
	Measured Measured  `json:",omitzero"` // the last length that was told
	Grown    []grown   `json:",omitzero"` // between two lengths
}

// Measured is a length that was read on a day.
type Measured struct {
	On date.Date
	measure.Number
}

// grown is what a nail grew between two lengths, mm a week.
type grown struct {
	On   date.Date // the later day
	Rate float64
	SD   float64
}

// Outlier is a length that is none of its nail.
type Outlier struct {
	Code nail.Code
	On   date.Date
	MM   float64
}

// At is the state on a day not before the last event.
func (f Feet) At(on date.Date) state.State {
	g := f
	g.state = f.state.Clone()
	g.until(on)
	return g.state
}

// form is a nail's usual form.
func (f Feet) form(i int) claw.Claw {
	return f.Form(f.Nails[i].Code, f.day)
}

// Known is the day of the last sitting or look; zero when there was none.
func (f Feet) Known() date.Date { return f.known }

// Follows tells whether a sitting comes after all that the feet know: it may then be told with And.
func (f Feet) Follows(s record.Sitting) bool { return !s.On.Before(f.day) && s.On != f.on }

// Quicked tells whether a nail bled at one of the last two sittings.
func (f Feet) Quicked() bool { return f.dry > 0 && f.dry <= quickedWithin }

// Hair tells whether hair was seen between the pads at the last walk-round.
func (f Feet) Hair() bool { return f.check.Hair }

// Closed tells whether the last walk-round saw what is a veterinarian's matter for the dog as a
// whole, and what in a few words: no nail is trimmed until a later one says that it is over.
func (f Feet) Closed() (say.Line, bool) {
	flags := f.Flags()
	return say.Of(allFlags, say.Args{"flags": say.Lines(flags)}), len(flags) > 0
}

// Flags are what the last walk-round saw of that, each in a few words.
func (f Feet) Flags() []say.Line { return f.check.Flags() }

// Sat is the day of the last sitting; zero when there was none. Day is that of the state.
func (f Feet) Sat() date.Date { return f.on }

// Faces is how likely each face scale is of this dog, by all that was told.
func (f Feet) Faces() quick.Scales { return f.state.Faces }

// Gross is its growth on its last day, mm a week, as it is learnt; and as it was believed of such a dog before anything
// was told.
func (f Feet) Gross() (learnt, before state.Normal) {
	where := f.Where(f.day)
	prior := state.Prior(where, nil, nil)
	return f.state.Gross(where), prior.Gross(where)
}

func (f Feet) Day() date.Date { return f.day }

func (f *Feet) trim(s record.Sitting, each func(f Feet, i int, r record.NailRecord)) {
	f.on = s.On
	if s.Arrival != nil {
		f.Arrive(*s.Arrival)
	}
	f.no = f.no.After(s.Outing())
	switch {
	case len(s.Bled()) > 0:
		f.dry = 1
	case f.dry > 0:
		f.dry++
	}
	f.toes = slices.Clone(f.toes)
	for _, r := range s.Records {
		if i := f.Index(r.Code); i >= 0 && !r.LeftAlone() {
			if each != nil {
				each(*f, i, r)
			}
			if r.GapBefore != nil {
				f.record(i, record.Look{Code: r.Code, Gap: r.GapBefore}.Event(s.On))
			}
			f.record(i, r.Event(s.On))
		}
	}
}

// Arrive takes what was seen before the first cut of a sitting.
func (f *Feet) Arrive(a record.Arrival) {
	count, told := map[record.Touching]state.Count{
		record.None: state.NoneTouch,
		record.Some: state.SomeTouch,
		record.Most: state.MostTouch,
	}[a.Touching]
	if told {
		var toes []int
		for i, n := range f.Nails {
			if !n.Code.Dewclaw() && !n.State.Veterinary() {
				toes = append(toes, i)
			}
		}
		f.state.SeeTouching(toes, count)
	}
	if a.Clicks && a.Touching == record.Unlooked {
		f.click()
	}
	if a.Limps || a.Sore { // as on a walk-round: a veterinarian's matter until one says that it is over
		f.check.On, f.check.Limping, f.check.Sore = f.day, f.check.Limping || a.Limps, f.check.Sore || a.Sore
	}
}

// Refusal is what keeps a paw from being trimmed on a day, by what the dog said no with; false where nothing does.
func (f Feet) Refusal(paw nail.Paw, day date.Date) (temper.Refusal, bool) { return f.no.Of(paw, day) }

// Refusals are all that it said no with, and until when that holds.
func (f Feet) Refusals() temper.Refusals { return f.no }

// Index is a nail's place among the dog's; -1 where it has none.
func (f Feet) Index(code nail.Code) int {
	return slices.IndexFunc(f.Nails, func(n dog.Nail) bool { return n.Code == code })
}

// record takes what was told of one nail of a sitting.
func (f *Feet) record(i int, e state.Event) {
	t := &f.toes[i]
	f.state.Nails[i].Colour = colourSeen(f.state.Nails[i].Colour, e)
	_, sound := f.state.Take(i, f.form(i), e)
	f.lengths(i, e, sound)
	t.Through = t.Through || e.Left != nil
	t.GapSeen = t.GapSeen || e.Gap != nil
	if e.Removed() > 0 {
		t.Trimmed, t.PastPad, t.Bled = e.On, false, e.Blood
		t.Cleared = f.state.ToFloor(i).Mean > ClearBy
		if n := f.Nails[i]; n.Code.Dewclaw() &&
			n.Shape != nail.Curled { // cut means seen: one that still curls is told so
			f.state.SeeLengthBelow(i, f.form(i).Length+f.form(i).GrowthToTurn(claw.CurlTurn))
		}
	}
}

// lengths keeps the measured lengths: what grew between two of them is what was measured of growth.
func (f *Feet) lengths(i int, e state.Event, sound bool) {
	t := &f.toes[i]
	for _, n := range []*measure.Number{e.Length, e.After} {
		if n == nil {
			continue
		}
		if !sound {
			f.Outliers = append(slices.Clone(f.Outliers), Outlier{e.Nail, e.On, n.MM})
			return
		}
		f.measured++
	}
	if now := e.Length; now != nil && !t.Measured.On.IsZero() && e.On.After(t.Measured.On) {
		weeks := float64(e.On.Sub(t.Measured.On)) / 7
		t.Grown = append(
			slices.Clone(t.Grown),
			grown{e.On, (now.MM - t.Measured.MM) / weeks, math.Hypot(now.SD, t.Measured.SD) / weeks},
		)
	}
	switch {
	case e.After != nil:
		t.Measured = Measured{e.On, *e.After}
	case e.Length != nil:
		t.Measured = Measured{e.On, *e.Length}
		t.Measured.MM -= e.Removed()
	case e.Removed() > 0:
		t.Measured = Measured{}
	}
}

func (f *Feet) look(c record.WalkRound) {
	f.check = c
	f.toes = slices.Clone(f.toes)
	for i, n := range f.Nails {
		l := c.Of(n.Code)
		t := &f.toes[i]
		if l.State != nil && (*l.State == nail.Torn || *l.State == nail.Broken) {
			f.state.Forget(i, f.Where(f.day))
			t.Measured = Measured{}
		}
		f.record(i, l.Event(c.On))
		t.PastPad = l.PastPad || t.PastPad && l.Gap == nil
	}
	if c.Clicks && !c.Touches() {
		f.click()
	}
}

// click: the dog was heard, and no nail was seen to touch: the one that is least clear does.
func (f *Feet) click() {
	least := -1
	for i, n := range f.Nails {
		if !n.Code.Dewclaw() && (least < 0 || f.state.ToFloor(i).Mean < f.state.ToFloor(least).Mean) {
			least = i
		}
	}
	if least >= 0 {
		f.state.SeeGap(least, f.form(least), measure.Touches.Number())
	}
}

// Work is the feet as they are worked on a day: a copy, to be moved on by what is told.
func (f Feet) Work(day date.Date) Feet {
	f.state = f.state.Clone()
	f.until(day)
	return f
}

// Take moves the state on by what was told of one nail on the day of the state, and returns the grid
// that it was worked on: the bench and the fold take it the same way.
func (f *Feet) Take(i int, e state.Event) *quick.Belief {
	f.state.Nails[i].Colour = colourSeen(f.state.Nails[i].Colour, e)
	b, _ := f.state.Take(i, f.form(i), e)
	return b
}

// Belief is what is believed of a nail's spare on the day of the state, nothing done to it, and whether
// anything was ever told of it.
func (f Feet) Belief(i int, r Reading) (b *quick.Belief, known bool) {
	return f.state.Belief(i, r.Claw, state.Work{}), f.state.Worked(i)
}

// Colour is a nail's colour, as it was told or as its faces showed it.
func (f Feet) Colour(code nail.Code) nail.Colour {
	if i := f.Index(code); i >= 0 {
		return f.state.Nails[i].Colour
	}
	return nail.Unknown
}

// And is the feet once one more sitting was told, of a day not before the last event.
func (f Feet) And(s record.Sitting) Feet {
	f = f.Work(s.On)
	f.known = s.On
	f.trim(s, nil)
	return f
}

// colourSeen is a nail's colour as what was told of it shows it.
func colourSeen(told nail.Colour, e state.Event) nail.Colour {
	if e.Colour != "" {
		told = e.Colour
	}
	for _, c := range e.Cuts {
		told = quick.SeenColour(told, c.Face)
	}
	return quick.SeenColour(told, e.EndFace)
}
