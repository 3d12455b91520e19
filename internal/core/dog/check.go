package dog

import (
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"

	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
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
	if d.Dates != "" && !slices.Contains(rhythm.BothDates(), d.Dates) {
		f.Add("dates", d.Dates, fmt.Sprintf("must be one of %v, or empty for what is usual", rhythm.BothDates()))
	}
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
