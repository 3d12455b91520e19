// Package fault is how the core refuses input: by the field's name, what stood there,
// and what would be right.
package fault

import (
	"fmt"
	"strings"

	"fribbet/internal/core/say"
)

// Field is one refused input.
type Field struct {
	Name  string   // as the contract writes it: nails[2].gap_mm
	Value any      // what was given: as it stood, or what says it
	Want  say.Line // what would be right
}

// Fields is every refused input of one request. It is an error when it is not empty.
type Fields []Field

// Error names the refused fields and what each wants, for programs; package words says it to people.
func (f Fields) Error() string {
	var lines []string
	for _, one := range f[:min(len(f), MostInLine)] {
		lines = append(lines, fmt.Sprintf("%s: %s %v (got %v)", one.Name, one.Want.Key, one.Want.Args, one.Value))
	}
	if more := len(f) - MostInLine; more > 0 {
		lines = append(lines, fmt.Sprintf("and %d more", more))
	}
	return strings.Join(lines, "; ")
}

// Units of what is asked for, beside a number.
const (
	None          say.Key = ""
	MM            say.Key = "fault.mm"
	MMOfItsLength say.Key = "fault.mm_of_its_length" // no more than the nail is long
	MMWeek        say.Key = "fault.mm_week"
	KG            say.Key = "fault.kg"
	KMWeek        say.Key = "fault.km_week"
	Degrees       say.Key = "fault.degrees"
	Pixels        say.Key = "fault.pixels"
	Years         say.Key = "fault.years"
	Weeks         say.Key = "fault.weeks"
	Minutes       say.Key = "fault.minutes"
	Hours         say.Key = "fault.hours"
	Times         say.Key = "fault.times" // as thick
	Share         say.Key = "fault.share"
	Chance        say.Key = "fault.chance"
	CutsOrMinutes say.Key = "fault.cuts_or_minutes"
)

// Add notes a refused field.
func (f *Fields) Add(name string, value any, want say.Line) {
	if _, is := value.(say.Value); !is {
		value = Short(fmt.Sprint(value))
	}
	*f = append(*f, Field{name, value, want})
}

// Short is the beginning of a value, long enough to be known again.
func Short(value string) string {
	if letters := []rune(value); len(letters) > mostTold {
		return string(letters[:mostTold]) + "…"
	}
	return value
}

// Range notes the field when value is outside [low, high] or not a number.
func (f *Fields) Range(name string, value, low, high float64, unit say.Key) {
	if value >= low && value <= high {
		return
	}
	var given any = fmt.Sprintf("%g", value)
	bound, symbol := func(n float64) say.Value { return say.Number(n) }, say.Symbol("")
	switch unit {
	case MM, MMWeek, MMOfItsLength:
		given, bound, symbol = say.Bound(value), func(n float64) say.Value { return say.Bound(n) }, "length"
	case KG:
		given, bound, symbol = say.Heavy(value), func(n float64) say.Value { return say.Heavy(n) }, "weight"
	}
	want := say.Args{"low": bound(low), "unit": say.Of(unit, say.Args{"symbol": symbol})}
	if !(high >= low) { // what bounds it is wrong itself, and is told by its own name
		f.Add(name, given, say.Of(atLeast, want))
		return
	}
	want["high"] = bound(high)
	f.Add(name, given, say.Of(fromTo, want))
}

// Under adds another's faults with their names put under prefix.
func (f *Fields) Under(prefix string, others Fields) {
	for _, o := range others {
		o.Name = prefix + "." + o.Name
		*f = append(*f, o)
	}
}

// Err is f, or nil when nothing was refused.
func (f Fields) Err() error {
	if len(f) == 0 {
		return nil
	}
	return f
}
