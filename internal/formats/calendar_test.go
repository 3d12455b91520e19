package formats

import (
	"bytes"
	"strings"
	"testing"
	"time"
	"unicode/utf8"

	"github.com/emersion/go-ical"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
)

func written(t *testing.T, dates ...DueDate) (text string, read *ical.Calendar) {
	t.Helper()
	var out bytes.Buffer
	require.NoError(t, Calendar(&out, "Nails", dates, nil, time.UTC))
	text = out.String()
	read, err := ical.NewDecoder(&out).Decode()
	require.NoError(t, err, "an independent reader takes it")
	return text, read
}

func one(name, on, why string) DueDate {
	return DueDate{
		"3f0c",
		name,
		date.MustParse(on),
		"Nails: " + name,
		"Tomorrow: nails of " + name,
		why,
		2,
		time.Date(2026, 11, 24, 9, 30, 0, 0, time.UTC),
	}
}

func value(t *testing.T, c *ical.Component, name string) string {
	t.Helper()
	text, err := c.Props.Text(name)
	require.NoError(t, err)
	return text
}

// RFC 5545 through an independent reader (emersion/go-ical).
func TestCalendarIsReadByOthers(t *testing.T) {
	_, cal := written(t, one("Moss", "2026-12-05", "LF3 reaches the floor"))
	assert.Equal(t, "2.0", value(t, cal.Component, ical.PropVersion))
	require.Len(t, cal.Events(), 1)
	event := cal.Events()[0]
	assert.Equal(t, "due-3f0c@fribbet", value(t, event.Component, ical.PropUID))
	assert.Equal(t, "Nails: Moss", value(t, event.Component, ical.PropSummary))
	assert.Equal(t, "2", event.Props.Get(ical.PropSequence).Value)
	assert.Equal(t, "20261124T093000Z", event.Props.Get(ical.PropDateTimeStamp).Value)
	start, err := event.DateTimeStart(time.UTC)
	require.NoError(t, err)
	end, err := event.DateTimeEnd(time.UTC)
	require.NoError(t, err)
	assert.Equal(t, "2026-12-05", date.Of(start).String())
	assert.Equal(t, "2026-12-06", date.Of(end).String(), "the end is the first day that is not in it (3.6.1)")
	require.Len(t, event.Children, 1)
	assert.Equal(t, "VALARM", event.Children[0].Name)
	assert.Equal(t, "-PT15H", event.Children[0].Props.Get(ical.PropTrigger).Value)
	assert.Equal(t, "DISPLAY", value(t, event.Children[0], ical.PropAction))
}

// Escaping (3.3.11), names in other scripts, and lines of at most 75 octets that never break a letter (3.1).
func TestNamesAndReasonsComeBackWhole(t *testing.T) {
	for _, name := range []string{
		"Плюшка", "もちこ", "كلب", "Comma, semi; colon: back\\slash \"quoted\"", "Two\nlines",
		strings.Repeat("Ünïcödé ", 30), strings.Repeat("🐾", 60),
	} {
		text, cal := written(t, one(name, "2026-12-05", "why: "+name))
		event := cal.Events()[0]
		assert.Equal(t, "Nails: "+name, value(t, event.Component, ical.PropSummary))
		assert.Equal(t, "why: "+name, value(t, event.Component, ical.PropDescription))
		for line := range strings.SplitSeq(strings.TrimSuffix(text, "\r\n"), "\r\n") {
			assert.LessOrEqual(t, len(line), 75, line)
			assert.True(t, utf8.ValidString(line), "a letter was broken: %q", line)
			assert.NotContains(t, line, "\n", "a bare line feed")
		}
	}
}

// The last Sunday of March 2027: clocks go forward in Europe. A day stays a day in any zone.
func TestADayStaysADayWhenTheClocksChange(t *testing.T) {
	text, cal := written(t, one("Moss", "2027-03-28", ""))
	assert.Contains(t, text, "DTSTART;VALUE=DATE:20270328\r\n")
	assert.Contains(t, text, "DTEND;VALUE=DATE:20270329\r\n")
	zone, err := time.LoadLocation("Europe/Berlin")
	require.NoError(t, err)
	event := cal.Events()[0]
	start, err := event.DateTimeStart(zone)
	require.NoError(t, err)
	assert.Equal(t, "2027-03-28", date.Of(start).String())
}

func TestAnEmptyBookIsACalendarAllTheSame(t *testing.T) {
	text, cal := written(t)
	assert.Empty(t, cal.Events())
	assert.True(t, strings.HasPrefix(text, "BEGIN:VCALENDAR\r\n"))
}

// RFC 7986, 5.7: the parameter says once that it is a duration.
func TestTheRefreshIntervalIsWellFormed(t *testing.T) {
	text, _ := written(t, one("Moss", "2026-12-05", "LF3 reaches the floor"))
	assert.Contains(t, text, "REFRESH-INTERVAL;VALUE=DURATION:PT6H\r\n")
}
