package bench

import (
	"fmt"
	"strings"

	"fribbet/internal/core/date"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// Card is what an owner takes home of a sitting, in plain words.
type Card struct {
	Done string   // what was done
	Bled string   // empty when nothing did
	How  string   // how the dog took it
	Home []string // what to do until the next visit
}

// CardOf words a sitting for the owner of a dog that walks so many km of pavement a week; left are the nails that
// wait for another day.
func (s State) CardOf(name string, on date.Date, left []nail.Code, pavement float64, training ladder.Training) Card {
	bled, bleeds := map[nail.Paw]int{}, false
	n, ground := 0, 0
	for _, one := range s.Nails {
		if len(one.Cuts) > 0 {
			n++
		}
		if one.Second != "" {
			ground++
		}
		if one.Blood {
			bled[one.Code.Paw]++
			bleeds = bleeds || one.Bleeding
		}
	}
	waits := map[nail.Paw]int{}
	for _, code := range left {
		waits[code.Paw]++
	}
	c := Card{Done: fmt.Sprintf("%s: %s trimmed%s.", on.Words(), nails(n), groundRound(ground, n)), How: s.manner(name)}
	if len(left) > 0 {
		c.Done += fmt.Sprintf(" %s for another day: %s.", upper(nails(len(left))), byPaw(waits))
	}
	if len(bled) > 0 {
		c.Bled = "It bled at " + byPaw(bled) + ". Keep an eye on it, and off wet ground today; bleeding that comes back is a veterinarian’s matter."
	}
	if bleeds {
		c.Bled = "It bled at " + byPaw(bled) + " and did not stop as it should: a veterinarian, today."
	}
	c.Home = home(name, pavement, training, on)
	return c
}

// groundRound says how many of the nails that were trimmed were ground round too; nothing where none was.
func groundRound(ground, of int) string {
	switch ground {
	case 0:
		return ""
	case of:
		return " and ground round"
	default:
		return fmt.Sprintf(", %d of them ground round", ground)
	}
}

// manner is how the dog took it, without a word that only the trade knows.
func (s State) manner(name string) string {
	worst := s.Sitting(date.Date{}).Worst()
	switch worst {
	case temper.Untold:
		return ""
	case temper.Calm:
		return name + " was calm throughout."
	case temper.Uneasy:
		return name + " was a little uneasy, and came through."
	case temper.Pulling:
		return name + " pulled its paws away at times; short sessions at home help."
	case temper.Snapping:
		return name + " said no today, and we stopped. No trim for some weeks: first it learns, in small steps and with treats, that its paws are safe. What cannot wait: ask your veterinarian."
	case temper.Fighting:
	}
	return name + " found it hard. Handle its paws a little every day, with treats, and stop while it goes well."
}

// littlePavement is the km a week under which pavement files hardly anything (judgement).
const littlePavement = 3

func home(name string, pavement float64, training ladder.Training, on date.Date) []string {
	var all []string
	if first, is := training.First(on); is && !first.Done {
		step := ladder.Steps(first.Kind)[first.Step]
		all = append(all, fmt.Sprintf("Practise a little each day: %s. %s", lower(step.Words), step.How))
	}
	all = append(all, "Listen on a hard floor: nails that click are too long, whatever the date says.")
	if pavement < littlePavement {
		all = append(all, "A walk on pavement files nails a little; grass does not.")
	} else {
		all = append(all, fmt.Sprintf("%s’s walks on pavement, about %.0f km a week, file its nails: say when that changes.", name, pavement))
	}
	return append(all,
		"Look at the dewclaws, on the inside of the leg: they never touch the ground, and curl first.",
		"Torn, swollen, smelling, or still bleeding: a veterinarian.")
}

var pawWords = map[nail.Paw]string{nail.LF: "the left front paw", nail.RF: "the right front paw", nail.LH: "the left hind paw", nail.RH: "the right hind paw"}

// byPaw counts nails paw by paw.
func byPaw(count map[nail.Paw]int) string {
	var parts []string
	for _, paw := range nail.Paws() {
		if n := count[paw]; n > 0 {
			parts = append(parts, fmt.Sprintf("%s of %s", nails(n), pawWords[paw]))
		}
	}
	return strings.Join(parts, ", ")
}

func nails(n int) string {
	if n == 1 {
		return "one nail"
	}
	return fmt.Sprintf("%d nails", n)
}

func upper(text string) string { return strings.ToUpper(text[:1]) + text[1:] }
func lower(text string) string { return strings.TrimSuffix(strings.ToLower(text[:1])+text[1:], ".") }
