package date

import (
	"encoding/json"
	"fmt"
	"strings"
	"time"
)

// Weekdays is a set of days of the week. The zero value is the empty set.
type Weekdays uint8

// EveryDay is the set of all seven.
const EveryDay Weekdays = 1<<7 - 1

var weekdayNames = [7]string{"sun", "mon", "tue", "wed", "thu", "fri", "sat"}

// WeekdaysOf returns the set of the given days.
func WeekdaysOf(days ...time.Weekday) Weekdays {
	var set Weekdays
	for _, d := range days {
		set |= 1 << d
	}
	return set
}

// ParseWeekdays reads three-letter English names (mon, tue, …); a name twice counts once.
func ParseWeekdays(names []string) (Weekdays, error) {
	var set Weekdays
next:
	for _, name := range names {
		for d, known := range weekdayNames {
			if name == known {
				set |= 1 << d
				continue next
			}
		}
		return 0, fmt.Errorf("%q is not a weekday: write one of %s", name, strings.Join(weekdayNames[:], ", "))
	}
	return set, nil
}

// Has tells whether day is in the set.
func (w Weekdays) Has(day time.Weekday) bool { return w&(1<<day) != 0 }

// Names lists the set from Monday to Sunday, as ParseWeekdays reads it.
func (w Weekdays) Names() []string {
	names := []string{}
	for i := range 7 {
		if d := time.Weekday((i + 1) % 7); w.Has(d) {
			names = append(names, weekdayNames[d])
		}
	}
	return names
}

// MarshalJSON writes the names as a list.
func (w Weekdays) MarshalJSON() ([]byte, error) { return json.Marshal(w.Names()) }

// UnmarshalJSON reads a list of names.
func (w *Weekdays) UnmarshalJSON(text []byte) error {
	var names []string
	if err := json.Unmarshal(text, &names); err != nil {
		return err
	}
	got, err := ParseWeekdays(names)
	*w = got
	return err
}
