package round

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/say"
	"fribbet/internal/words/wordstest"
)

var monday = date.MustParse("2026-11-23")

func weekdays(h Hours) Week {
	w := Week{Days: map[time.Weekday]Hours{}, Around: 5}
	for day := time.Monday; day <= time.Friday; day++ {
		w.Days[day] = h
	}
	return w
}

func drawWeek(t *rapid.T) Week {
	w := Week{
		Days:   map[time.Weekday]Hours{},
		Around: rapid.IntRange(0, 10).Draw(t, "around"),
		Except: map[date.Date]Hours{},
	}
	for day := time.Monday; day <= time.Friday; day++ {
		if rapid.IntRange(0, 3).Draw(t, "closed") == 0 {
			continue
		}
		from := At(rapid.IntRange(7, 11).Draw(t, "from"), 5*rapid.IntRange(0, 11).Draw(t, "minute"))
		h := Hours{Stretch: Stretch{from, from + Clock(rapid.IntRange(30, 300).Draw(t, "long"))}}
		if rapid.Bool().Draw(t, "break") {
			h.Break = Stretch{from + 60, from + 90}
		}
		if rapid.Bool().Draw(t, "helper") {
			h.Helper = []Stretch{{from + 30, from + 120}}
		}
		w.Days[day] = h
	}
	return w
}

func drawDog(t *rapid.T, i int) Dog {
	due := monday.AddDays(rapid.IntRange(-10, 10).Draw(t, "due"))
	d := Dog{
		ID: fmt.Sprint(
			"d",
			i,
		),
		Name:    fmt.Sprint("Dog ", i),
		Owner:   rapid.SampledFrom([]string{"", "o1", "o2"}).Draw(t, "owner"),
		Minutes: rapid.IntRange(5, 60).Draw(t, "minutes"),
		Hard:    rapid.Bool().Draw(t, "hard"),
		Help:    rapid.SampledFrom([]Help{NoHelp, NoHelp, Preferred, Needed}).Draw(t, "help"),
		Window:  Window{Worth: due.AddDays(-rapid.IntRange(0, 7).Draw(t, "worth")), Due: due},
	}
	if rapid.Bool().Draw(t, "touches") {
		d.Window.Touches = due.AddDays(rapid.IntRange(0, 5).Draw(t, "after"))
	}
	if d.Owner == "o2" || d.Owner == "" && rapid.IntRange(0, 4).Draw(t, "suits") == 0 { // they are the owner's hours
		d.Suits = map[time.Weekday][]Stretch{
			time.Tuesday:  {{At(8, 0), At(12, 0)}},
			time.Thursday: {{At(9, 0), At(11, 0)}},
		}
	}
	return d
}

// sound is what every plan keeps to.
func sound(t require.TestingT, w Week, visits []Visit) {
	came := map[string]date.Date{}
	for i, v := range visits {
		assert.Empty(t, wordstest.Of(w.Breaks(v)), v.Dog.Name)
		for _, o := range visits[i+1:] {
			if o.On == v.On {
				assert.False(t, o.Lasts(w).Meets(v.Lasts(w)), "%s and %s", v.Dog.Name, o.Dog.Name)
			}
		}
		_, twice := came[v.Dog.ID]
		assert.False(t, twice, "%s comes twice", v.Dog.Name)
		came[v.Dog.ID] = v.On
		assert.True(t, v.Dog.Window.Serves(v.On), "there is something to take")
	}
}

// Whatever the week and the dog: an offer is inside hours and window, runs into nobody, has the helper that is
// needed, and the best comes first.
func TestOffersServe(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := drawWeek(t)
		var visits []Visit
		for i := range rapid.IntRange(0, 8).Draw(t, "dogs") {
			d := drawDog(t, i)
			offers := w.Offers(d, visits, monday, monday.AddDays(6), 5)
			assert.Equal(t, offers, w.Offers(d, visits, monday, monday.AddDays(6), 5), "asked again, it says the same")
			for j, o := range offers {
				assert.Empty(t, wordstest.Of(w.Breaks(o.Visit)))
				assert.Empty(t, wordstest.Of(w.Clash(o.Visit, visits)))
				assert.True(t, j == 0 || offers[j-1].Cost <= o.Cost)
			}
			if len(offers) > 0 {
				offers[0].ID = offers[0].Dog.ID
				visits = append(visits, offers[0].Visit)
			}
		}
		sound(t, w, visits)
	})
}

// The owner's second dog is offered the place beside the first, where both fit.
func TestAnOwnersDogsComeTogether(t *testing.T) {
	w := weekdays(Hours{Stretch: Stretch{At(9, 0), At(12, 0)}})
	due := Window{Worth: monday, Due: monday.AddDays(2)}
	first := Visit{
		ID:    "1",
		Dog:   Dog{ID: "a", Name: "Fig", Owner: "o", Minutes: 20, Window: due},
		On:    monday.AddDays(3),
		Start: At(10, 0),
		State: Agreed,
	}
	second := Dog{ID: "b", Name: "Sloe", Owner: "o", Minutes: 20, Window: due}
	best := w.Offers(second, []Visit{first}, monday, monday.AddDays(4), 3)[0]
	assert.Equal(t, first.On, best.On)
	assert.Contains(t, wordstest.All(best.Reasons), "with the owner's other dog")
}

func TestWhatAMoveBreaksIsSaid(t *testing.T) {
	w := weekdays(
		Hours{
			Stretch: Stretch{At(9, 0), At(15, 0)},
			Break:   Stretch{At(12, 0), At(13, 0)},
			Helper:  []Stretch{{At(9, 0), At(11, 0)}},
		},
	)
	w.Except = map[date.Date]Hours{monday: {}}
	d := Dog{
		ID:      "a",
		Name:    "Fig",
		Minutes: 30,
		Help:    Needed,
		Suits:   map[time.Weekday][]Stretch{time.Tuesday: {{At(10, 0), At(14, 0)}}},
	}
	for want, v := range map[string]Visit{
		"no working day":         {Dog: d, On: monday, Start: At(10, 0)},
		"outside the hours":      {Dog: d, On: monday.AddDays(1), Start: At(14, 40)},
		"runs into the break":    {Dog: d, On: monday.AddDays(1), Start: At(11, 40)},
		"needs somebody to hold": {Dog: d, On: monday.AddDays(1), Start: At(11, 0)},
		"the owner's hours":      {Dog: d, On: monday.AddDays(1), Start: At(9, 0)},
	} {
		assert.Contains(t, wordstest.Of(w.Breaks(v)), want)
	}
	assert.Empty(t, wordstest.Of(w.Breaks(Visit{Dog: d, On: monday.AddDays(1), Start: At(10, 15)})))
	there := Visit{
		ID:    "1",
		Dog:   Dog{ID: "b", Name: "Sloe", Minutes: 60},
		On:    monday.AddDays(1),
		Start: At(10, 0),
		State: Agreed,
	}
	assert.Contains(
		t,
		wordstest.Of(w.Clash(Visit{ID: "2", Dog: d, On: there.On, Start: At(10, 30)}, []Visit{there})),
		"runs into Sloe",
	)
	there.State = CalledOff
	assert.Empty(
		t,
		wordstest.Of(w.Clash(Visit{ID: "2", Dog: d, On: there.On, Start: At(10, 30)}, []Visit{there})),
		"its place is free again",
	)
}

// Waiting does more harm the longer it is, and the most where a dewclaw curls.
func TestHarmGrows(t *testing.T) {
	w := Window{Worth: monday, Due: monday.AddDays(5), Touches: monday.AddDays(10), Curls: monday.AddDays(20)}
	for day := 6; day < 40; day++ {
		assert.Greater(t, w.Harm(monday.AddDays(day)), w.Harm(monday.AddDays(day-1)))
	}
	assert.Equal(t, 5.0, w.Harm(monday.AddDays(10)))
	assert.Equal(t, 8.0, w.Harm(monday.AddDays(11)))
	assert.False(t, w.Serves(monday.AddDays(-1)))
}

// One dog that takes twice as long moves those behind it, and says who waits.
func TestADayRunsOn(t *testing.T) {
	w := weekdays(Hours{Stretch: Stretch{At(9, 0), At(15, 0)}})
	takes := func(middle float64) Dog {
		return Dog{
			Minutes: 30,
			Takes:   estimate.Estimate{Value: middle, Low: middle * 0.7, High: middle * 1.5, Source: estimate.Learnt},
		}
	}
	day := []Visit{
		{
			ID:    "1",
			Dog:   takes(25),
			Start: At(9, 0),
			State: Done,
		},
		{ID: "2", Dog: takes(25), Start: At(9, 35), State: Here},
		{
			ID:    "3",
			Dog:   takes(25),
			Start: At(10, 10),
			State: Agreed,
		},
		{ID: "4", Dog: takes(25), Start: At(11, 30), State: Agreed},
	}
	runs := w.Running(day, At(10, 25))
	require.Len(t, runs, 2)
	assert.Equal(t, float64(At(10, 25)), runs[0].Starts.Value, "it is late already")
	assert.True(t, runs[0].Waits)
	assert.Equal(t, float64(At(11, 30)), runs[1].Starts.Value, "the gap takes it up")
	assert.False(t, runs[1].Waits)
	assert.GreaterOrEqual(t, runs[1].Starts.High, runs[1].Starts.Value)
}

func TestADaysLoadAgainstWhatHandsTake(t *testing.T) {
	dog := Dog{
		Takes: estimate.Estimate{Value: 50},
		Nails: 18,
		Hard:  true,
		Kit:   kit.Needs{kit.GrinderBand: {Minutes: 6}, kit.LargePlier: {Cuts: 40, Minutes: 9}},
	}
	day := []Visit{{Dog: dog, State: Agreed}, {Dog: dog, State: Here}, {Dog: dog, State: CalledOff}}
	l := Limits{Minutes: 90, Dogs: 2}.Load(day)
	assert.Equal(
		t,
		Load{
			Minutes:  100,
			Dogs:     2,
			Hard:     2,
			Nails:    36,
			Grinding: 12,
			Over:     []say.Line{say.Of(overMinutes, say.Args{"is": say.Count(100), "most": say.Whole(90)})},
		},
		l,
	)
	assert.Equal(
		t,
		kit.Needs{kit.GrinderBand: {Minutes: 6}, kit.LargePlier: {Cuts: 40, Minutes: 9}},
		Ahead(day),
		"what is under way is in the kit's own count",
	)
}
