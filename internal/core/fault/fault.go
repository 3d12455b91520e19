// Package fault is how the core refuses input: by the field's name, what stood there,
// and what would be right.
package fault

import (
	"fmt"
	"strings"
)

// Field is one refused input.
type Field struct {
	Name  string // as the contract writes it: nails[2].gap_mm
	Value string // what was given
	Want  string // what would be right
}

// Fields is every refused input of one request. It is an error when it is not empty.
type Fields []Field

// Error lists the refused fields in one line, the first of many.
func (f Fields) Error() string {
	var lines []string
	for _, one := range f[:min(len(f), mostInLine)] {
		line := one.Name + ": " + one.Want
		if one.Value != "" {
			line += fmt.Sprintf(" (got %s)", one.Value)
		}
		lines = append(lines, line)
	}
	if more := len(f) - mostInLine; more > 0 {
		lines = append(lines, fmt.Sprintf("and %d more", more))
	}
	return strings.Join(lines, "; ")
}

// mostInLine is how many fields one line names.
const mostInLine = 20

// Add notes a refused field.
func (f *Fields) Add(name string, value any, want string) {
	*f = append(*f, Field{name, Short(fmt.Sprint(value)), want})
}

// mostTold is how many letters of a refused value are told back.
const mostTold = 80

// Short is the beginning of a value, long enough to be known again.
func Short(value string) string {
	if letters := []rune(value); len(letters) > mostTold {
		return string(letters[:mostTold]) + "…"
	}
	return value
}

// Range notes the field when value is outside [low, high] or not a number.
func (f *Fields) Range(name string, value, low, high float64, unit string) {
	if value >= low && value <= high {
		return
	}
	if !(high >= low) { // what bounds it is wrong itself, and is told by its own name
		f.Add(name, fmt.Sprintf("%g", value), fmt.Sprintf("must be at least %g %s", low, unit))
		return
	}
	f.Add(name, fmt.Sprintf("%g", value), fmt.Sprintf("must be from %g to %g %s", low, high, unit))
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
