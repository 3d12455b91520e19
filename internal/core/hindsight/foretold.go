package hindsight

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// What can be said beforehand, and held against what then was.
type What string

const (
	Cut     What = "cut"     // the chance of one cut to bleed
	Press   What = "press"   // the chance of a whole nail to bleed that is told in one press
	Length  What = "length"  // mm
	Spare   What = "spare"   // safe to trim, mm, where the quick was seen
	Gap     What = "gap"     // from the tip to the floor, mm, where it was measured
	Touches What = "touches" // the chance that a nail touches the floor
	Minutes What = "minutes" // of a trim
	Due     What = "due"     // the next date
)

// Foretold is one thing that was said beforehand, beside what then was.
type Foretold struct {
	On   date.Date
	What What
	Code nail.Code // of a nail; the zero Code of a trim's minutes and date
	Said float64   // a chance, mm, or minutes
	SD   float64   // of a number; of minutes, of their logarithm
	Was  float64   // 0 or 1 of a chance; a date: days that the trim came after it
	Came Came      // of a date

	plain, plainSD float64 // what a plain rule says
	grown          float64 // of a length: how much of it was said to have grown since the last trim, mm
}

// Low and High are the range of a number that holds nine times in ten; both are what was said where it was a chance.
func (f Foretold) Low() float64  { return f.off(-estimate.Z90) }
func (f Foretold) High() float64 { return f.off(estimate.Z90) }

func (f Foretold) off(sds float64) float64 {
	if f.What == Minutes {
		return f.Said * math.Exp(sds*f.SD)
	}
	return f.Said + sds*f.SD
}

// Came is what was seen on arrival, against the date that was said.
type Came string

const (
	Before  Came = "before"  // a nail touched before its date
	About   Came = "about"   // one touched within a few days of it
	NotYet  Came = "not_yet" // none touched, before it: as was said
	Later   Came = "later"   // none touched yet, on it or after
	Untried Came = "untried" // one touched long after it: nobody knows since when
	Unseen  Came = ""        // nobody looked
)

// Rules are today's rules by which everything is said anew.
type Rules struct {
	Due   func(feet.Feet) (date.Date, bool)
	Terms func(feet.Feet) verdict.Terms
	Pace  func(before []record.Sitting, work kit.Work) temper.Pace
}

// teller says what would have been said, thing by thing.
type teller struct {
	Rules
	tell   func(Foretold)
	left   LeftOut
	before []record.Sitting
	next   date.Date
	sat    map[nail.Code]date.Date
}

// seen is a number that was measured, against what is believed of it.
func (t *teller) seen(
	f feet.Feet,
	what What,
	code nail.Code,
	said estimate.Estimate,
	was *measure.Number,
	plain float64,
) *Foretold {
	if was == nil {
		return nil
	}
	sd := math.Hypot((said.High-said.Value)/estimate.Z90, was.SD)
	return &Foretold{
		On:      f.Day(),
		What:    what,
		Code:    code,
		Said:    said.Value,
		SD:      sd,
		Was:     was.MM,
		plain:   plain,
		plainSD: math.Hypot(plainSpread*plain, was.SD),
	}
}

func (t *teller) length(f feet.Feet, code nail.Code, was *measure.Number) {
	i := f.Index(code)
	if was == nil || i < 0 {
		return
	}
	r := f.Read(i)
	one := t.seen(f, Length, code, r.Length, was, claw.Assumed(code, f.Nails[i].Shape, f.Where(f.Day()).Weight).Length)
	if last, is := t.sat[code]; is {
		one.grown = r.Rate.Mean * float64(f.Day().Sub(last)) / 7
	}
	t.tell(*one)
}

// floor is a felt nail, against how likely it was to touch, or against the gap that was believed.
func (t *teller) floor(f feet.Feet, l record.Look) {
	i := f.Index(l.Code)
	if l.Gap == nil || i < 0 || l.Code.Dewclaw() {
		return
	}
	r, was := f.Read(i), 0.0
	if l.Gap.MM <= claw.TouchGap {
		was = 1
	} else if l.Gap.By != measure.Feeler {
		t.tell(*t.seen(f, Gap, l.Code, r.Gap, l.Gap, plainGap))
	}
	t.tell(
		Foretold{
			On:    f.Day(),
			What:  Touches,
			Code:  l.Code,
			Said:  distuv.UnitNormal.CDF(-r.Floor.Mean / r.Floor.SD),
			Was:   was,
			plain: plainTouch,
		},
	)
}

// arrival is the date that was said, against what was seen on arrival.
func (t *teller) arrival(s *record.Sitting) {
	one := Foretold{On: s.On, What: Due, Was: float64(s.On.Sub(t.next))}
	touching := record.Unlooked
	if s.Arrival != nil {
		touching = s.Arrival.Touching
	}
	switch {
	case touching == record.Unlooked:
		t.left.Unlooked++
		one.Came = Unseen
	case touching == record.None && s.On.Before(t.next):
		one.Came = NotYet
	case touching == record.None:
		one.Came = Later
	case one.Was < -aboutDays:
		one.Came = Before
	case one.Was <= aboutDays:
		one.Came = About
	default:
		one.Came = Untried
	}
	if !t.next.IsZero() {
		t.tell(one)
	}
}

// minutes is how long a trim took, against how long its nails and cuts were to take.
func (t *teller) minutes(s *record.Sitting) {
	work, nails, cuts := kit.Work(""), 0, 0
	for _, r := range s.Records {
		if r.Removed() <= 0 {
			continue
		}
		if of := r.Tool.Work(); work == "" {
			work = of
		} else if of != work {
			return // of both, nobody knows how long each took
		}
		nails, cuts = nails+1, cuts+len(r.Cuts)
	}
	if s.Minutes == nil || *s.Minutes <= 0 || nails == 0 {
		return
	}
	said := t.Pace(t.before, work).Of(nails, cuts)
	plain := temper.LearnPace(kit.SomeHand, work, nil).Of(nails, cuts)
	sd := func(e estimate.Estimate) float64 { return math.Log(e.High/e.Value) / estimate.Z90 }
	t.tell(
		Foretold{
			On:      s.On,
			What:    Minutes,
			Said:    said.Value,
			SD:      sd(said),
			Was:     *s.Minutes,
			plain:   plain.Value,
			plainSD: sd(plain),
		},
	)
}

// cuts holds each counted cut of a nail against the chance that it was called, as the bench would have called it: by
// the nails before it and by its own cuts and ends so far; and a nail of which only the end was told against its press.
func (t *teller) cuts(f feet.Feet, i int, one record.NailRecord) {
	e := one.Event(f.Day())
	r := f.Read(i)
	for _, l := range e.Landmarks {
		if l.Mark == quick.SeenThrough || l.Mark == quick.ByTorch {
			said := r.Spare
			number := l.Mark.Number(l.Spare, measure.Eye, 0)
			t.tell(*t.seen(f, Spare, one.Code, said, &number, plainSpare*r.Claw.Depth/quick.SignsDepth))
		}
	}
	switch {
	case len(e.Cuts) == 0:
		return
	case one.Assumed:
		t.left.Assumed++
		return
	}
	believed, known := f.Belief(i, r)
	for _, l := range e.Landmarks {
		believed.See(l)
	}
	bled := 0.0
	if e.Blood {
		bled = 1
	}
	if !e.Cuts[0].Touch &&
		!slices.ContainsFunc(e.Cuts[:len(e.Cuts)-1], func(c state.Slice) bool { return c.Face != "" }) &&
		len(one.Faces) == 0 {
		step := verdict.Next(
			verdict.Worked{Belief: believed, Depth: r.Claw.Depth, Known: known, Reads: len(e.Landmarks) > 0},
			t.Terms(f),
		)
		if step.Action == verdict.Sliver && len(e.Cuts) <= len(step.Plan.Cuts) { // its hand kept to the plan
			t.tell(
				Foretold{
					On:    f.Day(),
					What:  Press,
					Code:  one.Code,
					Said:  step.Plan.Chance,
					Was:   bled,
					plain: plainRisk * float64(len(step.Plan.Cuts)),
				},
			)
		}
	}
	for k, c := range e.Cuts {
		was := 0.0
		if k == len(e.Cuts)-1 {
			was = bled
		}
		t.tell(
			Foretold{
				On:    f.Day(),
				What:  Cut,
				Code:  one.Code,
				Said:  verdict.Risk(believed, c.MM),
				Was:   was,
				plain: plainRisk,
			},
		)
		if c.Face != "" {
			believed.Cut(c.MM, c.Face)
		} else {
			believed.CutMilder(c.MM, e.Stop) // a hand that went on had seen no sign at which it stops
		}
	}
	t.sat[one.Code] = f.Day()
}
