package dog

import (
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
)

// Check returns the fields of a profile that cannot be, under the contract's names, as seen
// from today; nil when it is sound.
func (d Dog) Check(today date.Date) fault.Fields {
	var f fault.Fields
	if n := utf8.RuneCountInString(strings.TrimSpace(d.Name)); n == 0 || n > mostName {
		f.Add("name", fmt.Sprintf("%d letters", n), fmt.Sprintf("must have from 1 to %d letters", mostName))
	}
	born := d.Birth.Date
	switch {
	case born.After(today):
		f.Add("birth_date", born, "must not lie in the future")
	case born.Before(today.AddYears(-oldestYears)):
		f.Add("birth_date", born, fmt.Sprintf("must lie within the last %d years", oldestYears))
	}
	d.checkWeights(&f, today)
	f.Range("pavement_km_week", d.Pavement, 0, growth.MostPavement, "km a week")
	if d.LastDone != nil {
		f.Range("last_done_weeks", *d.LastDone, 0, mostWeeksAgo, "weeks")
	}
	f.Range("wished_gap_mm", d.WishedGap, 0, due.MostWishedGap, "mm")
	if !slices.Contains(rhythm.Rhythms(), d.Rhythm) {
		f.Add("rhythm", d.Rhythm, fmt.Sprintf("must be one of %v", rhythm.Rhythms()))
	}
	if d.Workdays == 0 {
		f.Add("working_weekdays", "none", "must name at least one day")
	}
	f.Under("handling", d.Handling.check())
	if len(d.Nails) == 0 {
		f.Add("nails", "none", "must hold at least one nail")
	}
	seen := map[nail.Code]bool{}
	for i, n := range d.Nails {
		if seen[n.Code] {
			f.Add(fmt.Sprintf("nails[%d].code", i), n.Code, "must be there once")
		}
		seen[n.Code] = true
	}
	return f
}

func (d Dog) checkWeights(f *fault.Fields, today date.Date) {
	if len(d.Weights) == 0 {
		f.Add("weights", "none", "must hold at least one weight")
	}
	seen := map[date.Date]bool{}
	for i, w := range d.Weights {
		at := fmt.Sprintf("weights[%d]", i)
		f.Range(at+".kg", w.Kg, growth.LeastWeight, growth.MostWeight, "kg")
		switch {
		case w.On.After(today):
			f.Add(at+".on", w.On, "must not lie in the future")
		case w.On.Before(d.Birth.Date):
			f.Add(at+".on", w.On, "must not lie before the dog's birth")
		case seen[w.On]:
			f.Add(at+".on", w.On, "must be there once: one weight a day")
		}
		seen[w.On] = true
	}
}

// Check returns the fields of a sitting that cannot be for this dog; nil when it is sound.
func (s Sitting) Check(d Dog, today date.Date) fault.Fields {
	var f fault.Fields
	d.checkDay(&f, s.On, today)
	if n := utf8.RuneCountInString(s.Note); n > mostNote {
		f.Add("note", fmt.Sprintf("%d letters", n), fmt.Sprintf("must have at most %d letters", mostNote))
	}
	s.checkTime(&f)
	for i, tick := range s.Ticks {
		if len(tick) > mostTick {
			f.Add(fmt.Sprintf("ticks[%d]", i), fmt.Sprintf("%d letters", len(tick)), fmt.Sprintf("must have at most %d letters", mostTick))
		}
	}
	if len(s.Records) == 0 {
		f.Add("records", "none", "must hold at least one nail")
	}
	seen := map[nail.Code]bool{}
	for i, r := range s.Records {
		one := r.Check()
		d.checkCode(&one, r.Code, seen)
		d.doubt(&one, r, s.On)
		f.Under(fmt.Sprintf("records[%d]", i), one)
	}
	return f
}

func (s Sitting) checkTime(f *fault.Fields) {
	if s.Minutes != nil {
		f.Range("minutes", *s.Minutes, 0, mostMinutes, "minutes")
	}
	if s.Calm != nil {
		f.Range("calm_minutes", *s.Calm, 0, mostMinutes, "minutes")
	}
	if s.Minutes != nil && s.Calm != nil && *s.Calm > *s.Minutes {
		f.Add("calm_minutes", *s.Calm, fmt.Sprintf("must not be more than the whole sitting, %g minutes", *s.Minutes))
	}
}

// checkDay notes a day on which nothing can have been done to the dog.
func (d Dog) checkDay(f *fault.Fields, day, today date.Date) {
	switch {
	case day.After(today):
		f.Add("on", day, "must not lie in the future")
	case day.Before(d.Birth.Date):
		f.Add("on", day, fmt.Sprintf("must not lie before the dog's birth, %s", d.Birth.Date))
	}
}

// checkCode notes a nail that the dog does not have, or that was told already.
func (d Dog) checkCode(f *fault.Fields, code nail.Code, seen map[nail.Code]bool) {
	if _, has := d.Nail(code); !has {
		f.Add("code", code, d.Name+" does not have this nail")
	}
	if seen[code] {
		f.Add("code", code, "must be there once")
	}
	seen[code] = true
}

// within notes a number of a nail that cannot be, under the contract's names.
func within(f *fault.Fields, name string, what measure.What, n *measure.Number) {
	if n == nil {
		return
	}
	least, most := 0.0, claw.MostLength
	switch what {
	case measure.Length:
		least = 1
	case measure.Gap:
		most = claw.MostGap
	}
	f.Range(name+"_mm", n.MM, least, most, "mm")
	n.Check(f, "means."+name, what)
}

// Check returns the fields of a record that cannot be, whatever the dog.
func (r Record) Check() fault.Fields {
	var f fault.Fields
	within(&f, "length_before", measure.Length, r.LengthBefore)
	within(&f, "length_after", measure.Length, r.LengthAfter)
	within(&f, "gap_before", measure.Gap, r.GapBefore)
	within(&f, "gap_after", measure.Gap, r.GapAfter)
	within(&f, "spare_left", measure.Quick, r.SpareLeft)
	for i, c := range r.Cuts {
		f.Range(fmt.Sprintf("cuts_mm[%d]", i), c, leastRecord, claw.MostLength, "mm")
	}
	if len(r.Cuts) > mostCuts {
		f.Add("cuts_mm", fmt.Sprintf("%d cuts", len(r.Cuts)), fmt.Sprintf("must be at most %d cuts", mostCuts))
	}
	if b, a := r.LengthBefore, r.LengthAfter; b != nil && a != nil && a.MM > b.MM {
		f.Add("length_after_mm", a.MM, fmt.Sprintf("must not be more than the length before, %g mm", b.MM))
	}
	if b := r.LengthBefore; b != nil && len(f) == 0 && r.Removed() >= b.MM {
		f.Add("cuts_mm", fmt.Sprintf("%g mm together", r.Removed()), fmt.Sprintf("must be less than the length before, %g mm", b.MM))
	}
	if r.Blood && len(r.Cuts) == 0 {
		f.Add("cuts_mm", "none", "must hold the cut that bled")
	}
	return f
}
