// Package demo fills a book with invented dogs and a year of sittings, worked out from the
// core's own model with noise and a fixed seed, relative to today: so that there is
// something true to find in it.
package demo

import (
	"context"
	"hash/fnv"
	"math"
	"math/rand/v2"
	"strings"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
	"fribbet/internal/store"
)

// Fill writes the demonstration into an empty book.
func Fill(ctx context.Context, b *book.Book) error {
	err := b.ChangeSettings(ctx, store.Settings{
		Role: book.Groomer, LengthUnit: units.Millimetre, WeightUnit: units.Kilogram, Margin: quick.Margin,
		Workdays: date.WeekdaysOf(time.Tuesday, time.Wednesday, time.Thursday, time.Friday, time.Saturday),
	})
	if err != nil {
		return err
	}
	if err := fillKit(ctx, b); err != nil {
		return err
	}
	for _, s := range scenarios {
		if err := s.fill(ctx, b); err != nil {
			return err
		}
	}
	return nil
}

// chance is a dog's own, so that a change to one dog leaves the others as they were.
func (s scenario) chance() *rand.Rand {
	sum := fnv.New64a()
	sum.Write([]byte(s.name))
	return rand.New(rand.NewPCG(8642, sum.Sum64()))
}

func (s scenario) fill(ctx context.Context, b *book.Book) error {
	today, noise := b.Today(), s.chance()
	own := s.own(noise)
	days := s.days(today, noise)
	first := today
	if len(days) > 0 {
		first = days[0]
	}
	born := dog.BornAbout(s.years, today).Date
	kept, err := b.AddDog(ctx, dog.Changes{
		Name: &s.name, BirthDate: &born, Weights: []dog.Weight{{On: latest(first, born), Kg: s.kg}},
		FootCoat: &s.coat, Pavement: &s.pavement, Rhythm: &s.rhythm, Nails: s.nails(), Handling: s.handling(),
	})
	if err != nil {
		return err
	}
	if s.walkedKm > 0 {
		since := today.AddDays(-s.walkedAgo)
		told := dog.Changes{Pavement: &s.walkedKm, Since: &kept.Birth.Date}
		if kept, err = b.ChangeDog(ctx, kept.ID, kept.Version, told); err != nil {
			return err
		}
		if kept, err = b.ChangeDog(ctx, kept.ID, kept.Version, dog.Changes{Pavement: &s.pavement, Since: &since}); err != nil {
			return err
		}
	}
	truth := newTruth(kept.Dog, first, own, math.Max(1, s.overgrown), noise)
	for i, day := range days {
		if i == s.before && s.plan != "" {
			if err := b.ResumePlan(ctx, kept.ID, uuid.NewSHA1(kept.ID, []byte("plan")), s.plan, nil, day); err != nil {
				return err
			}
		}
		sitting := store.Sitting{ID: uuid.NewSHA1(kept.ID, []byte{byte(i)}), Sitting: dog.Sitting{On: day}}
		last := i == s.sittings-1
		if last {
			sitting.Note = s.lastNote
		}
		for at, n := range order(kept.Nails, i) {
			skipped := i >= s.sittings-s.skipFor && contains(s.skipLast, n.Code)
			r := s.record(truth[n.Code], kept.Dog, n, day, skipped || s.enough > 0 && at >= s.enough, noise)
			if s.enough > 0 && at == s.enough {
				r.Reaction = s.temper
			}
			r.TookForce = last && at == 0 && s.blunt
			sitting.Records = append(sitting.Records, r)
			if s.enough > 0 && at == s.enough {
				break
			}
		}
		s.time(&sitting.Sitting, noise)
		if err := b.Record(ctx, kept.ID, sitting, ""); err != nil {
			return err
		}
	}
	if s.training != nil {
		return s.training.fill(ctx, b, kept.ID)
	}
	return nil
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
func (s scenario) time(sitting *dog.Sitting, noise *rand.Rand) {
	done, calm := 0.0, -1.0
	for _, r := range sitting.Records {
		if r.Removed() > 0 {
			done++
		}
		if calm < 0 && r.Reaction != temper.Calm {
			calm = done
		}
	}
	if done == 0 {
		return
	}
	perNail := 0.3 * (1 + 0.25*float64(s.temper.Strain())) * math.Exp(0.2*noise.NormFloat64())
	if s.tool.Work() == kit.Grinding {
		perNail *= 1.5
	}
	round := func(minutes float64) *float64 { m := math.Round(minutes*2) / 2; return &m }
	sitting.Minutes = round(math.Max(1, perNail*done))
	if calm >= 0 {
		sitting.Calm = round(math.Min(*sitting.Minutes, perNail*calm))
	}
	sitting.Helper = s.helper != dog.Alone
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

// nailTruth is how a nail really is, which nobody in the demonstration knows.
type nailTruth struct {
	length, quick float64 // mm
	own           float64 // that it grows faster than is usual for the dog, mm a week
	height        float64 // of the toe's coat line above the floor, mm
	on            date.Date
}

// clearing is how far above the floor an untrimmed nail really stands, mm: the demonstration's
// dogs have somewhat shorter nails than a dog that nobody has measured is assumed to have.
const clearing = 0.5

// own is how much faster the dog's nails grow than is usual, mm a week.
func (s scenario) own(noise *rand.Rand) float64 { return 0.2 * noise.NormFloat64() }

// rate is how fast a nail really grows on a day, mm a week.
func (t nailTruth) rate(d dog.Dog, code nail.Code, day date.Date) float64 {
	usual := growth.Assumed().Group(code.Group(), growth.Where{Age: d.AgeWeeks(day), Weight: d.WeightOn(day), Pavement: d.PavementOn(day)})
	return math.Max(0.15, usual.Mean+t.own)
}

// newTruth draws a dog's true nails: rates about its own, and a quick as its keeper left it.
func newTruth(d dog.Dog, day date.Date, own, overgrown float64, noise *rand.Rand) map[nail.Code]*nailTruth {
	truth := map[nail.Code]*nailTruth{}
	for _, n := range d.Nails {
		form := claw.Assumed(n.Code, n.Shape, d.WeightOn(day))
		length := overgrown * form.Length * (1 + 0.05*noise.NormFloat64())
		truth[n.Code] = &nailTruth{
			length: length, quick: 0.78 * length,
			own:    own + 0.08*noise.NormFloat64(),
			height: form.AtGap(clearing).CoatHeight() + 0.15*noise.NormFloat64(), on: day,
		}
	}
	return truth
}

// record lets the nail grow to the day, trims it, and writes down what a groomer would.
func (s scenario) record(t *nailTruth, d dog.Dog, n dog.Nail, day date.Date, skipped bool, noise *rand.Rand) dog.Record {
	weeks := float64(day.Sub(t.on)) / 7
	size := claw.SizeFactor(s.kg)
	rate := t.rate(d, n.Code, day)
	spare := quick.Drift{Rate: rate, Follow: quick.UsualFollow(size)}.After(quick.Spare{Mean: t.length - t.quick}, weeks).Mean
	t.length += rate * weeks
	t.quick, t.on = math.Max(t.length-spare, rhythm.LeastQuick(claw.Assumed(n.Code, n.Shape, s.kg))), day
	spare = t.length - t.quick
	r := dog.Record{Code: n.Code, Tool: s.tool, Item: pieceFor(s.tool), Reaction: s.mood(noise)}
	if s.untouch != "" && strings.HasPrefix(n.Code.String(), s.untouch) {
		r.Reaction = s.temper
		return r
	}
	if skipped {
		return r
	}
	before := t.length
	r.Cuts = slivers(spare - s.spare*size - 0.15*noise.NormFloat64())
	t.length -= r.Removed()
	if left := t.length - t.quick; len(r.Cuts) > 0 && !s.tally {
		r.EndFace = quick.DrawFace(n.Colour, math.Max(0.3, left), claw.Assumed(n.Code, n.Shape, s.kg).Depth/quick.SignsDepth, noise.Float64())
		if r.EndFace == quick.Blood { // its hand stops before that
			r.EndFace = quick.Dot
			if n.Colour == nail.Light {
				r.EndFace = quick.PinkDot
			}
		}
	}
	if s.caliper && noise.Float64() < 0.5 {
		after := math.Round((t.length+0.2*noise.NormFloat64())*10) / 10
		r.LengthAfter = &after
	}
	if n.Colour == nail.Light && before > t.length {
		seen := math.Max(0.2, math.Round((t.length-t.quick)*5)/5)
		r.SpareLeft, r.Sure = &seen, true
	}
	if s.feelers && !n.Code.Dewclaw() {
		gap := feel(claw.Assumed(n.Code, n.Shape, s.kg).WithLength(t.length).AtCoatHeight(t.height).Gap())
		r.GapAfter = &gap
	}
	return r
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
	return &h
}

// slivers parts what comes off into cuts of 1 mm and a last one of half.
func slivers(take float64) []float64 {
	var cuts []float64
	for ; take >= 1 && len(cuts) < 12; take-- {
		cuts = append(cuts, 1)
	}
	if take >= 0.5 {
		cuts = append(cuts, 0.5)
	}
	return cuts
}

// feel is the largest household feeler that passes under a nail.
func feel(gap float64) float64 {
	switch {
	case gap >= 1.5*claw.CardGap:
		return math.Round(gap*2) / 2
	case gap >= claw.CardGap:
		return claw.CardGap
	case gap >= claw.PaperGap:
		return claw.PaperGap
	default:
		return claw.TouchGap
	}
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
