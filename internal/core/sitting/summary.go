package sitting

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

// Summary is what lists say of a sitting once it was told.
type Summary struct {
	On      date.Date
	Nails   int         // that something came off
	Most    float64     // off one nail, mm; 0 where nobody said how much came off any
	Bled    []nail.Code `json:",omitempty"`
	Worst   temper.Reaction
	Note    string          `json:",omitempty"`
	Minutes *float64        `json:",omitempty"`
	Helper  bool            `json:",omitempty"`
	Ticks   []string        `json:",omitempty"`
	Ground  bool            `json:",omitempty"` // a grinder was used
	Held    dog.Position    `json:",omitempty"`
	Hour    *int            `json:",omitempty"`
	Arrival *record.Arrival `json:",omitempty"`
	Mood    *Mood           `json:",omitempty"` // none when no paw was handled
}

// SummaryOf sums a sitting up.
func SummaryOf(s record.Sitting) Summary {
	out := Summary{
		On:      s.On,
		Bled:    s.Bled(),
		Worst:   s.Worst(),
		Note:    s.Note,
		Minutes: s.Minutes,
		Helper:  s.Helper,
		Ticks:   s.Ticks,
		Held:    s.Held,
		Hour:    s.Hour,
		Arrival: s.Arrival,
	}
	out.Nails, out.Most = s.Cut()
	out.Ground = slices.ContainsFunc(s.Records, func(r record.NailRecord) bool {
		return r.Ground != nil || len(r.Cuts) > 0 && r.Tool.Work() == kit.Grinding
	})
	if o := s.Outing(); len(o.Touches) > 0 {
		out.Mood = &Mood{On: o.On, Minutes: o.Minutes, Calm: o.Calm}
		for _, paw := range nail.Paws() {
			if p, handled := pawMood(paw, o.Touches); handled {
				out.Mood.Paws = append(out.Mood.Paws, p)
			}
		}
	}
	return out
}

// Days are the sittings of which somebody told the mood, with what was so at each.
func Days(sittings []Summary) []temper.Day {
	var days []temper.Day
	for _, s := range sittings {
		if s.Worst == temper.Untold {
			continue
		}
		d := temper.Day{Calm: s.Worst == temper.Calm, Was: map[temper.Circumstance]bool{
			temper.WithHelper: s.Helper,
			temper.ByGrinder:  s.Ground,
			temper.AfterWalk: slices.Contains(
				s.Ticks,
				string(temper.AfterWalk),
			),
			temper.WithTreats: slices.Contains(s.Ticks, string(temper.WithTreats)),
		}}
		if s.Hour != nil {
			d.Was[temper.BeforeNoon] = *s.Hour < noon
		}
		if s.Held != "" {
			for _, position := range dog.Positions() {
				d.Was[temper.HeldSo(string(position))] = s.Held == position
			}
		}
		days = append(days, d)
	}
	return days
}

// Mood is how a dog took one sitting.
type Mood struct {
	On      date.Date
	Minutes *float64  `json:",omitempty"`
	Calm    *float64  `json:",omitempty"` // minutes before the first sign
	Paws    []PawMood // those that were handled, by nail.Paw
}

// PawMood is how it took one paw.
type PawMood struct {
	Paw   nail.Paw
	Nails int // that something came off
	Worst temper.Reaction
}

func pawMood(paw nail.Paw, touches []temper.Touch) (p PawMood, handled bool) {
	p = PawMood{Paw: paw}
	for _, t := range touches {
		if t.Paw != paw {
			continue
		}
		handled = true
		p.Worst = temper.Worst(p.Worst, t.Reaction)
		if t.Cut {
			p.Nails++
		}
	}
	return p, handled
}
