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
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

// Telling is a log that is told more, and what it has come to so far: a long one is not worked through
// anew for every event.
type Telling struct {
	Log   Log
	State State
	dog   dog.Dog
	known map[string]Event // by their ids
	gone  gone
}

// Tell begins to tell more of a dog's sitting. The log itself stays as it is.
func (l Log) Tell(d dog.Dog) *Telling {
	t := Telling{slices.Clip(l), l.Fold(), d, map[string]Event{}, l.gone()}
	for _, e := range l {
		t.known[e.ID] = e
	}
	return &t
}

// Add adds an event. It tells false for one that is there already, and refuses, with the reason, one that
// cannot have happened then, and by Other one that is there with other content.
func (t *Telling) Add(e Event) (bool, error) {
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
		if want := t.State.impossible(e); want != "" {
			t.Log = t.Log[:len(t.Log)-1]
			t.State = t.Log.Fold()
			return false, Refusal{string(e.Kind), want}
		}
	}
	t.known[e.ID] = e
	return true, nil
}

// impossible says what of an event's nail cannot be, now that it was told; empty where nothing is.
func (s *State) impossible(e Event) string {
	if !e.needsNail() {
		return ""
	}
	return s.Nail(*e.Nail).record().Check().Error()
}

// Other says that under an event's id another one is in the log.
type Other struct{ There Event }

func (o Other) Error() string { return "an event of the kind " + string(o.There.Kind) }

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
type Refusal struct{ Event, Want string }

func (r Refusal) Error() string { return r.Event + ": " + r.Want }

func (t *Telling) check(e Event) error {
	refuse := func(want string, args ...any) error { return Refusal{string(e.Kind), fmt.Sprintf(want, args...)} }
	l, s, d := t.Log, t.State, t.dog
	switch {
	case e.Kind == Started && len(l) > 0:
		return refuse("the trim was started already")
	case e.Kind != Started && len(l) == 0:
		return refuse("the first event must be started")
	case (e.Kind == Started || e.Kind == Took) && e.Tool == "":
		return refuse("must name a tool")
	case len(l) >= mostEvents && e.Kind != Ended:
		return refuse("a trim holds at most %d events; end this one", mostEvents)
	case s.Ended && e.Kind != Undone && e.Kind != Noted:
		return refuse("the trim was ended; undo its end to go on")
	}
	if e.needsNail() {
		if e.Nail == nil {
			return refuse("must name a nail")
		}
		if _, has := d.Nail(*e.Nail); !has {
			return refuse("%s does not have the nail %s", d.Name, e.Nail)
		}
	}
	switch e.Kind {
	case Cut, Edged:
		if n := s.Nail(*e.Nail); n != nil && n.Blood {
			return refuse("%s bled: it is done for today", e.Nail)
		}
	case Seen:
		if !e.Landmark.Known() {
			return refuse("must name a landmark: seen, torch, groove or hook")
		}
		if e.MM < 0 || e.MM > mostMeasure {
			return refuse("mm must be from 0 to %g", mostMeasure)
		}
		if want := e.badMeans(measure.Quick); want != "" {
			return refuse("%s", want)
		}
	case Measured:
		if want := e.badMeans(e.Measure.what()); want != "" {
			return refuse("%s", want)
		}
		if want := e.doubtForm(d); want != "" {
			return refuse("%s", want)
		}
	case Showed:
		n, _ := d.Nail(*e.Nail)
		if worked := s.Nail(*e.Nail); worked != nil && worked.Colour != "" {
			n.Colour = worked.Colour
		}
		if !slices.Contains(quick.Faces(n.Colour), e.Face) {
			return refuse("face must be one of %v for this nail", quick.Faces(n.Colour))
		}
		if !slices.ContainsFunc(l, func(cut Event) bool { return cut.ID == e.Of && (cut.Kind == Cut || cut.Kind == Touched) }) {
			return refuse("of must be the id of the cut that showed it")
		}
	case Stopped, Bleeding:
		if n := s.Nail(*e.Nail); n == nil || !n.Blood {
			return refuse("%s did not bleed", e.Nail)
		}
	case Coloured:
		if e.Colour == "" {
			return refuse("must name a colour: dark, light or mixed; unknown where nobody can tell")
		}
	case Touched:
		if s.Tool.Work() == kit.Clipping {
			return refuse("must have a grinder or a file in the hand: take one up first")
		}
		if n := s.Nail(*e.Nail); n != nil && n.Blood {
			return refuse("%s bled: it is done for today", e.Nail)
		}
	case Rounded:
		switch {
		case s.Tool.Work() == kit.Clipping:
			return refuse("must have a grinder or a file in the hand: take one up first")
		case e.Paw == nil && e.Nail == nil:
			return refuse("must name a paw, LF, RF, LH or RH, or a nail")
		case !slices.ContainsFunc(s.Nails, func(n NailState) bool {
			return n.clipped() && (e.Paw != nil && n.Code.Paw == *e.Paw || e.Nail != nil && n.Code == *e.Nail)
		}):
			return refuse("must name a paw or a nail that was clipped at this trim")
		}
	case Reacted:
		if !slices.Contains(temper.Reactions(), e.Reaction) {
			return refuse("reaction must be one of %v", temper.Reactions())
		}
	case Arrived:
		switch {
		case e.Arrival == nil || *e.Arrival == record.Arrival{}:
			return refuse("arrival must say what was seen: how many touch, or that it clicks, limps or is sore")
		case e.Arrival.Touching != record.Unlooked && !slices.Contains(record.Touchings(), e.Arrival.Touching):
			return refuse("arrival.touching must be one of %v", record.Touchings())
		case s.Arrival != nil:
			return refuse("the arrival was told already: undo it to tell it anew")
		case s.touched():
			return refuse("the arrival is told before the first cut")
		}
	case Ended:
		if e.Reaction != temper.Untold && e.Reaction != temper.Calm {
			return refuse("reaction of the end must be calm, for calm throughout, or none")
		}
		if e.Reaction == temper.Calm && !s.OnlyCalm() {
			return refuse("reaction must not be calm: it was told otherwise of a nail")
		}
	case Smoothed:
		if e.Paw == nil {
			return refuse("must name a paw: LF, RF, LH or RH")
		}
	case Undone:
		at := slices.IndexFunc(l, func(other Event) bool { return e.Of != "" && (other.ID == e.Of || other.Press == e.Of) })
		if at <= 0 || l[at].Kind == Undone {
			return refuse("of must be the id of an event after the start that is not itself an undoing, or of a press")
		}
		if l[at].Kind == Took && append(slices.Clone(l), e).groundByNone() {
			return refuse("of must not be the tool that ground since: undo what it ground first")
		}
	case Noted:
		if len([]rune(e.Note)) > mostNote {
			return refuse("note must have at most %d letters", mostNote)
		}
	}
	return nil
}

// touched tells whether anything came off yet.
func (s State) touched() bool {
	return slices.ContainsFunc(s.Nails, func(n NailState) bool { return len(n.Cuts) > 0 })
}

// badMeans says what is wrong with what the number was read with; empty where nothing is.
func (e Event) badMeans(what measure.What) string {
	var f fault.Fields
	e.Number().Check(&f, "means", what)
	if len(f) == 0 {
		return ""
	}
	return strings.TrimPrefix(f[0].Name, "means.") + " " + f[0].Want
}

// doubtForm says why a length or gap is asked for again, as far as the nail's usual form tells.
func (e Event) doubtForm(d dog.Dog) string {
	day := date.Of(e.At)
	switch {
	case e.Sure:
		return ""
	case e.Measure == LengthBefore || e.Measure == LengthAfter:
		return record.DoubtLength(d, *e.Nail, e.MM, day)
	case e.Measure == GapBefore || e.Measure == GapAfter:
		return record.DoubtGap(d, *e.Nail, e.MM, day)
	default:
		return ""
	}
}
