package feet

import (
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// Bounded names what of a dog and of what was told of it no input lets in, under the contract's names; nil where all is
// well. With it a reckoning would run, or take memory, without bound: nobody asks one with such a dog. It asks
// less than the checks of input do, so that what an earlier version took is reckoned still.
func Bounded(d dog.Dog, sittings []record.Sitting, checks []record.WalkRound) fault.Fields {
	var f fault.Fields
	first, last := d.Birth.Date.AddYears(-1), d.Birth.Date.AddYears(longestLife)
	day := func(name string, on date.Date) {
		if on.IsZero() || on.Before(first) || on.After(last) {
			f.Add(name, on, say.Of(mustBeADayOf, say.Args{"date": d.Birth.Date.Say()}))
		}
	}
	if d.Birth.Date.IsZero() {
		f.Add("birth_date", "nothing", say.Of(mustBeADay))
		return f
	}
	if len(d.Weights) == 0 {
		f.Add("weights", "none", fault.SomeWeight())
	}
	for i, w := range d.Weights {
		f.Range(fmt.Sprintf("weights[%d].kg", i), w.Kg, growth.LeastWeight, growth.MostWeight, fault.KG)
		day(fmt.Sprintf("weights[%d].on", i), w.On)
	}
	for i, w := range d.Walked {
		f.Range(fmt.Sprintf("walked[%d].km_week", i), w.Km, 0, growth.MostPavement, fault.KMWeek)
		day(fmt.Sprintf("walked[%d].until", i), w.Until)
	}
	f.Range("pavement_km_week", d.Pavement, 0, growth.MostPavement, fault.KMWeek)
	f.Range("wished_gap_mm", d.WishedGap, 0, due.MostWishedGap, fault.MM)
	if d.LastDone != nil {
		f.Range("last_done_weeks", *d.LastDone, 0, longestLife*53, fault.Weeks)
	}
	if !d.Entered.IsZero() {
		day("entered_on", d.Entered)
	}
	if !slices.Contains(rhythm.Rhythms(), d.Rhythm) {
		f.Add("rhythm", d.Rhythm, fault.AnyOf(rhythm.Rhythms()))
	}
	if d.Dates != "" && !slices.Contains(rhythm.BothDates(), d.Dates) {
		f.Add("dates", d.Dates, say.Of(mustBeOneOfOr, say.Args{"rhythm": say.Name(fmt.Sprint(rhythm.BothDates()))}))
	}
	if d.Workdays == 0 {
		f.Add("working_weekdays", "none", fault.SomeDay())
	}
	if n := d.Handling.MostNails; n != nil && (*n < 1 || *n > len(nail.All())) {
		f.Add("most_nails", *n, fault.NailsTo(len(nail.All())))
	}
	if mm := d.Handling.LargestCut; mm != nil {
		f.Range("largest_cut_mm", *mm, kit.LeastLargest, kit.MostLargest, fault.MM)
	}
	if m := d.Handling.MostMinutes; m != nil {
		f.Range("most_minutes", *m, 1, longestSitting, fault.Minutes)
	}
	for i, n := range d.Nails {
		if !slices.Contains(nail.All(), n.Code) {
			f.Add(fmt.Sprintf("nails[%d].code", i), n.Code, say.Of(mustBeANail))
		}
	}
	for i, s := range sittings {
		at := fmt.Sprintf("sittings[%d]", i)
		day(at+".on", s.On)
		for name, minutes := range map[string]*float64{".minutes": s.Minutes, ".calm_minutes": s.Calm} {
			if minutes != nil {
				f.Range(at+name, *minutes, 0, longestSitting, fault.Minutes)
			}
		}
		for _, r := range s.Records {
			f.Under(fmt.Sprintf("%s.%s", at, r.Code), boundedNail(r))
		}
	}
	for i, c := range checks {
		at := fmt.Sprintf("walk_rounds[%d]", i)
		day(at+".on", c.On)
		for _, l := range c.Looks {
			var one fault.Fields
			bounded(&one, "code", l.Code)
			boundedNumber(&one, "gap_mm", l.Gap)
			boundedNumber(&one, "length_mm", l.Length)
			f.Under(fmt.Sprintf("%s.%s", at, l.Code), one)
		}
	}
	return f
}

func boundedNail(r record.NailRecord) fault.Fields {
	var f fault.Fields
	bounded(&f, "code", r.Code)
	for name, n := range map[string]*measure.Number{
		"length_before_mm": r.LengthBefore, "length_after_mm": r.LengthAfter,
		"gap_before_mm": r.GapBefore, "gap_after_mm": r.GapAfter, "spare_left_mm": r.SpareLeft,
	} {
		boundedNumber(&f, name, n)
	}
	if len(r.Cuts) > mostCuts {
		f.Add("cuts_mm", fault.Cuts(len(r.Cuts)), fault.MostCuts(mostCuts))
	}
	f.Under("hand", r.Hand.Check())
	for i, mm := range r.Cuts {
		f.Range(fmt.Sprintf("cuts_mm[%d]", i), mm, 0, claw.MostLength, fault.MM)
	}
	for i, l := range r.Landmarks {
		f.Range(fmt.Sprintf("landmarks[%d].spare_mm", i), l.Spare, 0, claw.MostLength, fault.MM)
	}
	return f
}

func bounded(f *fault.Fields, name string, c nail.Code) {
	if !slices.Contains(nail.All(), c) {
		f.Add(name, c, say.Of(mustBeANail))
	}
}

func boundedNumber(f *fault.Fields, name string, n *measure.Number) {
	if n == nil {
		return
	}
	f.Range(name, n.MM, 0, claw.MostLength, fault.MM)
	if !(n.SD >= 0 && n.SD < math.MaxFloat32) {
		f.Add(name, n.SD, say.Of(mustComeWithHowFar))
	}
}
