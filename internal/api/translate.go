package api

import (
	"math"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/measure"
	"fribbet/internal/words"
)

func rank(readings []feet.Reading) contract.Rank {
	r := feet.RankOf(readings)
	out := contract.Rank{FloorMm: r.Floor, Bars: []contract.Bar{}}
	for _, b := range r.Bars {
		bar := contract.Bar{
			Code: b.Code, Group: b.Code.Group(), State: b.State, Colour: b.Colour, Shape: b.Shape,
			TopMm: b.Top, QuickMm: b.Quick, QuickShortMm: b.QuickShort, QuickLongMm: b.QuickLong,
			Length: inMM(b.Length), Spare: inMM(b.Spare), ToFloorMm: finite(b.ToFloor),
			NetMmWeek: b.Rate.Mean, SdMmWeek: b.Rate.SD, TurnDeg: claw.Degrees(b.Turn),
			OnFloor: b.OnFloor, Curling: b.Curling(), Trimmed: dated(b.Trimmed),
		}
		if !b.Code.Dewclaw() {
			bar.Gap = of(inMM(b.Gap))
		}
		out.Bars = append(out.Bars, bar)
	}
	return out
}

func smallRank(g feet.Glance) contract.SmallRank {
	out := contract.SmallRank{FloorMm: g.Floor, Bars: []contract.SmallBar{}}
	for _, b := range g.Bars {
		bar := contract.SmallBar{
			Code:         b.Code,
			Group:        b.Code.Group(),
			State:        b.State,
			TopMm:        b.Top,
			QuickMm:      b.Quick,
			QuickShortMm: b.QuickShort,
			QuickLongMm:  b.QuickLong,
			OnFloor:      b.OnFloor,
			Curling:      b.Curling,
		}
		bar.Length.Mm, bar.Length.Source = b.Length, b.Source
		out.Bars = append(out.Bars, bar)
	}
	return out
}

func inMM(e estimate.Estimate) contract.Estimate {
	return contract.Estimate{Mm: e.Value, LowMm: e.Low, HighMm: e.High, Source: e.Source}
}

func cautions(w words.Words, all []dog.Caution) []contract.Caution {
	out := []contract.Caution{}
	for _, c := range all {
		out = append(out, contract.Caution{Kind: c.Kind, Nails: list(c.Nails), Words: w.Say(c.Words)})
	}
	return out
}

func next(w words.Words, n due.Next, reason string, e due.Explanation) contract.Next {
	out := contract.Next{
		Dates:    n.Dates,
		Due:      n.Due,
		Earliest: n.Earliest,
		Late:     n.Late,
		Cautious: n.Cautious,
		Rule:     n.Rule,
		Nails:    list(n.Nails),
		Reason:   reason,
		Why:      why(w, e),
		Touches:  dated(n.Touches),
		First:    list(n.First),
		Again:    list(n.Again),
		MayTouch: list(n.MayTouch),
	}
	if n.Clear != "" {
		out.ClearRhythm = &n.Clear
	}
	for _, r := range n.Rules {
		out.Rules = append(out.Rules, contract.RuleDate{Rule: r.Rule, Due: dated(r.Due), Nails: list(r.Nails)})
	}
	for _, d := range n.PerNail {
		one := contract.NailDate{
			Code: d.Code, Due: d.Due, Cautious: d.Cautious, Rule: d.Rule, LongQuick: d.LongQuick, CanWait: d.CanWait,
		}
		one.Weeks.Pad, one.Weeks.Rest = finite(d.Weeks[due.Pad]), finite(d.Weeks[due.Rest])
		one.Weeks.Floor, one.Weeks.Curl = finite(d.Weeks[due.Floor]), finite(d.Weeks[due.Curl])
		one.Weeks.Drift, one.Weeks.Once = finite(d.Weeks[due.Drift]), finite(d.Weeks[due.Agreed])
		one.Weeks.No = finite(d.Weeks[due.Refused])
		one.Weeks.Rhythm, one.Weeks.Worth = finite(d.Weeks[due.Ceiling]), finite(d.Weeks[due.Worth])
		out.PerNail = append(out.PerNail, one)
	}
	return out
}

func why(w words.Words, e due.Explanation) contract.Why {
	out := contract.Why{Sentence: w.Say(e.Sentence)}
	for _, r := range e.Rows {
		row := contract.WhyRow{
			Rule:     r.Rule,
			Words:    w.Say(r.Words),
			Nails:    list(r.Nails),
			Decides:  r.Decides,
			Followed: r.Followed,
			Due:      dated(r.Due),
		}
		if row.Due != nil {
			row.Days = &r.Days
		}
		out.Rows = append(out.Rows, row)
	}
	return out
}

func spans(in []contract.Span) []date.Span {
	var out []date.Span
	for _, s := range in {
		out = append(out, date.Span{From: s.From, To: s.To})
	}
	return out
}

// finite is v, or nothing where the core says never: JSON has no infinity.
func finite(v float64) *float64 {
	if math.IsInf(v, 0) {
		return nil
	}
	return &v
}

// given is v, or nothing where the core says nothing by a zero.
func given[T comparable](v T) *T {
	var zero T
	if v == zero {
		return nil
	}
	return &v
}

// orZero is what was given, or the zero by which the core says nothing.
func orZero[T any](v *T) T {
	if v == nil {
		var zero T
		return zero
	}
	return *v
}

func dated(d date.Date) *date.Date {
	if d.IsZero() {
		return nil
	}
	return &d
}

// list is all, as an empty JSON list rather than null.
func list[T any](all []T) []T {
	if all == nil {
		return []T{}
	}
	return all
}

// read is a number of a nail with what it was read with; nothing where nobody read it.
func read(what measure.What, mm *float64, with *contract.ReadWith) *measure.Number {
	if mm == nil {
		return nil
	}
	with = of(orZero(with))
	return of(what.Told(*mm, orZero(with.By), orZero(with.SdMm)))
}

func of[T any](v T) *T { return &v }
