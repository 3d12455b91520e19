package bench

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// What a card says.
const (
	cardTrimmed    say.Key = "card.trimmed"
	cardGround     say.Key = "card.ground_round" // all of them
	cardSomeGround say.Key = "card.some_ground_round"
	cardLeft       say.Key = "card.left"
	cardDone       say.Key = "card.done"
	cardNails      say.Key = "card.nails_of_paw"
	cardBled       say.Key = "card.bled"
	cardBleeds     say.Key = "card.bleeds"
	cardCalm       say.Key = "card.calm"
	cardUneasy     say.Key = "card.uneasy"
	cardPulled     say.Key = "card.pulled"
	cardSnapped    say.Key = "card.snapped"
	cardHard       say.Key = "card.hard"
	cardPractise   say.Key = "card.practise"
	cardListen     say.Key = "card.listen"
	cardWalk       say.Key = "card.walk"
	cardWalks      say.Key = "card.walks"
	cardDewclaws   say.Key = "card.dewclaws"
	cardVet        say.Key = "card.veterinarian"
)

// Card is what an owner takes home of a sitting, in plain words.
type Card struct {
	Done say.Line   // what was done
	Bled say.Line   // empty when nothing did
	How  say.Line   // how the dog took it
	Home []say.Line // what to do until the next visit
}

// CardOf words a sitting for the owner of a dog that walks so many km of pavement a week; left are the nails that
// wait for another day.
func (s Progress) CardOf(name string, on date.Date, left []nail.Code, pavement float64, training ladder.Training) Card {
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
	trimmed := say.Of(cardTrimmed, say.Args{"on": on.SayLong(), "n": say.Count(n), "ground": groundRound(ground, n)})
	c := Card{Done: say.Of(cardDone, say.Args{"trimmed": trimmed, "left": say.Line{}}), How: s.manner(name)}
	if len(left) > 0 {
		c.Done.Args["left"] = say.Of(cardLeft, say.Args{"n": say.Count(len(left)), "paws": byPaw(waits)})
	}
	if len(bled) > 0 {
		c.Bled = say.Of(cardBled, say.Args{"paws": byPaw(bled)})
	}
	if bleeds {
		c.Bled = say.Of(cardBleeds, say.Args{"paws": byPaw(bled)})
	}
	c.Home = home(name, pavement, training, on)
	return c
}

// groundRound says how many of the nails that were trimmed were ground round too; nothing where none was.
func groundRound(ground, of int) say.Line {
	switch ground {
	case 0:
		return say.Line{}
	case of:
		return say.Of(cardGround)
	default:
		return say.Of(cardSomeGround, say.Args{"n": say.Count(ground)})
	}
}

// manner is how the dog took it, without a word that only the trade knows.
func (s Progress) manner(name string) say.Line {
	key := cardHard
	switch s.Sitting(date.Date{}).Worst() {
	case temper.Untold:
		return say.Line{}
	case temper.Calm:
		key = cardCalm
	case temper.Uneasy:
		key = cardUneasy
	case temper.Pulling:
		key = cardPulled
	case temper.Snapping:
		key = cardSnapped
	case temper.Fighting:
	}
	return say.Of(key, say.Args{"name": say.Name(name)})
}

func home(name string, pavement float64, training ladder.Training, on date.Date) []say.Line {
	var all []say.Line
	if first, is := training.First(on); is && !first.Done {
		step := ladder.Steps(first.Kind)[first.Step]
		all = append(all, say.Of(cardPractise, say.Args{"step": step.Words, "how": step.How}))
	}
	all = append(all, say.Of(cardListen))
	if pavement < littlePavement {
		all = append(all, say.Of(cardWalk))
	} else {
		all = append(all, say.Of(cardWalks, say.Args{"name": say.Name(name), "km": say.Round(pavement)}))
	}
	return append(all, say.Of(cardDewclaws), say.Of(cardVet))
}

// byPaw counts nails paw by paw.
func byPaw(count map[nail.Paw]int) say.Lines {
	var parts say.Lines
	for _, paw := range nail.Paws() {
		if n := count[paw]; n > 0 {
			parts = append(
				parts,
				say.Of(cardNails, say.Args{"n": say.Count(n), "paw": say.Of("card.paw_" + say.Key(paw.String()))}),
			)
		}
	}
	return parts
}
