package round

import (
	"fmt"
	"strings"
)

// Asks says what a day's visits that are still to come ask of people: somebody to hold, and strength for hard dogs.
func (h Hours) Asks(visits []Visit) []string {
	var held, hard, asks []string
	var from Clock
	for _, v := range visits {
		if v.State != Offered && v.State != Agreed {
			continue
		}
		at := v.Dog.Name + " at " + v.Start.String()
		if v.Dog.Help == Needed {
			if len(held) == 0 {
				from = v.Start
			}
			held = append(held, at)
		}
		if v.Dog.Hard {
			hard = append(hard, at)
		}
	}
	if len(held) > 0 {
		for _, there := range h.Helper { // told by when the helper comes, where one comes before that dog does
			if there.From <= from && from < there.To {
				from = there.From
			}
		}
		asks = append(asks, fmt.Sprintf("somebody to hold from %s: %s", from, strings.Join(held, ", ")))
	}
	if len(hard) > 0 {
		asks = append(asks, "not when you are tired: "+strings.Join(hard, ", "))
	}
	return asks
}
