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
	"fribbet/internal/core/say"
)

// Check returns the fields of a sitting that cannot be for this dog; nil when it is sound.
func (s Sitting) Check(d dog.Dog, today date.Date) fault.Fields {
	var f fault.Fields
	checkDay(&f, d, s.On, today)
	if n := utf8.RuneCountInString(s.Note); n > mostNote {
		f.Add("note", fault.LettersOf(n), fault.MostLetters(mostNote))
	}
	s.checkTime(&f)
	for i, tick := range s.Ticks {
		if len(tick) > mostTick {
			f.Add(fmt.Sprintf("ticks[%d]", i), fault.LettersOf(len(tick)), fault.MostLetters(mostTick))
		}
	}
	if len(s.Records) == 0 {
		f.Add("records", "none", fault.SomeNail())
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
		f.Range("minutes", *s.Minutes, 0, longestMinutes, fault.Minutes)
	}
	if s.Calm != nil {
		f.Range("calm_minutes", *s.Calm, 0, longestMinutes, fault.Minutes)
	}
	if s.Minutes != nil && s.Calm != nil && *s.Calm > *s.Minutes {
		f.Add("calm_minutes", *s.Calm, say.Of(mustNotBeMoreThan, say.Args{"minutes": say.Number(*s.Minutes)}))
	}
}

// checkDay notes a day on which nothing can have been done to the dog.
func checkDay(f *fault.Fields, d dog.Dog, day, today date.Date) {
	switch {
	case day.After(today):
		f.Add("on", day, fault.NotAhead())
	case day.Before(d.Birth.Date):
		f.Add("on", day, say.Of(mustNotLieBeforeThe, say.Args{"date": d.Birth.Date.Say()}))
	}
}

// checkCode notes a nail that the dog does not have, or that was told already.
func checkCode(f *fault.Fields, d dog.Dog, code nail.Code, seen map[nail.Code]bool) {
	if _, has := d.Nail(code); !has {
		f.Add("code", code, say.Of(doesNotHaveThisNail, say.Args{"name": say.Name(d.Name)}))
	}
	if seen[code] {
		f.Add("code", code, fault.Once())
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
	f.Range(name+"_mm", n.MM, least, most, fault.MM)
	n.Check(f, "means."+name, what)
}

// Check returns the fields of a record that cannot be, whatever the dog.
func (r NailRecord) Check() fault.Fields {
	var f fault.Fields
	within(&f, "length_before", measure.Length, r.LengthBefore)
	within(&f, "length_after", measure.Length, r.LengthAfter)
	within(&f, "gap_before", measure.Gap, r.GapBefore)
	within(&f, "gap_after", measure.Gap, r.GapAfter)
	within(&f, "spare_left", measure.Quick, r.SpareLeft)
	for i, c := range r.Cuts {
		f.Range(fmt.Sprintf("cuts_mm[%d]", i), c, LeastCut, claw.MostLength, fault.MM)
	}
	if g := r.Ground; g != nil {
		for i, c := range g.Touches {
			f.Range(fmt.Sprintf("ground.touches_mm[%d]", i), c, LeastCut, claw.MostLength, fault.MM)
		}
		if g.Tool.Work() == kit.Clipping {
			f.Add("ground.tool", g.Tool, say.Of(mustBeAGrinderOr))
		}
		if r.Tool.Work() == kit.Grinding {
			f.Add("ground", r.Tool, say.Of(mustFollowAClipperA))
		}
		if len(r.Cuts) == 0 {
			f.Add("ground", say.Of(noCut), say.Of(mustFollowACutA))
		}
	}
	if len(r.Cuts)+len(r.touches()) > MostCuts {
		f.Add("cuts_mm", fault.Cuts(len(r.Cuts)), fault.MostCuts(MostCuts))
	}
	if b, a := r.LengthBefore, r.LengthAfter; b != nil && a != nil && a.MM > b.MM {
		f.Add("length_after_mm", a.MM, say.Of(mustNotBeMoreThanThe, say.Args{"length": say.Length(b.MM)}))
	}
	if b := r.LengthBefore; b != nil && len(f) == 0 && r.Removed() >= b.MM {
		f.Add("cuts_mm", fault.Together(r.Removed()), say.Of(mustBeLessThanThe, say.Args{"length": say.Length(b.MM)}))
	}
	if r.Blood && len(r.Cuts) == 0 {
		f.Add("cuts_mm", "none", fault.TheCutThatBled())
	}
	return f
}
