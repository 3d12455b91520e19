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
)

// lastDay leaves the dates that follow from it four digits for their year.
var lastDay = date.MustParse("9900-12-31")

// Check returns the fields that cannot be, under the contract's names; nil when the trim is sound.
func (t Trim) Check() fault.Fields {
	var f fault.Fields
	switch {
	case t.On.IsZero():
		f.Add("last_sitting", "nothing", "must be the date of the last trim")
	case t.On.After(lastDay):
		f.Add("last_sitting", t.On, "must not lie after "+lastDay.String())
	}
	if t.Sat.After(t.On) {
		f.Add("last_sitting", t.Sat, "must not lie after the day on which the nails were looked at")
	}
	if !slices.Contains(rhythm.Rhythms(), t.Rhythm) {
		f.Add("rhythm", t.Rhythm, fmt.Sprintf("must be one of %v", rhythm.Rhythms()))
	}
	if t.Dates != "" && !slices.Contains(rhythm.BothDates(), t.Dates) {
		f.Add("dates", t.Dates, fmt.Sprintf("must be one of %v", rhythm.BothDates()))
	}
	if t.Workdays.Weekdays == 0 {
		f.Add("working_weekdays", "none", "must name at least one day")
	}
	for i, s := range t.Workdays.Closed {
		f.Under(fmt.Sprintf("holidays[%d]", i), s.Check())
	}
	f.Range("weight_kg", t.Weight, growth.LeastWeight, growth.MostWeight, "kg")
	f.Range("margin_mm", t.Margin, 0, MostMargin, "mm")
	if len(t.Nails) == 0 {
		f.Add("nails", "none", "must hold at least one nail")
	}
	seen := map[nail.Code]bool{}
	for i, n := range t.Nails {
		one := n.check()
		if seen[n.Code] {
			one.Add("code", n.Code, "must be there once")
		}
		seen[n.Code] = true
		f.Under(fmt.Sprintf("nails[%d]", i), one)
	}
	return f
}

func (n Nail) check() fault.Fields {
	f := n.Claw.Check()
	f.Range("gap_mm", n.Gap, 0, claw.MostGap, "mm")
	f.Range("wished_gap_mm", n.WishedGap, 0, MostWishedGap, "mm")
	f.Range("net_mm_week", n.Rate.Mean, 0.01, 5, "mm a week")
	f.Range("sd_mm_week", n.Rate.SD, 0, 20, "mm a week")
	f.Range("spare_mm", n.Spare, 0, n.Claw.Length, "mm (no more than the nail is long)")
	return f
}
