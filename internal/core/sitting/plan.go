package sitting

import (
	"cmp"
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// Urgency is how much a nail presses.
type Urgency int

const (
	NotDue  Urgency = iota
	Due             // there is something to take
	OnFloor         // it touches
	Curls           // a dewclaw that curls
)

// Urgent tells whether the nail may not be left for the end.
func (u Urgency) Urgent() bool { return u >= OnFloor }

// UrgencyOf is how much a nail presses today.
func UrgencyOf(p outlook.Planned) Urgency {
	switch {
	case p.Curling():
		return Curls
	case p.OnFloor:
		return OnFloor
	case p.Kind == verdict.Trim || p.Kind == verdict.AskFirst:
		return Due
	default:
		return NotDue
	}
}

// PlannedNail is one nail of a sitting.
type PlannedNail struct {
	outlook.Planned
	Urgency Urgency
	Tool    kit.Option  // the best for it
	Then    *kit.Option // what it is ground round with afterwards; nil where there is no second pass
	Why     say.Line    // why it comes now; empty where the order of the paws says it
}

// Day is what is done on one day.
type Day struct {
	On      date.Date
	Stops   []PlannedNail // in the order of the work
	Minutes estimate.Estimate
}

// Whose is who deals with a nail that the plan leaves out.
type Whose string

const (
	Nobodys      Whose = "nobody"       // nothing is to be done yet
	Trainer      Whose = "training"     // the ladder first
	Professional Whose = "professional" // or a veterinarian
	Veterinarian Whose = "veterinarian"
)

// Left is a nail that is on no day of the plan.
type Left struct {
	Code  nail.Code
	Why   say.Line
	Whose Whose
}

// Plan is how the due nails of a dog are done, today and on the days after.
type Plan struct {
	Days      []Day
	Left      []Left
	Helpless  bool     // a helper is needed, and nobody is there
	Blocked   say.Line // why nothing is done at all; empty when something is
	Tolerance temper.Tolerance
	Alone     bool    // half as much, since a helper is wanted and nobody is there
	most      float64 // nails a day
}

// For plans. Every nail of the question is either on one day or left; the days keep to what
// the dog takes, urgent nails first; within a day the paws follow the keeper's order, and a
// curling dewclaw comes before everything.
func For(q Question) Plan {
	tasks, left := q.tasks()
	work := mainWork(tasks)
	p := Plan{Left: left, Tolerance: q.tolerance(work)}
	if no := outlook.NoTrim(q.Feet, q.Today); !no.Nothing() { // the verdict leaves every nail, and says why
		p.Blocked = no
		return p
	}
	if q.Dog.Handling.Helper == dog.Needed && !q.Helper && len(tasks) > 0 {
		p.Helpless = true
		p.Blocked = say.Of(isNotDoneWithoutA, say.Args{"name": say.Name(q.Dog.Name)})
		for _, t := range tasks {
			p.Left = append(p.Left, Left{t.Code, say.Of(waitsForAHelper), Nobodys})
		}
		return p
	}
	tasks = p.exclude(tasks, q)
	order := q.order(p.Tolerance)
	slices.SortStableFunc(tasks, func(a, b PlannedNail) int {
		return cmp.Or(cmp.Compare(b.Urgency, a.Urgency), order.compare(a, b))
	})
	p.Alone = q.Dog.Handling.Helper == dog.Wanted && !q.Helper
	p.most = p.Tolerance.Nails.Most
	if p.Alone { // half of them, the same every day
		p.most = math.Max(1, math.Ceil(math.Min(p.most, float64(len(tasks)))*aloneShare))
	}
	paces := map[kit.Work]temper.Pace{}
	for _, w := range []kit.Work{kit.Clipping, kit.Grinding, kit.Rubbing} {
		paces[w] = q.Pace(w)
	}
	on, workdays := q.Today, date.Workdays{Weekdays: q.Dog.Workdays, Closed: q.Closed}
	for len(tasks) > 0 {
		day, rest := p.fill(tasks, paces)
		if len(day.Stops) == 0 {
			for _, t := range rest {
				p.Left = append(p.Left, Left{t.Code, say.Of(oneNailTakesLongerThan), Trainer})
			}
			break
		}
		day.On = on
		order.arrange(day.Stops)
		p.Days = append(p.Days, day)
		tasks, on = rest, workdays.FirstAfter(on.AddDays(q.rest()-1))
	}
	return p
}

// rest is how many days lie between two days of a spread plan, at the least: a dog that is frightened or a puppy has
// time to forget that it was asked for something.
func (q Question) rest() int {
	puppy := temper.Puppy(q.Dog.AgeWeeks(q.Today))
	switch {
	case puppy && q.Dog.Handling.TipsMeanwhile && len(q.Training.Paws) > 0: // a nail or two every day
		return 1
	case q.first() == temper.Frightened || puppy:
		return restDays
	default:
		return 1
	}
}

// tasks are the nails that something is to come off, each with its tool; and the rest.
func (q Question) tasks() (tasks []PlannedNail, left []Left) {
	for _, n := range q.Nails {
		switch n.Kind {
		case verdict.Veterinarian:
			left = append(left, Left{n.Code, n.Why, Veterinarian})
		case verdict.Leave:
			left = append(left, Left{n.Code, n.Why, Nobodys})
		case verdict.Train:
			switch {
			case !n.Case.Refused.Nothing() && (UrgencyOf(n) == Curls || n.PastPad): // a nail that only touches waits
				left = append(left, Left{n.Code, say.Of(saidNoAndThisOne), q.others()})
			case !n.Case.Refused.Nothing():
				left = append(left, Left{n.Code, n.Why, Trainer})
			case UrgencyOf(n).Urgent():
				left = append(
					left,
					Left{n.Code, say.Of(cannotWaitForTheLadder, say.Args{"who": now(q.Terms.Keeper)}), q.others()},
				)
			default:
				left = append(left, Left{n.Code, n.Why, Trainer})
			}
		case verdict.Trim, verdict.AskFirst:
			job := q.job(n, kit.Length)
			job.Last = q.Past.Tools[n.Code]
			stop := PlannedNail{Planned: n, Urgency: UrgencyOf(n), Tool: kit.Advise(job, q.Kit)[0]}
			if hand := q.HandWith(stop.Tool.Tool, quick.Touch); hand != q.Terms.Hand { // it was asked with a clipper
				stop.Verdict = verdict.Of(n.Case, q.Terms.Margin, hand)
			}
			stop.Then = q.second(n, stop.Tool)
			tasks = append(tasks, stop)
		}
	}
	return tasks, left
}

// second is what a nail is ground round with once it is clipped: of a dog that is worked so, and with a grinder
// that is fit for it.
func (q Question) second(n outlook.Planned, first kit.Option) *kit.Option {
	if q.Way != kit.ClipAndGrind || first.Tool.Work() != kit.Clipping {
		return nil
	}
	options := kit.Advise(q.job(n, kit.Smoothing), q.Kit)
	i := slices.IndexFunc(options, func(o kit.Option) bool { return o.Tool.Work() == kit.Grinding && o.Out.Nothing() })
	if i < 0 {
		return nil
	}
	return &options[i]
}

// HandWith is how the dog is worked with a tool in the hand, whose touch takes so many mm.
func (q Question) HandWith(tool kit.Tool, touch float64) verdict.Terms {
	t := q.Terms.Hand
	t.Touch = 0
	if tool.Work() == kit.Grinding {
		t.Touch = touch
	}
	return t
}

// job is a nail as far as the choice of a tool depends on it.
func (q Question) job(n outlook.Planned, purpose kit.Purpose) kit.Job {
	kg := q.Dog.WeightOn(q.Today)
	return kit.Job{
		Code: n.Code, Shape: n.Shape, State: n.State, Colour: n.Colour, CloseToPad: n.Curling(),
		Depth: claw.Assumed(n.Code, n.Shape, kg).Depth, Take: record.NailRecord{Cuts: n.Cuts()}.Removed(),
		Weight: kg, AgeWeeks: q.Dog.AgeWeeks(q.Today), LongCoat: q.Dog.FootCoat == dog.LongCoat || q.Hair,
		Noise: q.Dog.Handling.Noise, Learning: q.Training.Grinder, Hand: q.Hand, Purpose: purpose,
		Often: q.Dog.Rhythm.Days() <= 7, Way: q.Way,
	}
}

// Advice ranks the tools for one nail of the dog; it tells false when the dog has no such nail.
func (q Question) Advice(code nail.Code, purpose kit.Purpose) ([]kit.Option, bool) {
	i := slices.IndexFunc(q.Nails, func(n outlook.Planned) bool { return n.Code == code })
	if i < 0 {
		return nil, false
	}
	job := q.job(q.Nails[i], purpose)
	job.Last = q.Past.Tools[code]
	return kit.Advise(job, q.Kit), true
}

// FirstTool is what the dog was last trimmed with, or else what its size wants: to begin with
// where no nail is planned.
func (q Question) FirstTool() kit.Tool {
	if q.Past.Tool != "" {
		return q.Past.Tool
	}
	return kit.UsualClipper(q.Dog.WeightOn(q.Today))
}

// mainWork is the kind of work that most nails are done with.
func mainWork(tasks []PlannedNail) kit.Work {
	counts := map[kit.Work]int{}
	most := kit.Clipping
	for _, t := range tasks {
		w := t.Tool.Tool.Work()
		counts[w]++
		if counts[w] > counts[most] {
			most = w
		}
	}
	return most
}

// others are who does what is not for the user's hands.
func (q Question) others() Whose {
	if q.Terms.Keeper {
		return Professional
	}
	return Veterinarian
}

// exclude leaves out the nails of a paw that the dog does not give.
func (p *Plan) exclude(tasks []PlannedNail, q Question) []PlannedNail {
	return slices.DeleteFunc(tasks, func(t PlannedNail) bool {
		if !p.Tolerance.Paws[t.Code.Paw].Impossible {
			return false
		}
		left := Left{t.Code, say.Of(isNotGivenNeverForce, say.Args{"paw": nail.SaidPaws(t.Code.Paw)}), Trainer}
		if t.Urgency.Urgent() {
			left = Left{
				t.Code,
				say.Of(isNotGivenAndThis, say.Args{"paw": nail.SaidPaws(t.Code.Paw), "who": now(q.Terms.Keeper)}),
				q.others(),
			}
		}
		p.Left = append(p.Left, left)
		return true
	})
}

// fill takes the nails of one day from the front of tasks, as many as the dog takes.
func (p Plan) fill(tasks []PlannedNail, paces map[kit.Work]temper.Pace) (day Day, rest []PlannedNail) {
	most, minutes := p.most, p.Tolerance.Minutes.Most
	spent, full := 0.0, false
	perPaw := map[nail.Paw]float64{}
	perWork := map[kit.Work]load{}
	for _, t := range tasks {
		work := t.Tool.Tool.Work()
		takes := paces[work].Nail(t.cuts())
		if t.Then != nil {
			takes += paces[kit.Grinding].Nail(temper.RoundTouches)
		}
		paw := t.Code.Paw
		full = full || spent+takes > minutes && takes <= minutes // no quicker one comes before it
		if float64(len(day.Stops)) >= most || full || takes > minutes ||
			perPaw[paw] >= p.Tolerance.Paws[paw].Nails.Most {
			rest = append(rest, t)
			continue
		}
		spent += takes
		perPaw[paw]++
		perWork[work] = perWork[work].and(t.cuts())
		if t.Then != nil {
			perWork[kit.Grinding] = perWork[kit.Grinding].and(temper.RoundTouches)
		}
		day.Stops = append(day.Stops, t)
	}
	day.Minutes = minutesOf(perWork, paces)
	return day, rest
}

// load is what nails of one kind of work ask for.
type load struct{ nails, cuts int }

func (a load) and(cuts int) load { return load{a.nails + 1, a.cuts + cuts} }

// cuts are those that are likely, or touches; of a nail that asks for a landmark first what is usual.
func (s PlannedNail) cuts() int {
	if n := len(s.Cuts()); n > 0 {
		return n
	}
	return temper.UsualCuts
}

// minutesOf adds up the works of a day; their ranges are added too, since one dog's pace is
// slow or quick in all of them.
func minutesOf(asks map[kit.Work]load, paces map[kit.Work]temper.Pace) estimate.Estimate {
	sum := estimate.Estimate{Source: estimate.Learnt}
	for _, w := range []kit.Work{kit.Clipping, kit.Grinding, kit.Rubbing} {
		if asks[w].nails == 0 {
			continue
		}
		e := paces[w].Of(asks[w].nails, asks[w].cuts)
		sum.Value, sum.Low, sum.High = sum.Value+e.Value, sum.Low+e.Low, sum.High+e.High
		if e.Source == estimate.Assumed {
			sum.Source = estimate.Assumed
		}
	}
	return sum
}
