package bench

import (
	"bytes"
	"encoding/json"
	"fmt"
	"slices"
	"time"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

// LogOf is a sitting that was told as a whole, afterwards, as the log that comes to it. Its
// events are named after the sitting, so that telling it twice changes nothing.
func LogOf(id string, s record.Sitting, at time.Time) Log {
	var log Log
	add := func(e Event) {
		e.ID, e.At = fmt.Sprintf("%s/%d", id, len(log)), at
		log = append(log, e.settled())
	}
	tool, item := kit.Tool(""), ""
	start := Event{Kind: Started, Helper: s.Helper, Ticks: s.Ticks, Held: s.Held, Hour: s.Hour}
	for _, r := range s.Records {
		if r.Stop != "" {
			start.Stop = r.Stop
		}
		if r.Hand.Known() {
			start.Hand = &r.Hand
		}
	}
	if len(s.Records) > 0 {
		tool, item = s.Records[0].Tool, s.Records[0].Item
	}
	start.Tool, start.Item = tool, item
	add(start)
	if s.Arrival != nil {
		add(Event{Kind: Arrived, Arrival: s.Arrival})
	}
	for _, r := range s.Records {
		if r.Tool != tool || r.Item != item {
			tool, item = r.Tool, r.Item
			add(Event{Kind: Took, Tool: tool, Item: item})
		}
		events := recordEvents(r)
		if g := r.Ground; g != nil { // its second pass comes last
			events = append(events, groundEvents(*g)...)
		}
		for _, e := range events {
			if e.Kind == Took {
				tool, item = e.Tool, e.Item
				add(e)
				continue
			}
			e.Nail, e.Sure = &r.Code, r.Sure && (e.Kind == Measured || e.Kind == Seen)
			if e.Kind == Showed { // of the cut just told
				e.Of = log[len(log)-1].ID
			}
			add(e)
		}
	}
	for _, paw := range s.Smooth {
		add(Event{Kind: Smoothed, Paw: &paw})
	}
	if s.Note != "" {
		add(Event{Kind: Noted, Note: s.Note})
	}
	add(Event{Kind: Ended, Minutes: s.Minutes, Calm: s.Calm})
	return log
}

// Tells tells whether another log says the same: the same events, whenever and by whomever they were told.
func (l Log) Tells(other Log) bool {
	return slices.EqualFunc(l, other, func(a, b Event) bool {
		a, b = a.settled(), b.settled() // one may be from before the means of a number were kept
		a.At, b.At, a.Who, b.Who = time.Time{}, time.Time{}, "", ""
		a.Stop, b.Stop = "", "" // the settings' of that day
		a.Hand, b.Hand, a.Held, b.Held, a.Hour, b.Hour = nil, nil, "", "", nil, nil
		one, _ := json.Marshal(a) // as they are kept: an empty list is no list
		two, _ := json.Marshal(b)
		return bytes.Equal(one, two)
	})
}

// groundEvents are a nail's second pass.
func groundEvents(g record.Ground) []Event {
	events := []Event{{Kind: Took, Tool: g.Tool, Item: g.Item}, {Kind: Rounded}}
	for _, mm := range g.Touches {
		events = append(events, Event{Kind: Touched, MM: mm})
	}
	return append(events, Event{Kind: Done})
}

func recordEvents(r record.NailRecord) []Event {
	var events []Event
	measured := func(m Measure, n *measure.Number) {
		if n != nil {
			events = append(events, Event{Kind: Measured, Measure: m, MM: n.MM, By: n.By, SD: n.SD})
		}
	}
	if r.Colour != "" {
		events = append(events, Event{Kind: Coloured, Colour: r.Colour})
	}
	measured(LengthBefore, r.LengthBefore)
	measured(GapBefore, r.GapBefore)
	for _, l := range r.Landmarks {
		events = append(events, Event{Kind: Seen, Landmark: l.Mark, MM: l.Spare, By: l.By, SD: l.SD})
	}
	for i, mm := range r.Cuts {
		events = append(events, Event{Kind: Cut, MM: mm})
		var face quick.Face
		if i < len(r.Faces) {
			face = r.Faces[i]
		}
		if i == len(r.Cuts)-1 && r.EndFace != "" {
			face = r.EndFace
		}
		if face != "" {
			events = append(events, Event{Kind: Showed, Face: face})
		}
	}
	if r.Edged {
		events = append(events, Event{Kind: Edged})
	}
	if r.TookForce {
		events = append(events, Event{Kind: Forced})
	}
	if r.Blood {
		events = append(events, Event{Kind: Bled})
	}
	if r.Reaction != temper.Untold {
		events = append(events, Event{Kind: Reacted, Reaction: r.Reaction})
	}
	measured(LengthAfter, r.LengthAfter)
	measured(GapAfter, r.GapAfter)
	measured(SpareLeft, r.SpareLeft)
	if len(r.Cuts) == 0 {
		return append(events, Event{Kind: Skipped})
	}
	return append(events, Event{Kind: Done, End: r.Ended, Assumed: r.Assumed})
}
