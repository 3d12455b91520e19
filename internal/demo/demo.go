// Package demo fills a book with invented dogs and a year of sittings, worked out from the
// core's own model with noise and a fixed seed, relative to today: so that there is
// something true to find in it.
package demo

import (
	"context"
	"hash/fnv"
	"math"
	"math/rand/v2"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
	"fribbet/internal/store"
)

// Fill writes the demonstration into an empty book.
func Fill(ctx context.Context, b *book.Book) error {
	dogs, err := fillDogs(ctx, b)
	if err != nil {
		return err
	}
	if err := fillPictures(ctx, b, dogs); err != nil {
		return err
	}
	if err := fillPractice(ctx, b); err != nil {
		return err
	}
	if err := fillOwnEnds(ctx, b, dogs[pictured]); err != nil {
		return err
	}
	return fillRound(ctx, b, dogs)
}

// fillDogs tells how the groomer works, with what, and of every dog all that happened to it; their ids by name.
func fillDogs(ctx context.Context, b *book.Book) (map[string]uuid.UUID, error) {
	err := b.ChangeSettings(ctx, store.Settings{
		Role: book.Groomer, LengthUnit: units.Millimetre, WeightUnit: units.Kilogram, Margin: quick.Margin,
		Workdays: date.WeekdaysOf(time.Tuesday, time.Wednesday, time.Thursday, time.Friday, time.Saturday),
	})
	if err != nil {
		return nil, err
	}
	if err := fillKit(ctx, b); err != nil {
		return nil, err
	}
	dogs := map[string]uuid.UUID{}
	for _, s := range scenarios {
		id, err := s.fill(ctx, b)
		if err != nil {
			return nil, err
		}
		dogs[s.name] = id
	}
	return dogs, nil
}

// chance is a dog's own, so that a change to one dog leaves the others as they were.
func (s scenario) chance() *rand.Rand {
	sum := fnv.New64a()
	_, _ = sum.Write([]byte(s.name)) // a hash takes whatever it is given
	return rand.New(rand.NewPCG(8642+uint64(s.litter), sum.Sum64()))
}

func (s scenario) fill(ctx context.Context, b *book.Book) (uuid.UUID, error) {
	today, noise := b.Today(), s.chance()
	days := s.days(today, noise)
	first := today
	if len(days) > 0 {
		first = days[0]
	}
	born := dog.BornAbout(s.years, today).Date
	kept, err := b.AddDog(ctx, dog.Changes{
		Name:      &s.name,
		BirthDate: &born,
		Weights:   []dog.Weight{{On: latest(first, born), Kg: s.kg}},
		FootCoat:  &s.coat,
		Pavement:  &s.pavement,
		Rhythm:    &s.rhythm,
		Dates:     s.dates(),
		Nails:     s.nails(),
		Handling:  s.handling(),
	})
	if err != nil {
		return uuid.Nil, err
	}
	if s.walkedKm > 0 {
		since := today.AddDays(-s.walkedAgo)
		told := dog.Changes{Pavement: &s.walkedKm, Since: &kept.Birth.Date}
		if kept, err = b.ChangeDog(ctx, kept.ID, kept.Version, told); err != nil {
			return uuid.Nil, err
		}
		if kept, err = b.ChangeDog(
			ctx,
			kept.ID,
			kept.Version,
			dog.Changes{Pavement: &s.pavement, Since: &since},
		); err != nil {
			return uuid.Nil, err
		}
	}
	hands := s.begin(kept.Dog, first, noise)
	for i, day := range days {
		if i == s.before && s.plan != "" {
			if err := b.ResumePlan(ctx, kept.ID, uuid.NewSHA1(kept.ID, []byte("plan")), s.plan, nil, day); err != nil {
				return uuid.Nil, err
			}
		}
		sitting := store.Sitting{ID: uuid.NewSHA1(kept.ID, []byte{byte(i)}), Sitting: hands.sit(i, day)}
		if err := b.Record(ctx, kept.ID, sitting, ""); err != nil {
			return uuid.Nil, err
		}
	}
	if s.training != nil {
		return kept.ID, s.training.fill(ctx, b, kept.ID)
	}
	return kept.ID, nil
}

// dates are set by the floor, but for customers who agreed to come on the calendar.
func (s scenario) dates() *rhythm.Dates {
	by := rhythm.ByFloor
	if s.agreed {
		by = rhythm.ByCalendar
	}
	return &by
}

// order is the nails in the order of the work: hind first; the other end first at every
// second sitting, so that a dog that has enough before the end is done all round in two.
func order(nails []dog.Nail, sitting int) []dog.Nail {
	var hind, fore []dog.Nail
	for _, n := range nails {
		if n.Code.Paw.Hind() {
			hind = append(hind, n)
		} else {
			fore = append(fore, n)
		}
	}
	if sitting%2 == 1 {
		return append(fore, hind...)
	}
	return append(hind, fore...)
}

// time notes how long the sitting took and when the dog first showed that it did not like it.
func (s scenario) time(sitting *record.Sitting, noise *rand.Rand) {
	done, calm, seconds := 0.0, -1.0, 0.0
	cut := 2.9 // with its look
	if s.tool.Work() == kit.Grinding {
		cut = 2.5
	}
	for _, r := range sitting.Records {
		if r.Removed() > 0 {
			done++
			seconds += 5 + cut*float64(len(r.Cuts))
			if r.Ground != nil {
				seconds += 5 + 3*2.5
			}
		}
		if calm < 0 && r.Reaction != temper.Calm {
			calm = done
		}
	}
	if done == 0 {
		return
	}
	perNail := math.Max(1, (1+0.25*float64(s.temper.Strain()))*math.Exp(0.2*noise.NormFloat64())) * seconds / done / 60
	round := func(minutes float64) *float64 { m := math.Round(minutes*2) / 2; return &m }
	sitting.Minutes = round(math.Max(1, perNail*done))
	if calm >= 0 {
		sitting.Calm = round(math.Min(*sitting.Minutes, perNail*calm))
	}
	sitting.Helper = s.helper == dog.Wanted || s.helper == dog.Needed
	sitting.Ticks = []string{"styptic", "treats", "light", "non_slip_mat", "eye_protection"}
	if s.muzzle {
		sitting.Ticks = append(sitting.Ticks, "muzzle", "helper")
	}
}

// days are the sittings' dates, oldest first: about every so many days, the last as told; the
// first of them perhaps at another interval.
func (s scenario) days(today date.Date, noise *rand.Rand) []date.Date {
	days := make([]date.Date, s.sittings)
	later := s.sittings - s.before // how many are at the present interval
	for i := range days {
		ago := s.lastAgo + s.every*(s.sittings-1-i)
		if i < s.before {
			ago = s.lastAgo + s.every*(later-1) + s.beforeEvery*(s.before-i)
		}
		day := today.AddDays(-ago)
		if i < s.sittings-1 && (s.every > 7 || i < s.before) {
			day = day.AddDays(noise.IntN(5) - 2)
		}
		days[i] = day
	}
	return days
}

func (s scenario) nails() []dog.Nail {
	var nails []dog.Nail
	for _, c := range nail.All() {
		if !c.Standard() && !contains(s.extra, c) {
			continue
		}
		n := dog.Nail{Code: c, State: nail.Sound, Colour: s.colour, Shape: s.shape}
		if contains(s.light, c) {
			n.Colour = nail.Light
		}
		if contains(s.torn, c) {
			n.State = nail.Torn
		}
		nails = append(nails, n)
	}
	return nails
}

// mood is mostly calm; a difficult dog pulls or is uneasy on one nail in three. Its worst it
// keeps for the paw that it does not give, or for when it has had enough.
func (s scenario) mood(noise *rand.Rand) temper.Reaction {
	if noise.IntN(3) > 0 || s.untouch != "" {
		return temper.Calm
	}
	if s.temper.TooMuch() {
		return temper.Pulling
	}
	return s.temper
}

// handling is how the dog is held.
func (s scenario) handling() *dog.Handling {
	h := dog.UsualHandling()
	h.Muzzle, h.Sore = s.muzzle, s.sore
	if s.helper != "" {
		h.Helper = s.helper
	}
	if s.position != "" {
		h.Position = s.position
	}
	if s.order != "" {
		h.Order = s.order
	}
	if s.noise != "" {
		h.Noise = s.noise
	}
	if s.rounded {
		h.Way = kit.ClipAndGrind
	}
	return &h
}

func contains(codes []string, c nail.Code) bool {
	for _, code := range codes {
		if code == c.String() {
			return true
		}
	}
	return false
}

func latest(a, b date.Date) date.Date {
	if a.After(b) {
		return a
	}
	return b
}
