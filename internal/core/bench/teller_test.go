package bench

import (
	"fmt"
	"time"

	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

var nine = time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)

// teller tells events one after the other, a minute apart.
type teller struct {
	t   require.TestingT
	d   dog.Dog
	log Log
}

func newBench(t require.TestingT) *teller {
	b := &teller{t: t, d: moss()}
	b.tell(Event{Kind: Started, Tool: kit.LargePlier, Ticks: []string{"styptic"}})
	return b
}

func (b *teller) next(e Event) Event {
	e.ID, e.At = fmt.Sprint(len(b.log)), nine.Add(time.Duration(len(b.log))*time.Minute)
	return e
}

// tell appends an event that must be taken, and returns its id.
func (b *teller) tell(e Event) string {
	e = b.next(e)
	log, added, err := b.added(b.log, e)
	require.NoError(b.t, err)
	require.True(b.t, added)
	b.log = log
	return e.ID
}

func (b *teller) refused(e Event) string {
	_, _, err := b.added(b.log, b.next(e))
	require.Error(b.t, err)
	return wordstest.Err(err)
}

// added is a log with one event more.
func (b *teller) added(log Log, e Event) (Log, bool, error) {
	telling := log.Tell(b.d)
	is, err := telling.Add(e)
	require.Equal(b.t, telling.Log.Fold(), telling.State, "told one by one it comes to what it is worked through to")
	return telling.Log, is, err
}

func of(code string) *nail.Code {
	c := nail.MustParse(code)
	return &c
}

func read(what measure.What, mm float64) *measure.Number {
	n := what.Told(mm, "", 0)
	return &n
}

var today = date.MustParse("2026-11-24") // a Tuesday

// moss is a grown dog of 20 kg that nobody has trimmed here.
func moss() dog.Dog {
	d := dog.Usual(rhythm.Fortnightly, date.EveryDay)
	d.Name, d.Birth, d.Weights, d.Entered = "Moss", dog.BornAbout(4, today), []dog.Weight{{On: today, Kg: 20}}, today
	return d
}

func questionOf(f feet.Feet, change func(*sitting.Question)) sitting.Question {
	terms := outlook.Terms{Margin: 1, Hand: verdict.Terms{Stop: quick.Full, Limit: verdict.Usual, Most: 2}}
	q := sitting.Question{
		Today: today,
		Dog:   f.Dog,
		Feet:  f,
		Terms: terms,
		Nails: outlook.Plan(f, today, terms),
		Hand:  kit.PractisedHand,
	}
	if change != nil {
		change(&q)
	}
	return q
}
