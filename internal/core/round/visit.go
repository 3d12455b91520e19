package round

import (
	"slices"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/say"
)

// VisitState is how far a visit has come.
type VisitState string

// What a visit can be.
const (
	Offered   VisitState = "offered"
	Agreed    VisitState = "agreed"
	Here      VisitState = "here"
	Done      VisitState = "done"
	Missed    VisitState = "missed"
	CalledOff VisitState = "called_off"
)

// Takes tells whether a visit takes its place: one that was missed or called off has given it back.
func (s VisitState) Takes() bool { return s != Missed && s != CalledOff }

// After is the state once the visit's sitting was begun, or has ended.
func (s VisitState) After(begun, ended bool) VisitState {
	switch {
	case !s.Takes() && !begun:
		return s
	case ended:
		return Done
	case begun:
		return Here
	}
	return s
}

// Help is whether somebody must be there to hold.
type Help string

// How much a dog wants a helper.
const (
	NoHelp    Help = "none"
	Preferred Help = "preferred"
	Needed    Help = "needed"
)

// Unreckoned is a dog of which nothing can be worked out: its place is kept for it all the same.
func Unreckoned(id, name string) Dog {
	return Dog{
		ID:      id,
		Name:    name,
		Minutes: unknownMinutes,
		Takes:   estimate.Estimate{Value: unknownMinutes, Low: LeastVisit, High: mostVisit, Source: estimate.Assumed},
	}
}

// Dog is a dog as far as its visits go.
type Dog struct {
	ID      string
	Name    string
	Owner   string            // empty: none
	Takes   estimate.Estimate // minutes at the table, with their range
	Minutes int               // that a visit holds: four days in five it is done by then
	Help    Help
	Hard    bool // it must not be met tired
	Nails   int  // to trim
	CanWait int  // of them: they touch nothing and do not curl
	Kit     kit.Needs
	Window  Window
	Suits   map[time.Weekday][]Stretch // the owner’s hours; nil: any
}

// Visit is a dog's place in the book.
type Visit struct {
	ID    string
	Dog   Dog
	On    date.Date
	Start Clock
	State VisitState
	Begun Clock // its sitting did; 0 as long as that has not
}

// Ends is when the dog itself is through.
func (v Visit) Ends() Clock { return v.Start + Clock(v.Dog.Minutes) }

// Lasts is the place that it takes: the dog, and what is set up and cleared away.
func (v Visit) Lasts(w Week) Stretch {
	return Stretch{v.Start, v.Start + Clock(v.Dog.Minutes+w.Around)}
}

// Check names what cannot be.
func (v Visit) Check() fault.Fields {
	var f fault.Fields
	if v.Start < 0 || v.Start >= At(24, 0) {
		f.Add("start", v.Start.String(), say.Of(mustBeATimeOf))
	}
	if v.Dog.Minutes < LeastVisit || v.Dog.Minutes > mostVisit {
		f.Add(
			"minutes",
			v.Dog.Minutes,
			say.Of(mustBeFromMinutesTo, say.Args{"least": say.Whole(LeastVisit), "most": say.Count(mostVisit)}),
		)
	} else if v.Start+Clock(v.Dog.Minutes) > At(24, 0) {
		f.Add("minutes", v.Dog.Minutes, say.Of(mustEndOnTheSame))
	}
	if !slices.Contains([]VisitState{Offered, Agreed, Missed, CalledOff}, v.State) {
		f.Add("state", string(v.State), say.Of(mustBeOfferedAgreedMissed))
	}
	return f
}

// Breaks says what a visit would break at its place, besides others' visits; empty where nothing is.
func (w Week) Breaks(v Visit) say.Line {
	if no := v.Dog.Window.Refuses(v.On); !no.Nothing() {
		return say.Of(dogSaidNo, say.Args{"name": say.Name(v.Dog.Name), "no": no})
	}
	hours, open := w.On(v.On)
	if !open {
		return say.Of(isNoWorkingDay, say.Args{"on": v.On.Say()})
	}
	takes := v.Lasts(w)
	inside := false
	for _, s := range hours.Open() {
		inside = inside || s.Holds(takes)
	}
	switch {
	case !inside && hours.Holds(takes):
		return say.Of(itRunsIntoTheBreak, say.Args{"from": hours.Break.From.Say(), "to": hours.Break.To.Say()})
	case !inside:
		return say.Of(itLiesOutsideTheHours, say.Args{"from": hours.From.Say(), "to": hours.To.Say()})
	case v.Dog.Help == Needed && !hours.Helped(takes):
		return say.Of(needsSomebodyToHoldAnd, say.Args{"name": say.Name(v.Dog.Name)})
	case !suits(v.Dog.Suits, v.On, takes):
		return say.Of(itLiesOutsideTheOwners)
	}
	return say.Line{}
}

// suits tells whether a stretch lies within an owner's hours; nil: any do.
func suits(hours map[time.Weekday][]Stretch, day date.Date, s Stretch) bool {
	if hours == nil {
		return true
	}
	for _, free := range hours[day.Weekday()] {
		if free.Holds(s) {
			return true
		}
	}
	return false
}

// Clash says which other visit a visit runs into, or that the dog comes that day already; empty where none.
func (w Week) Clash(v Visit, others []Visit) say.Line {
	takes := v.Lasts(w)
	for _, o := range others {
		if o.ID == v.ID || o.On != v.On || !o.State.Takes() {
			continue
		}
		if o.Dog.ID == v.Dog.ID {
			return say.Of(comesThatDayAlreadyAt, say.Args{"name": say.Name(v.Dog.Name), "start": o.Start.Say()})
		}
		if takes.Meets(o.Lasts(w)) {
			return say.Of(
				itRunsIntoTo,
				say.Args{"name": say.Name(o.Dog.Name), "start": o.Start.Say(), "to": o.Lasts(w).To.Say()},
			)
		}
	}
	return say.Line{}
}
