package round

import (
	"fribbet/internal/core/say"
)

// Asks says what a day's visits that are still to come ask of people: somebody to hold, and strength for hard dogs.
func (h Hours) Asks(visits []Visit) []say.Line {
	var held, hard, asks []say.Line
	var from Clock
	for _, v := range visits {
		if v.State != Offered && v.State != Agreed {
			continue
		}
		at := say.Of(dogAt, say.Args{"name": say.Name(v.Dog.Name), "start": v.Start.Say()})
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
		asks = append(asks, say.Of(somebodyToHoldFrom, say.Args{"from": from.Say(), "dogs": say.Lines(held)}))
	}
	if len(hard) > 0 {
		asks = append(asks, say.Of(notWhenYouAreTired, say.Args{"dogs": say.Lines(hard)}))
	}
	return asks
}
