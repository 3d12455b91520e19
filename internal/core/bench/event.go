package bench

import (
	"fmt"
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
	"fribbet/internal/core/temper"
)

// Kind is what happened at the bench.
type Kind string

const (
	Started  Kind = "started"
	Took     Kind = "tool"     // a tool is taken up, for the nails from here on
	Measured Kind = "measured" // a length, a gap, a spare
	Seen     Kind = "landmark" // where the quick was seen to end
	Cut      Kind = "cut"
	Touched  Kind = "touch" // by a grinder
	Edged    Kind = "edges" // a sliver off sides and top: it takes the sharpness, not the length
	Coloured Kind = "colour"
	Unclear  Kind = "unclear" // where the quick ends: nobody can tell
	Showed   Kind = "face"    // what a cut showed
	Forced   Kind = "force"   // the blade had to be forced
	Bled     Kind = "blood"
	Stopped  Kind = "blood_stopped"
	Bleeding Kind = "still_bleeding" // after the usual minutes: a veterinarian's
	Reacted  Kind = "reaction"
	Skipped  Kind = "skipped"
	Done     Kind = "done"
	Smoothed Kind = "smooth" // a paw: a finger went round its nails
	Noted    Kind = "note"
	Ended    Kind = "ended"
	Undone   Kind = "undone" // another event counts no more
)

// Measure is what a number in mm was measured of, and when.
type Measure string

const (
	LengthBefore Measure = "length_before"
	LengthAfter  Measure = "length_after"
	GapBefore    Measure = "gap_before"
	GapAfter     Measure = "gap_after"
	SpareLeft    Measure = "spare_left"
)

// what it is of a nail.
func (m Measure) what() measure.What {
	switch m {
	case LengthBefore, LengthAfter:
		return measure.Length
	case GapBefore, GapAfter:
		return measure.Gap
	default:
		return measure.Quick
	}
}

// Event is one thing that happened, told by whoever saw it. Its id is made there, so that
// telling it twice changes nothing. What its kind does not need is left empty.
type Event struct {
	ID       string          `json:"id"`
	At       time.Time       `json:"at"`
	Kind     Kind            `json:"kind"`
	Press    string          `json:"press,omitempty"` // that told it together with others: they are undone as one
	Nail     *nail.Code      `json:"nail,omitempty"`
	Paw      *nail.Paw       `json:"paw,omitempty"`
	Colour   nail.Colour     `json:"colour,omitempty"`
	Pass     kit.Pass        `json:"pass,omitempty"` // where round the nail a touch was
	MM       float64         `json:"mm,omitempty"`
	Measure  Measure         `json:"measure,omitempty"`
	By       measure.Means   `json:"by,omitempty"` // its number was read with
	SD       float64         `json:"sd_mm,omitempty"`
	Landmark quick.Landmark  `json:"landmark,omitempty"`
	Face     quick.Face      `json:"face,omitempty"`
	Of       string          `json:"of,omitempty"` // the event that it is about: the cut of a face, what is undone
	Reaction temper.Reaction `json:"reaction,omitempty"`
	Tool     kit.Tool        `json:"tool,omitempty"`
	Item     string          `json:"item,omitempty"`
	Note     string          `json:"note,omitempty"`
	Helper   bool            `json:"helper,omitempty"`
	Ticks    []string        `json:"ticks,omitempty"`
	Minutes  *float64        `json:"minutes,omitempty"` // of the whole sitting, where it was told and not timed
	Calm     *float64        `json:"calm,omitempty"`    // the same, before the first sign
	Sure     bool            `json:"sure,omitempty"`    // its number was asked for again, and stands
}

// Log is everything that happened at one sitting, in its order. It only grows.
type Log []Event

// Append adds an event. It tells false for one that is there already, and refuses, with the
// reason, one that cannot have happened then.
func (l Log) Append(d dog.Dog, e Event) (Log, bool, error) {
	if slices.ContainsFunc(l, func(other Event) bool { return other.ID == e.ID }) {
		return l, false, nil
	}
	if err := l.check(d, e); err != nil {
		return l, false, err
	}
	longer := append(slices.Clip(l), e.settled())
	for _, r := range longer.Fold().Sitting(date.Date{}).Records {
		if faults := r.Check(); e.Nail != nil && r.Code == *e.Nail && len(faults) > 0 {
			return l, false, Refusal{string(e.Kind), faults.Error()}
		}
	}
	return longer, true, nil
}

// Number is what a measured length, gap or quick tells.
func (e Event) Number() measure.Number {
	if e.Kind == Seen {
		return e.Landmark.Number(e.MM, e.By, e.SD)
	}
	return e.Measure.what().Told(e.MM, e.By, e.SD)
}

// settled is the event with what its number was read with, and how far it may be off, said: so it stays,
// whatever is held to be usual later.
func (e Event) settled() Event {
	if e.Kind == Measured || e.Kind == Seen {
		n := e.Number()
		e.By, e.SD = n.By, n.SD
	}
	return e
}

// Last is the latest event that can be undone; false when there is none.
func (l Log) Last() (Event, bool) {
	gone := l.gone()
	for _, e := range slices.Backward(l) {
		if e.Kind != Started && e.Kind != Undone && !gone.counts(e) {
			return e, true
		}
	}
	return Event{}, false
}

// UndoneBy is what an undoing of the event names: the press that told it with others, or its own id.
func (e Event) UndoneBy() string {
	if e.Press != "" {
		return e.Press
	}
	return e.ID
}

// gone is what was undone: events and presses.
type gone map[string]bool

func (l Log) gone() gone {
	g := gone{}
	for _, e := range l {
		if e.Kind == Undone {
			g[e.Of] = true
		}
	}
	return g
}

// counts tells whether an event is among them, or about one that is.
func (g gone) counts(e Event) bool { return g[e.ID] || g[e.Of] || g[e.Press] }

// Refusal is why an event cannot have happened then.
type Refusal struct{ Event, Want string }

func (r Refusal) Error() string { return r.Event + ": " + r.Want }

func (l Log) check(d dog.Dog, e Event) error {
	refuse := func(want string, args ...any) error { return Refusal{string(e.Kind), fmt.Sprintf(want, args...)} }
	s := l.Fold()
	switch {
	case e.Kind == Started && len(l) > 0:
		return refuse("the sitting was started already")
	case e.Kind != Started && len(l) == 0:
		return refuse("the first event must be started")
	case (e.Kind == Started || e.Kind == Took) && e.Tool == "":
		return refuse("must name a tool")
	case s.Ended && e.Kind != Undone && e.Kind != Noted:
		return refuse("the sitting was ended; undo its end to go on")
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
	case Cut, Touched, Edged:
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
	case Smoothed:
		if e.Paw == nil {
			return refuse("must name a paw: LF, RF, LH or RH")
		}
	case Undone:
		at := slices.IndexFunc(l, func(other Event) bool { return e.Of != "" && (other.ID == e.Of || other.Press == e.Of) })
		if at <= 0 || l[at].Kind == Undone {
			return refuse("of must be the id of an event after the start that is not itself an undoing, or of a press")
		}
	case Noted:
		if len([]rune(e.Note)) > mostNote {
			return refuse("note must have at most %d letters", mostNote)
		}
	}
	return nil
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

func (e Event) needsNail() bool {
	switch e.Kind {
	case Measured, Seen, Cut, Touched, Edged, Coloured, Unclear, Showed, Forced, Bled, Stopped, Bleeding, Reacted, Skipped, Done:
		return true
	default:
		return false
	}
}
