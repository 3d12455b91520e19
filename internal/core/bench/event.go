package bench

import (
	"fmt"
	"slices"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
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
	Rounded  Kind = "ground" // a paw, or one nail: what was clipped is ground round, which shortens nothing
	Noted    Kind = "note"
	Arrived  Kind = "arrival" // what was seen before the first cut
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
	ID       string         `json:"id"`
	At       time.Time      `json:"at"`
	Kind     Kind           `json:"kind"`
	Press    string         `json:"press,omitempty"` // that told it together with others: they are undone as one
	Nail     *nail.Code     `json:"nail,omitempty"`
	Paw      *nail.Paw      `json:"paw,omitempty"`
	Colour   nail.Colour    `json:"colour,omitempty"`
	Pass     kit.Pass       `json:"pass,omitempty"` // where round the nail a touch was
	MM       float64        `json:"mm,omitempty"`
	Measure  Measure        `json:"measure,omitempty"`
	By       measure.Means  `json:"by,omitempty"` // its number was read with
	SD       float64        `json:"sd_mm,omitempty"`
	Landmark quick.Landmark `json:"landmark,omitempty"`
	Face     quick.Face     `json:"face,omitempty"`
	// of a nail that is done: what was said of its end, where no face was told
	End state.Ended `json:"end,omitempty"`
	// of a nail that is done: its cuts are a plan's, as it was accepted
	Assumed bool           `json:"assumed,omitempty"`
	Stop    quick.EndPoint `json:"stop,omitempty"` // of the start: at which sign the hand stops
	// of the start: how its slices come out, where that was measured
	Hand     *hand.Slices    `json:"hand,omitempty"`
	Held     dog.Position    `json:"held,omitempty"` // of the start: how the dog is held
	Hour     *int            `json:"hour,omitempty"` // of the start: of the day where it was told, 0 to 23
	Of       string          `json:"of,omitempty"`   // the event that it is about: the cut of a face, what is undone
	Reaction temper.Reaction `json:"reaction,omitempty"`
	Tool     kit.Tool        `json:"tool,omitempty"`
	Item     string          `json:"item,omitempty"`
	Note     string          `json:"note,omitempty"`
	Helper   bool            `json:"helper,omitempty"`
	Ticks    []string        `json:"ticks,omitempty"`
	Minutes  *float64        `json:"minutes,omitempty"` // of the whole sitting, where it was told and not timed
	Calm     *float64        `json:"calm,omitempty"`    // the same, before the first sign
	Arrival  *record.Arrival `json:"arrival,omitempty"` // before the first cut
	Sure     bool            `json:"sure,omitempty"`    // its number was asked for again, and stands
	Who      string          `json:"who,omitempty"`     // told it; empty where only one person does
}

// Log is everything that happened at one sitting, in its order. It only grows.
type Log []Event

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

// People are those who told its events, in the order in which they came.
func (l Log) People() []string {
	var all []string
	for _, e := range l {
		if e.Who != "" && !slices.Contains(all, e.Who) {
			all = append(all, e.Who)
		}
	}
	return all
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

func (e Event) needsNail() bool {
	switch e.Kind {
	case Measured,
		Seen,
		Cut,
		Touched,
		Edged,
		Coloured,
		Unclear,
		Showed,
		Forced,
		Bled,
		Stopped,
		Bleeding,
		Reacted,
		Skipped,
		Done:
		return true
	default:
		return false
	}
}

// Check names what of a log's events nobody can have told, whatever the dog; nil where all is well.
func (l Log) Check() fault.Fields {
	var f fault.Fields
	if len(l) > mostEvents+1 { // the end comes on top
		f.Add("events", len(l), fault.AtMost(mostEvents))
	}
	for i, e := range l {
		at := fmt.Sprintf("events[%d]", i)
		f.Range(at+".mm", e.MM, 0, mostMeasure, fault.MM)
		f.Range(at+".sd_mm", e.SD, 0, mostMeasure, fault.MM)
		if !date.Of(e.At.UTC()).Believed() {
			f.Add(
				at+".at",
				e.At,
				say.Of(mustLieBetweenAnd, say.Args{"earliest": date.Earliest.Say(), "latest": date.Latest.Say()}),
			)
		}
		if e.Held != "" && !slices.Contains(dog.Positions(), e.Held) {
			f.Add(at+".held", e.Held, say.Of(mustBeAWayTo))
		}
		if e.Hour != nil {
			f.Range(at+".hour", float64(*e.Hour), 0, 23, fault.Hours)
		}
		if e.Hand != nil {
			f.Under(at+".hand", e.Hand.Check())
		}
		for name, minutes := range map[string]*float64{".minutes": e.Minutes, ".calm": e.Calm} {
			if minutes != nil {
				f.Range(at+name, *minutes, 0, mostMinutes, fault.Minutes)
			}
		}
		if len([]rune(e.Note)) > mostNote {
			f.Add(at+".note", "longer", fault.MostLetters(mostNote))
		}
		if e.needsNail() && e.Nail == nil {
			f.Add(at+".nail", "none", say.Of(mustNameANail))
		}
		if len(f) > 0 {
			return f
		}
	}
	return f
}
