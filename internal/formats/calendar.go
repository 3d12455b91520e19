// Package formats writes and reads the book's open formats.
package formats

import (
	"fmt"
	"io"
	"strconv"
	"time"

	ics "github.com/arran4/golang-ical"

	"fribbet/internal/core/date"
)

// DueDate is one dog's date in a calendar.
type DueDate struct {
	DogID    string
	Name     string
	On       date.Date
	Summary  string // in a few words
	Ring     string // what its alarm says
	Why      string
	Sequence int       // how often the date has moved
	MovedAt  time.Time // when it last did
}

// alarm is when a calendar program rings, from the beginning of the day: at nine the morning before.
const alarm = "-PT15H"

// Calendar writes dates as iCalendar (RFC 5545): one all-day event a dog, whose UID stays the
// same when its date moves, so that a calendar program moves the event with it. A day has no
// zone and no clock, so a change to summer time cannot shift it. Visits are at their time in the
// user's zone, which comes with its rules.
func Calendar(w io.Writer, name string, dates []DueDate, visits []Visit, zone *time.Location) error {
	cal := ics.NewCalendarFor("Fribbet")
	cal.SetMethod(ics.MethodPublish)
	cal.SetName(name)
	cal.SetXWRCalName(name)
	cal.CalendarProperties = append(
		cal.CalendarProperties,
		ics.CalendarProperty{BaseProperty: ics.BaseProperty{ // the library would write its parameter twice
			IANAToken: "REFRESH-INTERVAL", Value: "PT6H", ICalParameters: map[string][]string{"VALUE": {"DURATION"}},
		}},
	)
	cal.SetXPublishedTTL("PT6H")
	for _, d := range dates {
		event := cal.AddEvent(fmt.Sprintf("due-%s@fribbet", d.DogID))
		event.SetDtStampTime(d.MovedAt)
		event.SetProperty(ics.ComponentPropertyLastModified, d.MovedAt.UTC().Format("20060102T150405Z"))
		event.SetProperty(ics.ComponentPropertySequence, strconv.Itoa(d.Sequence))
		event.SetProperty(ics.ComponentPropertyDtStart, day(d.On), ics.WithValue("DATE"))
		event.SetProperty(ics.ComponentPropertyDtEnd, day(d.On.AddDays(1)), ics.WithValue("DATE"))
		event.SetSummary(d.Summary)
		event.SetDescription(d.Why)
		event.SetTimeTransparency(ics.TransparencyTransparent)
		ring := event.AddAlarm()
		ring.SetAction(ics.ActionDisplay)
		ring.SetTrigger(alarm)
		ring.SetProperty(ics.ComponentPropertyDescription, d.Ring)
	}
	addVisits(cal, visits, zone)
	return cal.SerializeTo(w, ics.WithNewLineWindows)
}

// day is a date as RFC 5545 writes it (section 3.3.4).
func day(d date.Date) string {
	text := d.String()
	return text[:4] + text[5:7] + text[8:]
}
