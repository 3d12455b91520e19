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
	"fribbet/internal/core/say"
)

// Check returns the fields of a profile that cannot be, under the contract's names, as seen
// from today; nil when it is sound.
func (d Dog) Check(today date.Date) fault.Fields {
	var f fault.Fields
	if n := utf8.RuneCountInString(strings.TrimSpace(d.Name)); n == 0 || n > mostName {
		f.Add("name", fault.LettersOf(n), fault.FromOneLetterTo(mostName))
	}
	born := d.Birth.Date
	switch {
	case born.After(today):
		f.Add("birth_date", born, fault.NotAhead())
	case born.Before(today.AddYears(-oldestYears)):
		f.Add("birth_date", born, say.Of(mustLieWithinTheLast, say.Args{"oldestYears": say.Count(oldestYears)}))
	}
	d.checkWeights(&f, today)
	f.Range("pavement_km_week", d.Pavement, 0, growth.MostPavement, fault.KMWeek)
	if d.Dates != "" && !slices.Contains(rhythm.BothDates(), d.Dates) {
		f.Add("dates", d.Dates, say.Of(mustBeOneOfOr, say.Args{"rhythm": say.Name(fmt.Sprint(rhythm.BothDates()))}))
	}
	if d.LastDone != nil {
		f.Range("last_done_weeks", *d.LastDone, 0, mostWeeksAgo, fault.Weeks)
	}
	f.Range("wished_gap_mm", d.WishedGap, 0, due.MostWishedGap, fault.MM)
	if !slices.Contains(rhythm.Rhythms(), d.Rhythm) {
		f.Add("rhythm", d.Rhythm, fault.AnyOf(rhythm.Rhythms()))
	}
	if d.Workdays == 0 {
		f.Add("working_weekdays", "none", fault.SomeDay())
	}
	f.Under("handling", d.Handling.check())
	if len(d.Nails) == 0 {
		f.Add("nails", "none", fault.SomeNail())
	}
	seen := map[nail.Code]bool{}
	for i, n := range d.Nails {
		if seen[n.Code] {
			f.Add(fmt.Sprintf("nails[%d].code", i), n.Code, fault.Once())
		}
		seen[n.Code] = true
	}
	return f
}

func (d Dog) checkWeights(f *fault.Fields, today date.Date) {
	if len(d.Weights) == 0 {
		f.Add("weights", "none", fault.SomeWeight())
	}
	seen := map[date.Date]bool{}
	for i, w := range d.Weights {
		at := fmt.Sprintf("weights[%d]", i)
		f.Range(at+".kg", w.Kg, growth.LeastWeight, growth.MostWeight, fault.KG)
		switch {
		case w.On.After(today):
			f.Add(at+".on", w.On, fault.NotAhead())
		case w.On.Before(d.Birth.Date):
			f.Add(at+".on", w.On, say.Of(mustNotLieBeforeThe))
		case seen[w.On]:
			f.Add(at+".on", w.On, say.Of(mustBeThereOnceOne))
		}
		seen[w.On] = true
	}
}
