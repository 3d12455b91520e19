package sitting

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

var today = date.MustParse("2026-11-24") // a Tuesday

// ask is a grown dog of 20 kg that nobody has trimmed here: something is to come off every nail, and
// nothing is known of its temper.
func ask(change func(*Question)) Question {
	d := dog.Usual(rhythm.Fortnightly, date.EveryDay)
	d.Name, d.Birth, d.Weights, d.Entered = "Moss", dog.BornAbout(4, today), []dog.Weight{{On: today, Kg: 20}}, today
	return asked(feet.FeetAfter(d, nil), change)
}

func asked(f feet.Feet, change func(*Question)) Question {
	terms := outlook.Terms{Margin: 1, Hand: verdict.Terms{Stop: quick.Full, Limit: verdict.Usual, Most: 2}}
	q := Question{
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
	for i, n := range q.Nails {
		if q.Training.Paws[n.Code.Paw] {
			q.Nails[i].Kind = verdict.Train
		}
	}
	return q
}

// at changes one planned nail.
func (q Question) at(code string, change func(*outlook.Planned)) {
	for i := range q.Nails {
		if q.Nails[i].Code == nail.MustParse(code) {
			change(&q.Nails[i])
		}
	}
}

// past is a sitting of the question's nails in which the dog had enough after so many; 0 is never.
func past(q Question, enough int, reaction temper.Reaction) record.Sitting {
	s := record.Sitting{On: today.AddDays(-14)}
	for i, n := range q.Nails {
		r := record.NailRecord{Code: n.Code, Cuts: []float64{1}, Tool: kit.LargePlier, Reaction: temper.Calm}
		if enough > 0 && i >= enough {
			r.Cuts, r.Reaction = nil, reaction
		}
		s.Records = append(s.Records, r)
		if enough > 0 && i >= enough {
			break
		}
	}
	return s
}

func codes(d Day) []string {
	var all []string
	for _, s := range d.Stops {
		all = append(all, s.Code.String())
	}
	return all
}

// Common practice, no source: hind paws first for a nervous or unknown dog.
func TestHindFirst(t *testing.T) {
	p := For(ask(nil))
	require.Len(t, p.Days, 1)
	assert.Equal(
		t,
		[]string{
			"LH2",
			"LH3",
			"LH4",
			"LH5",
			"RH2",
			"RH3",
			"RH4",
			"RH5",
			"LF2",
			"LF3",
			"LF4",
			"LF5",
			"LF1",
			"RF2",
			"RF3",
			"RF4",
			"RF5",
			"RF1",
		},
		codes(p.Days[0]),
	)
	assert.Contains(t, wordstest.Of(p.Days[0].Stops[0].Why), "the teeth are at the other end")
	assert.InDelta(t, 5, p.Days[0].Minutes.Value, 1.5, "a practised hand does a whole calm dog in about five minutes")
}

func TestACurlingDewclawComesBeforeEverything(t *testing.T) {
	q := ask(func(q *Question) { q.at("RF1", func(p *outlook.Planned) { p.ToCurl = 0 }) })
	s := For(q).Days[0].Stops[0]
	assert.Equal(t, "RF1", s.Code.String())
	assert.Equal(t, kit.SmallScissor, s.Tool.Tool)
}

// Common practice, no source: a light nail first when there is one.
func TestALightNailShowsTheWay(t *testing.T) {
	q := ask(func(q *Question) {
		for i := range q.Nails {
			q.Nails[i].Colour = nail.Dark
		}
		q.at("LH4", func(p *outlook.Planned) { p.Colour = nail.Light })
	})
	s := For(q).Days[0].Stops[0]
	assert.Equal(t, "LH4", s.Code.String())
	assert.Contains(t, wordstest.Of(s.Why), "how far the dark ones go")
}

func TestSchoolsOfOrder(t *testing.T) {
	hard := func(q *Question) {
		s := past(*q, 0, temper.Calm)
		for i, r := range s.Records {
			if r.Code.Paw == nail.RF {
				s.Records[i].Reaction = temper.Pulling
			}
		}
		q.Past = PastOf([]record.Sitting{s})
	}
	for name, c := range map[string]struct {
		order dog.Order
		own   []nail.Paw
		paws  []nail.Paw
	}{
		"lower legs":    {dog.LowerFirst, nil, []nail.Paw{nail.RH, nail.RF, nail.LH, nail.LF}},
		"hardest first": {dog.HardestFirst, nil, []nail.Paw{nail.RF, nail.LH, nail.RH, nail.LF}},
		"hardest last":  {dog.HardestLast, nil, []nail.Paw{nail.LH, nail.RH, nail.LF, nail.RF}},
		"their own":     {dog.OwnOrder, []nail.Paw{nail.LF, nail.LH, nail.RF, nail.RH}, []nail.Paw{nail.LF, nail.LH, nail.RF, nail.RH}},
	} {
		p := For(ask(func(q *Question) { hard(q); q.Dog.Handling.Order, q.Dog.Handling.OwnOrder = c.order, c.own }))
		var paws []nail.Paw
		for _, h := range ask(nil).Holds(p) {
			paws = append(paws, h.Paw)
		}
		assert.Equal(t, c.paws, paws, name)
	}
	for _, school := range []dog.Order{dog.HardestFirst, dog.HardestLast} {
		p := For(ask(func(q *Question) { q.Dog.Handling.Order = school }))
		assert.Equal(t, nail.LH, p.Days[0].Stops[0].Code.Paw, "none stands out: hind first")
	}
}

func TestWhatDoesNotFitIsSpreadOverTheDogsDays(t *testing.T) {
	seven := 7
	p := For(ask(func(q *Question) {
		q.Dog.Handling.MostNails = &seven
		q.Dog.Workdays = date.WeekdaysOf(4) // Thursdays
		q.at("LF3", func(p *outlook.Planned) { p.OnFloor = true })
	}))
	require.Len(t, p.Days, 3)
	assert.Equal(
		t,
		[]date.Date{today, today.AddDays(2), today.AddDays(9)},
		[]date.Date{p.Days[0].On, p.Days[1].On, p.Days[2].On},
	)
	assert.Equal(t, []int{7, 7, 4}, []int{len(p.Days[0].Stops), len(p.Days[1].Stops), len(p.Days[2].Stops)})
	assert.Contains(t, codes(p.Days[0]), "LF3", "what touches the floor is done today, whatever its paw")
}

func TestWhoDealsWithWhatIsLeft(t *testing.T) {
	q := ask(func(q *Question) {
		q.at("LF2", func(p *outlook.Planned) { p.Kind = verdict.Leave })
		q.at("LF3", func(p *outlook.Planned) { p.Kind = verdict.Veterinarian })
		q.at("LF1", func(p *outlook.Planned) { p.Kind = verdict.Veterinarian })
		q.Training.Paws, q.Terms.Keeper = map[nail.Paw]bool{nail.RH: true}, true
		q.at("RH3", func(p *outlook.Planned) { p.OnFloor = true })
		bad := past(*q, 0, temper.Calm)
		for i, r := range bad.Records {
			if r.Code.Paw == nail.LH {
				bad.Records[i].Cuts, bad.Records[i].Reaction = nil, temper.Fighting
			}
		}
		q.Past = PastOf([]record.Sitting{bad, bad})
	})
	whose := map[string]Whose{}
	for _, l := range For(q).Left {
		whose[l.Code.String()] = l.Whose
		assert.NotEmpty(t, wordstest.Of(l.Why))
	}
	assert.Equal(t, map[string]Whose{
		"LF2": Nobodys, "LF3": Veterinarian, "LF1": Veterinarian,
		"RH2": Trainer, "RH3": Professional, "RH4": Trainer, "RH5": Trainer,
		"LH2": Trainer, "LH3": Trainer, "LH4": Trainer, "LH5": Trainer,
	}, whose)
}

func TestTheHelper(t *testing.T) {
	needed := func(here bool) Plan {
		return For(ask(func(q *Question) { q.Dog.Handling.Helper, q.Helper = dog.Needed, here }))
	}
	assert.Contains(t, wordstest.Of(needed(false).Blocked), "not done without a helper")
	assert.Empty(t, needed(false).Days)
	assert.Len(t, needed(false).Left, 18)
	assert.Empty(t, wordstest.Of(needed(true).Blocked))
	wanted := For(ask(func(q *Question) { q.Dog.Handling.Helper = dog.Wanted }))
	assert.Len(t, wanted.Days[0].Stops, 9, "half of them, alone")
	assert.Len(t, wanted.Days[1].Stops, 9, "and the other half on the next day, not a half of it")
}

// What any plan keeps to: every nail exactly once; the dog's limits; and nothing that presses
// waits behind what does not.
func TestEveryPlanKeepsToTheDog(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		q := ask(func(q *Question) {
			q.Dog.Workdays = date.Weekdays(rapid.IntRange(1, 127).Draw(t, "workdays"))
			q.Dog.Handling.Order = rapid.SampledFrom([]dog.Order{
				dog.HindFirst, dog.LowerFirst, dog.HardestFirst, dog.HardestLast,
			}).
				Draw(t, "order")
			q.Dog.Handling.Helper = rapid.SampledFrom([]dog.Helping{dog.Alone, dog.Wanted, dog.Needed}).
				Draw(t, "helper")
			q.Helper = rapid.Bool().Draw(t, "here")
			q.Dog.Birth = dog.BornAbout(rapid.Float64Range(0.2, 14).Draw(t, "years"), today)
			if rapid.Bool().Draw(t, "told") {
				nails, minutes := rapid.IntRange(1, 22).Draw(t, "nails"), rapid.Float64Range(1, 30).Draw(t, "minutes")
				q.Dog.Handling.MostNails, q.Dog.Handling.MostMinutes = &nails, &minutes
			}
			for i := range q.Nails {
				n := &q.Nails[i]
				n.OnFloor = !n.Code.Dewclaw() && rapid.IntRange(0, 5).Draw(t, "floor") == 0
				if n.Code.Dewclaw() && rapid.Bool().Draw(t, "curls") {
					n.ToCurl = 0
				}
				if rapid.IntRange(0, 3).Draw(t, "cut") == 0 {
					n.Kind = verdict.Leave
				}
				if rapid.IntRange(0, 3).Draw(t, "torn") == 0 {
					n.Kind = verdict.Veterinarian
				}
			}
			for range rapid.IntRange(0, 5).Draw(t, "sittings") {
				q.Past = q.Past.And(past(*q, rapid.IntRange(0, 17).Draw(t, "enough"), temper.Fighting))
			}
		})
		p := For(q)
		times := map[nail.Code]int{}
		for _, l := range p.Left {
			times[l.Code]++
		}
		for at, d := range p.Days {
			assert.False(t, at > 0 && !p.Days[at-1].On.Before(d.On), "days follow one another")
			assert.NotEmpty(t, d.Stops)
			assert.LessOrEqual(t, float64(len(d.Stops)), p.Tolerance.Nails.Most)
			assert.LessOrEqual(t, d.Minutes.Value, p.Tolerance.Minutes.Most+1e-9)
			perPaw := map[nail.Paw]float64{}
			for i, s := range d.Stops {
				times[s.Code]++
				perPaw[s.Code.Paw]++
				assert.False(t, s.Urgency == Curls && i > 0 && d.Stops[i-1].Urgency != Curls, "curling dewclaws first")
				if !s.Urgency.Urgent() {
					continue
				}
				for _, earlier := range p.Days[:at] {
					for _, other := range earlier.Stops {
						room := perPawRoom(p, earlier, s.Code.Paw)
						assert.False(
							t,
							room && !other.Urgency.Urgent() && other.Tool.Tool.Work() == s.Tool.Tool.Work(),
							"%s waits behind %s",
							s.Code,
							other.Code,
						)
					}
				}
			}
			for paw, n := range perPaw {
				assert.LessOrEqual(t, n, p.Tolerance.Paws[paw].Nails.Most)
			}
		}
		for _, n := range q.Nails {
			assert.Equal(t, 1, times[n.Code], "%s", n.Code)
		}
		assert.Len(t, times, len(q.Nails))
		assert.Equal(t, p, For(q), "asked again, it says the same")
	})
}

// perPawRoom tells whether a day could have held one nail more of the paw.
func perPawRoom(p Plan, d Day, paw nail.Paw) bool {
	n := 0.0
	for _, s := range d.Stops {
		if s.Code.Paw == paw {
			n++
		}
	}
	return n < p.Tolerance.Paws[paw].Nails.Most
}

// What nobody looked at is not told as a fact, also where it says why a nail comes now.
func TestOnTheFloorIsAFactOnlyWhereSomebodyLooked(t *testing.T) {
	for _, looked := range []bool{true, false} {
		q := ask(func(q *Question) {
			q.at("RH5", func(p *outlook.Planned) { p.OnFloor, p.Looked = true, looked })
		})
		for _, s := range For(q).Days[0].Stops {
			if s.Code.String() == "RH5" {
				assert.Equal(t, looked, !strings.Contains(wordstest.Of(s.Why), "probably"), s.Why)
			}
		}
	}
}

// A frightened dog's plan is one that a person can keep: a nail or two, then days between.
func TestAFrightenedDogHasDaysBetween(t *testing.T) {
	p := For(ask(func(q *Question) { q.Dog.Takes = dog.Frightened }))
	require.Greater(t, len(p.Days), 1)
	for i := 1; i < len(p.Days); i++ {
		assert.GreaterOrEqual(t, p.Days[i].On.Sub(p.Days[i-1].On), 3)
		assert.LessOrEqual(t, len(p.Days[i].Stops), 2)
	}
}
