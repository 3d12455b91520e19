package outlook_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
	"fribbet/internal/sampled"
)

var (
	newYear = date.MustParse("2026-01-01")
	groomer = outlook.Terms{Margin: 1, Hand: verdict.For(quick.AtFirstSign, kit.PractisedHand, false, false)}
)

// lived is a virtual dog and what the program knows of it.
type lived struct {
	truth    *virtual.Dog
	feet     feet.Feet
	day      date.Date
	sat      int // sittings so far
	floor    int // days with a nail truly on the floor
	nailDays int
}

func live(k int, r *rand.Rand, every rhythm.Rhythm) *lived {
	weight := 4 + 0.9*float64(k)
	d := dog.Usual(every, date.EveryDay)
	d.Name, d.Birth, d.Weights, d.Entered, d.Pavement = "Moss", dog.BornAbout(
		3,
		newYear,
	), []dog.Weight{
		{On: newYear, Kg: weight},
	}, newYear, float64(k%10)
	var nails []state.Traits
	for i := range d.Nails {
		if d.Nails[i].Colour = nail.Dark; k%4 == 0 {
			d.Nails[i].Colour = nail.Light
		}
		nails = append(nails, state.Traits{Code: d.Nails[i].Code, Colour: d.Nails[i].Colour, Shape: d.Nails[i].Shape})
	}
	where := growth.Where{Age: d.AgeWeeks(newYear), Weight: weight, Pavement: d.Pavement}
	l := &lived{truth: virtual.Draw(r, virtual.World{CutShare: 0.2, Misread: 0.05}, where, nails, nil), day: newYear}
	l.feet = feet.FeetAfter(d, nil, l.look())
	return l
}

// look is a walk-round: what passes under each nail, and the dewclaws measured.
func (l *lived) look() record.WalkRound {
	c := record.WalkRound{On: l.day}
	for i, n := range l.truth.Nails {
		one := record.Look{Code: n.Code}
		if n.Code.Dewclaw() {
			mm := l.truth.Measured(i)
			one.Length = &mm
		} else {
			gap := l.truth.Feel(i).Number()
			one.Gap = &gap
		}
		c.Looks = append(c.Looks, one)
	}
	return c
}

// until lets the days pass and counts those with a nail on the floor.
func (l *lived) until(day date.Date) {
	for ; l.day.Before(day); l.day = l.day.AddDays(1) {
		l.truth.Grow(1.0 / 7)
		down := 0
		for _, n := range l.truth.Nails {
			if !n.Code.Dewclaw() && n.Length >= n.Floor {
				down++
			}
		}
		l.nailDays += down
		l.floor += min(1, down)
	}
}

// sit works the dog by the verdict: its plan, a look after each cut, and the end told.
func (l *lived) sit(t *testing.T) {
	t.Helper()
	s := record.Sitting{On: l.day}
	for i, p := range outlook.Plan(l.feet, l.day, groomer) {
		r := record.NailRecord{Code: p.Code, Tool: kit.LargePlier, Reaction: "calm"}
		v := p.Verdict
		if v.Kind == verdict.AskFirst {
			r.Landmarks = []quick.Seen{{Mark: quick.Groove, Spare: max(0, l.truth.Nails[i].Spare+l.truth.Error())}}
			hands := l.feet.Work(l.day)
			c, _ := outlook.Told(&hands, r, groomer)
			v = verdict.Of(c, groomer.Margin, groomer.Hand)
		}
		var face quick.Face
		grey := false
		for mm := v.Press(0, face, grey); mm > 0; mm = v.Press(len(r.Cuts), face, grey) {
			face = l.truth.Cut(i, mm)
			grey = grey || face == quick.Grey
			r.Cuts, r.EndFace, r.Blood = append(r.Cuts, mm), face, face == quick.Blood
		}
		if r.Blood {
			r.EndFace = ""
		}
		s.Records = append(s.Records, r)
	}
	l.sat++
	l.feet = l.feet.And(s)
}

// year is how forty dogs fared in one, together.
type year struct{ sat, floor, nailDays, curls int }

func (y *year) and(l *lived) {
	y.sat, y.floor, y.nailDays = y.sat+l.sat, y.floor+l.floor, y.nailDays+l.nailDays
}

const yearDogs = 40

// byDates is a year of dogs that come when they are due; who skips leaves out one date in five and comes as long
// after it again.
func byDates(t *testing.T, every rhythm.Rhythm, by rhythm.Dates, skips bool) (y year) {
	terms, end := groomer, newYear.AddDays(365)
	terms.Dates = by
	for k := range yearDogs {
		r := rand.New(rand.NewPCG(28, uint64(k)))
		l := live(k, rand.New(rand.NewPCG(12, uint64(k))), every)
		for l.sit(t); ; l.sit(t) {
			next, has, err := outlook.NextOf(l.feet, terms)
			require.NoError(t, err)
			require.True(t, has)
			wait := next.Due.Sub(l.day)
			if next.Rule != due.Pad && next.Rule != due.Curl {
				require.GreaterOrEqual(
					t,
					float64(wait),
					math.Floor(min(every.Days(), max(7, every.Days()/3))),
					"dog %d on %s: %s",
					k,
					l.day,
					next.Reason,
				)
			}
			if next.Rule == due.Curl || next.Rule == due.Pad {
				y.curls++
			}
			on := next.Due
			if skips && r.Float64() < 0.2 {
				on = on.AddDays(wait)
			}
			if on.After(end) {
				break
			}
			l.until(on)
		}
		l.until(end)
		y.and(l)
	}
	return y
}

// evenly is a year of the same dogs at even distances, as often in all.
func evenly(t *testing.T, every rhythm.Rhythm, sat int) (y year) {
	for k := range yearDogs {
		e := live(k, rand.New(rand.NewPCG(12, uint64(k))), every)
		for n := 0; n*yearDogs < sat; n++ {
			e.until(newYear.AddDays(n * 365 * yearDogs / sat))
			e.sit(t)
		}
		e.until(newYear.AddDays(365))
		y.and(e)
	}
	return y
}

// By the calendar dogs come as often as was agreed; by the floor they have a nail on it on fewer days, and fewer nails,
// than with as many sittings at even distances, and no date comes within the least wait but for what was seen past its
// pad or curls; the page in docs tells the figures.
func TestAYearOfKeptDates(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	page, err := os.ReadFile("../../../docs/dates.md")
	require.NoError(t, err)
	for i, every := range rhythm.Rhythms() {
		for j, by := range rhythm.BothDates() {
			for k, skips := range []bool{false, true} {
				t.Run(fmt.Sprintf("%s by the %s, skips %t", every, by, skips), func(t *testing.T) {
					t.Parallel()
					sampled.Row(t, i+j+k)
					kept := byDates(t, every, by, skips)
					even := evenly(t, every, kept.sat)
					a := func(n int) float64 { return float64(n) / yearDogs }
					if by == rhythm.ByCalendar {
						assert.LessOrEqual(
							t,
							a(kept.sat-kept.curls),
							1.1*365/every.Days(),
							"but for dewclaws that curl",
						)
					} else if every.Days() >= 14 && !skips {
						assert.Less(t, kept.floor, even.floor)
						assert.Less(t, kept.nailDays, even.nailDays)
					}
					keeps := map[bool]string{false: "every date", true: "four of five"}[skips]
					row := fmt.Sprintf(
						"| %s | %s | %s | %.1f | %.1f | %.0f | %.0f | %.0f | %.0f |",
						every,
						by,
						keeps,
						a(kept.sat),
						a(kept.curls),
						a(kept.floor),
						a(even.floor),
						a(kept.nailDays),
						a(even.nailDays),
					)
					assert.True(t, strings.Contains(string(page), row), "docs/dates.md lacks %s", row)
				})
			}
		}
	}
}
