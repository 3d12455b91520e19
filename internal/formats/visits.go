package formats

import (
	"fmt"
	"strconv"
	"time"

	ics "github.com/arran4/golang-ical"
)

// Visit is a visit in a calendar.
type Visit struct {
	ID        string
	Name      string // of the dog
	Place     string
	Begins    time.Time
	Minutes   int
	Words     string
	Status    VisitStatus
	Sequence  int // how often it was changed
	ChangedAt time.Time
}

// VisitStatus is how sure a visit is (RFC 5545, 3.8.1.11).
type VisitStatus string

// How sure visits are.
const (
	Tentative VisitStatus = "TENTATIVE"
	Confirmed VisitStatus = "CONFIRMED"
	Cancelled VisitStatus = "CANCELLED"
)

const clockForm = "20060102T150405"

func addVisits(cal *ics.Calendar, visits []Visit, zone *time.Location) {
	if len(visits) == 0 {
		return
	}
	at := func(event *ics.VEvent, property ics.ComponentProperty, t time.Time) {
		if zone == time.UTC {
			event.SetProperty(property, t.UTC().Format(clockForm+"Z"))
			return
		}
		event.SetProperty(property, t.In(zone).Format(clockForm), ics.WithTZID(zone.String()))
	}
	first, last := visits[0].Begins, visits[0].Begins
	for _, v := range visits {
		if v.Begins.Before(first) {
			first = v.Begins
		}
		if v.Begins.After(last) {
			last = v.Begins
		}
		event := cal.AddEvent(fmt.Sprintf("visit-%s@fribbet", v.ID))
		event.SetDtStampTime(v.ChangedAt)
		event.SetProperty(ics.ComponentPropertyLastModified, v.ChangedAt.UTC().Format(clockForm+"Z"))
		event.SetProperty(ics.ComponentPropertySequence, strconv.Itoa(v.Sequence))
		at(event, ics.ComponentPropertyDtStart, v.Begins)
		at(event, ics.ComponentPropertyDtEnd, v.Begins.Add(time.Duration(v.Minutes)*time.Minute))
		event.SetSummary(v.Name)
		event.SetDescription(v.Words)
		if v.Place != "" {
			event.SetLocation(v.Place)
		}
		event.SetProperty(ics.ComponentPropertyStatus, string(v.Status))
	}
	if zone != time.UTC {
		cal.AddVTimezone(rules(zone, first, last))
	}
}

// rules are a zone as it is from one moment to another (RFC 5545, 3.6.5): each change of its clocks by itself,
// since a zone's law is none of ours to guess.
func rules(zone *time.Location, first, last time.Time) *ics.VTimezone {
	tz := ics.NewTimezone(zone.String())
	begins, _ := first.In(zone).ZoneBounds()
	if begins.IsZero() { // it never changed before
		begins = first.AddDate(-1, 0, 0)
	}
	for at := begins; ; {
		name, to := at.In(zone).Zone()
		_, from := at.Add(-time.Second).In(zone).Zone()
		base := ics.ComponentBase{}
		base.SetProperty(
			ics.ComponentPropertyDtStart,
			at.UTC().Add(time.Duration(from)*time.Second).Format(clockForm),
		) // by the clock that it ends
		base.SetProperty(ics.ComponentProperty(ics.PropertyTzoffsetfrom), offset(from))
		base.SetProperty(ics.ComponentProperty(ics.PropertyTzoffsetto), offset(to))
		base.SetProperty(ics.ComponentProperty(ics.PropertyTzname), name)
		if at.In(zone).IsDST() {
			tz.Components = append(tz.Components, &ics.Daylight{ComponentBase: base})
		} else {
			tz.Components = append(tz.Components, &ics.Standard{ComponentBase: base})
		}
		_, ends := at.In(zone).ZoneBounds()
		if ends.IsZero() || ends.After(last) {
			return tz
		}
		at = ends
	}
}

// offset is one from UTC, in seconds, as RFC 5545 writes it (3.3.14).
func offset(seconds int) string {
	sign := "+"
	if seconds < 0 {
		sign, seconds = "-", -seconds
	}
	text := fmt.Sprintf("%s%02d%02d", sign, seconds/3600, seconds/60%60)
	if seconds%60 != 0 {
		text += fmt.Sprintf("%02d", seconds%60)
	}
	return text
}
