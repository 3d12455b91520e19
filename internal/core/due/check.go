package due

import (
	"fmt"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// lastDay leaves the dates that follow from it four digits for their year.
var lastDay = date.MustParse("9900-12-31")

// Check returns the fields that cannot be, under the contract's names; nil when the trim is sound.
func (t Trim) Check() fault.Fields {
	var f fault.Fields
	switch {
	case t.On.IsZero():
		f.Add("last_sitting", "nothing", say.Of(mustBeTheDateOf))
	case t.On.After(lastDay):
		f.Add("last_sitting", t.On, say.Of(mustNotLieAfter, say.Args{"lastDay": say.Name(lastDay.String())}))
	}
	if t.Sat.After(t.On) {
		f.Add("last_sitting", t.Sat, say.Of(mustNotLieAfterThe))
	}
	if !slices.Contains(rhythm.Rhythms(), t.Rhythm) {
		f.Add("rhythm", t.Rhythm, fault.AnyOf(rhythm.Rhythms()))
	}
	if t.Dates != "" && !slices.Contains(rhythm.BothDates(), t.Dates) {
		f.Add("dates", t.Dates, fault.AnyOf(rhythm.BothDates()))
	}
	if t.Workdays.Weekdays == 0 {
		f.Add("working_weekdays", "none", fault.SomeDay())
	}
	for i, s := range t.Workdays.Closed {
		f.Under(fmt.Sprintf("holidays[%d]", i), s.Check())
	}
	f.Range("weight_kg", t.Weight, growth.LeastWeight, growth.MostWeight, fault.KG)
	f.Range("margin_mm", t.Margin, 0, MostMargin, fault.MM)
	if len(t.Nails) == 0 {
		f.Add("nails", "none", fault.SomeNail())
	}
	seen := map[nail.Code]bool{}
	for i, n := range t.Nails {
		one := n.check()
		if seen[n.Code] {
			one.Add("code", n.Code, fault.Once())
		}
		seen[n.Code] = true
		f.Under(fmt.Sprintf("nails[%d]", i), one)
	}
	return f
}

func (n TrimmedNail) check() fault.Fields {
	f := n.Claw.Check()
	f.Range("gap_mm", n.Gap, 0, claw.MostGap, fault.MM)
	f.Range("wished_gap_mm", n.WishedGap, 0, MostWishedGap, fault.MM)
	f.Range("net_mm_week", n.Rate.Mean, 0.01, 5, fault.MMWeek)
	f.Range("sd_mm_week", n.Rate.SD, 0, 20, fault.MMWeek)
	f.Range("spare_mm", n.Spare, 0, n.Claw.Length, fault.MMOfItsLength)
	return f
}
