package record

import (
	"fmt"
	"unicode/utf8"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
)

// Check returns the fields of a sitting that cannot be for this dog; nil when it is sound.
func (s Sitting) Check(d dog.Dog, today date.Date) fault.Fields {
	var f fault.Fields
	checkDay(&f, d, s.On, today)
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
		checkCode(&one, d, r.Code, seen)
		doubt(&one, d, r, s.On)
		f.Under(fmt.Sprintf("records[%d]", i), one)
	}
	return f
}

func (s Sitting) checkTime(f *fault.Fields) {
	if s.Minutes != nil {
		f.Range("minutes", *s.Minutes, 0, longestMinutes, "minutes")
	}
	if s.Calm != nil {
		f.Range("calm_minutes", *s.Calm, 0, longestMinutes, "minutes")
	}
	if s.Minutes != nil && s.Calm != nil && *s.Calm > *s.Minutes {
		f.Add("calm_minutes", *s.Calm, fmt.Sprintf("must not be more than the whole trim, %g minutes", *s.Minutes))
	}
}

// checkDay notes a day on which nothing can have been done to the dog.
func checkDay(f *fault.Fields, d dog.Dog, day, today date.Date) {
	switch {
	case day.After(today):
		f.Add("on", day, "must not lie in the future")
	case day.Before(d.Birth.Date):
		f.Add("on", day, fmt.Sprintf("must not lie before the dog's birth, %s", d.Birth.Date))
	}
}

// checkCode notes a nail that the dog does not have, or that was told already.
func checkCode(f *fault.Fields, d dog.Dog, code nail.Code, seen map[nail.Code]bool) {
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
func (r Nail) Check() fault.Fields {
	var f fault.Fields
	within(&f, "length_before", measure.Length, r.LengthBefore)
	within(&f, "length_after", measure.Length, r.LengthAfter)
	within(&f, "gap_before", measure.Gap, r.GapBefore)
	within(&f, "gap_after", measure.Gap, r.GapAfter)
	within(&f, "spare_left", measure.Quick, r.SpareLeft)
	for i, c := range r.Cuts {
		f.Range(fmt.Sprintf("cuts_mm[%d]", i), c, LeastCut, claw.MostLength, "mm")
	}
	if g := r.Ground; g != nil {
		for i, c := range g.Touches {
			f.Range(fmt.Sprintf("ground.touches_mm[%d]", i), c, LeastCut, claw.MostLength, "mm")
		}
		if g.Tool.Work() == kit.Clipping {
			f.Add("ground.tool", g.Tool, "must be a grinder or a file: a second pass is ground")
		}
		if r.Tool.Work() == kit.Grinding {
			f.Add("ground", r.Tool, "must follow a clipper: a nail that was only ground has its touches as cuts")
		}
		if len(r.Cuts) == 0 {
			f.Add("ground", "no cut", "must follow a cut: a nail that was only ground has its touches as cuts")
		}
	}
	if len(r.Cuts)+len(r.touches()) > mostCuts {
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
