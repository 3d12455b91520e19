package bench

import (
	"fmt"
	"reflect"
	"slices"
	"strings"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// Recorder is a log that is told more, and what it has come to so far: a long one is not worked through
// anew for every event.
type Recorder struct {
	Log   Log
	State Progress
	dog   dog.Dog
	known map[string]Event // by their ids
	gone  gone
}

// Tell begins to tell more of a dog's sitting. The log itself stays as it is.
func (l Log) Tell(d dog.Dog) *Recorder {
	t := Recorder{slices.Clip(l), l.Fold(), d, map[string]Event{}, l.gone()}
	for _, e := range l {
		t.known[e.ID] = e
	}
	return &t
}

// Add adds an event. It tells false for one that is there already, and refuses, with the reason, one that
// cannot have happened then, and by Other one that is there with other content.
func (t *Recorder) Add(e Event) (bool, error) {
	if there, is := t.known[e.ID]; is {
		if !there.tells(e) {
			return false, Other{there}
		}
		return false, nil
	}
	if err := t.check(e); err != nil {
		return false, err
	}
	e = e.settled()
	t.Log = append(t.Log, e)
	switch {
	case e.Kind == Undone:
		t.gone[e.Of] = true
		t.State = t.Log.Fold()
	case !t.gone.counts(e):
		t.State.take(e)
		if want := t.State.impossible(e); !want.Nothing() {
			t.Log = t.Log[:len(t.Log)-1]
			t.State = t.Log.Fold()
			return false, Refusal{string(e.Kind), want}
		}
	}
	t.known[e.ID] = e
	return true, nil
}

// impossible says what of an event's nail cannot be, now that it was told; empty where nothing is.
func (s *Progress) impossible(e Event) say.Line {
	if !e.needsNail() {
		return say.Line{}
	}
	return first(s.Nail(*e.Nail).record().Check())
}

// first is what the first refused field wants, with its name; nothing where none is refused.
func first(f fault.Fields) say.Line {
	if len(f) == 0 {
		return say.Line{}
	}
	return say.Of(fieldWants, say.Args{"field": say.Name(f[0].Name), "want": f[0].Want})
}

// Other says that under an event's id another one is in the log.
type Other struct{ There Event }

func (o Other) Error() string {
	return "an event of the kind " + string(o.There.Kind)
}

// tells tells whether another event says the same; who told it is no part of it.
func (e Event) tells(other Event) bool {
	plain := func(e Event) Event {
		e = e.settled()
		e.Who, e.Stop, e.Hand, e.Held, e.Hour, e.At = "", "", nil, "", nil, e.At.UTC().Truncate(time.Millisecond)
		if len(e.Ticks) == 0 {
			e.Ticks = nil
		}
		return e
	}
	return reflect.DeepEqual(plain(e), plain(other))
}

// Refusal is why an event cannot have happened then.
type Refusal struct {
	Event string
	Want  say.Line
}

// Says is what it says, for people.
func (r Refusal) Says() say.Line { return r.Want }

func (r Refusal) Error() string { return fmt.Sprintf("%s: %s %v", r.Event, r.Want.Key, r.Want.Args) }

func (t *Recorder) check(e Event) error {
	refuse := func(want say.Line) error { return Refusal{string(e.Kind), want} }
	l, s, d := t.Log, t.State, t.dog
	switch {
	case e.Kind == Started && len(l) > 0:
		return refuse(say.Of(theTrimWasStartedAlready))
	case e.Kind != Started && len(l) == 0:
		return refuse(say.Of(theFirstEventMustBe))
	case (e.Kind == Started || e.Kind == Took) && e.Tool == "":
		return refuse(say.Of(mustNameATool))
	case len(l) >= mostEvents && e.Kind != Ended:
		return refuse(say.Of(aTrimHoldsAtMost, say.Args{"n": say.Count(mostEvents)}))
	case s.Ended && e.Kind != Undone && e.Kind != Noted:
		return refuse(say.Of(theTrimWasEndedUndo))
	}
	if e.needsNail() {
		if e.Nail == nil {
			return refuse(say.Of(mustNameANail))
		}
		if _, has := d.Nail(*e.Nail); !has {
			return refuse(say.Of(sDoesNotHaveThe, say.Args{"name": say.Name(d.Name), "nail": nail.Said(*e.Nail)}))
		}
	}
	switch e.Kind {
	case Cut, Edged:
		if n := s.Nail(*e.Nail); n != nil && n.Blood {
			return refuse(say.Of(sBledItIsDone, say.Args{"nail": nail.Said(*e.Nail)}))
		}
	case Seen:
		if !e.Landmark.Known() {
			return refuse(say.Of(mustNameALandmarkSeen))
		}
		if e.MM < 0 || e.MM > mostMeasure {
			return refuse(say.Of(mmMustBeFrom0, say.Args{"most": say.Number(mostMeasure)}))
		}
		if want := e.badMeans(measure.Quick); !want.Nothing() {
			return refuse(want)
		}
	case Measured:
		if want := e.badMeans(e.Measure.what()); !want.Nothing() {
			return refuse(want)
		}
		if want := e.doubtForm(d); !want.Nothing() {
			return refuse(want)
		}
	case Showed:
		n, _ := d.Nail(*e.Nail)
		if worked := s.Nail(*e.Nail); worked != nil && worked.Colour != "" {
			n.Colour = worked.Colour
		}
		if !slices.Contains(quick.Faces(n.Colour), e.Face) {
			return refuse(say.Of(faceMustBeOneOf, say.Args{"want": fault.AnyOf(quick.Faces(n.Colour))}))
		}
		if !slices.ContainsFunc(
			l,
			func(cut Event) bool { return cut.ID == e.Of && (cut.Kind == Cut || cut.Kind == Touched) },
		) {
			return refuse(say.Of(ofMustBeTheId))
		}
	case Stopped, Bleeding:
		if n := s.Nail(*e.Nail); n == nil || !n.Blood {
			return refuse(say.Of(sDidNotBleed, say.Args{"nail": nail.Said(*e.Nail)}))
		}
	case Coloured:
		if e.Colour == "" {
			return refuse(say.Of(mustNameAColourDark))
		}
	case Touched:
		if s.Tool.Work() == kit.Clipping {
			return refuse(say.Of(mustHaveAGrinderOr))
		}
		if n := s.Nail(*e.Nail); n != nil && n.Blood {
			return refuse(say.Of(sBledItIsDone, say.Args{"nail": nail.Said(*e.Nail)}))
		}
	case Rounded:
		switch {
		case s.Tool.Work() == kit.Clipping:
			return refuse(say.Of(mustHaveAGrinderOr))
		case e.Paw == nil && e.Nail == nil:
			return refuse(say.Of(mustNameAPawLf))
		case !slices.ContainsFunc(s.Nails, func(n NailState) bool {
			return n.clipped() && (e.Paw != nil && n.Code.Paw == *e.Paw || e.Nail != nil && n.Code == *e.Nail)
		}):
			return refuse(say.Of(mustNameAPawOr))
		}
	case Reacted:
		if !slices.Contains(temper.Reactions(), e.Reaction) {
			return refuse(
				say.Of(fieldWants, say.Args{"field": say.Name("reaction"), "want": fault.AnyOf(temper.Reactions())}),
			)
		}
	case Arrived:
		switch {
		case e.Arrival == nil || *e.Arrival == record.Arrival{}:
			return refuse(say.Of(arrivalMustSayWhatWas))
		case e.Arrival.Touching != record.Unlooked && !slices.Contains(record.Touchings(), e.Arrival.Touching):
			return refuse(
				say.Of(
					fieldWants,
					say.Args{"field": say.Name("arrival.touching"), "want": fault.AnyOf(record.Touchings())},
				),
			)
		case s.Arrival != nil:
			return refuse(say.Of(theArrivalWasToldAlready))
		case s.touched():
			return refuse(say.Of(theArrivalIsToldBefore))
		}
	case Ended:
		if e.Reaction != temper.Untold && e.Reaction != temper.Calm {
			return refuse(say.Of(reactionOfTheEndMust))
		}
		if e.Reaction == temper.Calm && !s.OnlyCalm() {
			return refuse(say.Of(reactionMustNotBeCalm))
		}
	case Smoothed:
		if e.Paw == nil {
			return refuse(say.Of(mustNameAPawLfRf))
		}
	case Undone:
		at := slices.IndexFunc(
			l,
			func(other Event) bool { return e.Of != "" && (other.ID == e.Of || other.Press == e.Of) },
		)
		if at <= 0 || l[at].Kind == Undone {
			return refuse(say.Of(ofMustBeTheIdOf))
		}
		if l[at].Kind == Took && append(slices.Clone(l), e).groundByNone() {
			return refuse(say.Of(ofMustNotBeThe))
		}
	case Noted:
		if len([]rune(e.Note)) > mostNote {
			return refuse(say.Of(fieldWants, say.Args{"field": say.Name("note"), "want": fault.MostLetters(mostNote)}))
		}
	}
	return nil
}

// touched tells whether anything came off yet.
func (s Progress) touched() bool {
	return slices.ContainsFunc(s.Nails, func(n NailState) bool { return len(n.Cuts) > 0 })
}

// badMeans says what is wrong with what the number was read with; empty where nothing is.
func (e Event) badMeans(what measure.What) say.Line {
	var f fault.Fields
	e.Number().Check(&f, "means", what)
	for i := range f {
		f[i].Name = strings.TrimPrefix(f[i].Name, "means.")
	}
	return first(f)
}

// doubtForm says why a length or gap is asked for again, as far as the nail's usual form tells.
func (e Event) doubtForm(d dog.Dog) say.Line {
	day := date.Of(e.At)
	switch {
	case e.Sure:
		return say.Line{}
	case e.Measure == LengthBefore || e.Measure == LengthAfter:
		return record.DoubtLength(d, *e.Nail, e.MM, day)
	case e.Measure == GapBefore || e.Measure == GapAfter:
		return record.DoubtGap(d, *e.Nail, e.MM, day)
	default:
		return say.Line{}
	}
}
