package book

import (
	"context"
	"encoding/json"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/sitting"
	"fribbet/internal/store"
)

// known is what a dog's sittings and looks come to: all that lists, plans and dates read of them.
type known struct {
	feet feet.Feet
	past sitting.Past
	told []SittingSummary // oldest first
}

// SittingSummary is a sitting as lists show it.
type SittingSummary struct {
	ID uuid.UUID
	sitting.Summary
}

// kept is the same as it stands in the book: how the last ended sitting or look left the dog, so
// that nothing older need be read.
type kept struct {
	Feet json.RawMessage
	Past sitting.Past
	Told []SittingSummary
}

// Unreckonable is a dog that cannot be worked out: something that no input lets in stands in the book.
type Unreckonable struct {
	Name string
	Why  fault.Fields
}

func (u Unreckonable) Error() string { return u.Name + " cannot be worked out: " + u.Why.Error() }

// Unwrap is what of its records cannot be.
func (u Unreckonable) Unwrap() error { return u.Why }

// reckonable refuses a dog with which a reckoning would run, or take memory, without bound.
func reckonable(d store.Dog, sittings []store.Sitting, checks []store.WalkRound) error {
	if why := feet.Bounded(d.Dog, trimsOf(sittings), walksOf(checks)); len(why) > 0 {
		return Unreckonable{d.Name, why}
	}
	return nil
}

// dog is one dog of which something is to be worked out.
func (b *Book) dog(ctx context.Context, id uuid.UUID) (store.Dog, error) {
	d, err := b.store.Dog(ctx, id)
	if err == nil {
		err = reckonable(d, nil, nil)
	}
	return d, err
}

// told is all that was told of a dog.
func (b *Book) told(ctx context.Context, d store.Dog) ([]store.Sitting, []store.WalkRound, error) {
	sittings, err := b.store.Sittings(ctx, d.ID)
	if err != nil {
		return nil, nil, err
	}
	checks, err := b.store.Checks(ctx, d.ID)
	if err == nil {
		err = reckonable(d, sittings, checks)
	}
	return sittings, checks, err
}

// fold is what is known once all was read.
func fold(d store.Dog, sittings []store.Sitting, checks []store.WalkRound) known {
	trims := trimsOf(sittings)
	k := known{feet: feet.FeetAfter(d.Dog, trims, walksOf(checks)...), past: sitting.PastOf(trims)}
	for _, s := range sittings {
		k.told = append(k.told, SittingSummary{s.ID, sitting.SummaryOf(s.Sitting)})
	}
	return k
}

func (k known) keep() ([]byte, error) {
	feet, err := k.feet.Keep()
	if err != nil {
		return nil, err
	}
	return json.Marshal(kept{feet, k.past, k.told})
}

// keptOf reads what is kept of a dog; false when there is nothing, or not by today's rules.
func keptOf(d store.Dog, s store.DogStanding) (known, bool) {
	var text kept
	if s.Feet == nil || s.Fold != feet.FoldVersion || json.Unmarshal(s.Feet, &text) != nil {
		return known{}, false
	}
	feet, err := feet.Kept(d.Dog, text.Feet)
	return known{feet, text.Past, text.Told}, err == nil
}

// and is what is known once a sitting that is under way was told as well; false when it is not the
// last thing told of the dog.
func (k known) and(s store.Sitting) (known, bool) {
	if !k.feet.Follows(s.Sitting) {
		return k, false
	}
	return known{
		k.feet.And(s.Sitting),
		k.past.And(s.Sitting),
		append(slices.Clip(k.told), SittingSummary{s.ID, sitting.SummaryOf(s.Sitting)}),
	}, true
}

// with is the same of every sitting that is under way but one.
func (k known) with(open []store.Sitting, but uuid.UUID) (known, bool) {
	last := true
	for _, s := range open {
		if s.ID == but {
			continue
		}
		if k, last = k.and(s); !last {
			break
		}
	}
	return k, last
}

// known is what is known of a dog today.
func (b *Book) known(ctx context.Context, d store.Dog) (known, error) {
	return b.knownBut(ctx, d, uuid.Nil)
}

// knownBut is the same as if one sitting that is under way had not been told. What is kept is enough
// for that, as a rule; else everything is read.
func (b *Book) knownBut(ctx context.Context, d store.Dog, but uuid.UUID) (known, error) {
	others, err := b.store.OthersOpen(ctx, d.ID, but)
	if err != nil {
		return known{}, err
	}
	var open map[uuid.UUID][]store.Sitting
	if others { // first: one that ends now is then in both, or in neither
		if open, err = b.store.OpenOf(ctx, []uuid.UUID{d.ID}); err != nil {
			return known{}, err
		}
	}
	k, is, err := b.keptNow(ctx, d)
	if err != nil {
		return known{}, err
	}
	if is {
		if k, is = k.with(open[d.ID], but); is {
			return k, nil
		}
	}
	return b.foldBut(ctx, d, []uuid.UUID{but})
}

// remembered is what is known of a dog, read from a writing of it.
type remembered struct {
	stamp string
	known known
}

// mostRemembered is of how many dogs what is known stays in memory: a day's work at the bench, several times
// over; about 200 kB each.
const mostRemembered = 100

// keptNow is what is kept of a dog; false when there is nothing, or not by today's rules. Reading it takes
// longer than a tap may, so it stays in memory as long as it is not written anew.
func (b *Book) keptNow(ctx context.Context, d store.Dog) (known, bool, error) {
	fold, stamp, err := b.store.Kept(ctx, d.ID)
	if err != nil || stamp == "" || fold != feet.FoldVersion {
		return known{}, false, err
	}
	if r, is := b.memory.GetIfPresent(d.ID); is && r.stamp == stamp {
		return r.known, true, nil
	}
	standings, err := b.store.Standings(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return known{}, false, err
	}
	k, is := keptOf(d, standings[d.ID])
	if is {
		b.memory.Set(d.ID, remembered{standings[d.ID].Stamp, k})
	}
	return k, is, nil
}

// remembers is what is kept of a dog in a standing that was read, from memory where it is the same writing.
func (b *Book) remembers(d store.Dog, s store.DogStanding) (known, bool) {
	if r, is := b.memory.GetIfPresent(d.ID); is && s.Fold == feet.FoldVersion && s.Stamp != "" && r.stamp == s.Stamp {
		return r.known, true
	}
	return keptOf(d, s)
}

// dogNow is a dog, and what is known of it today.
func (b *Book) dogNow(ctx context.Context, dogID uuid.UUID) (store.Dog, known, error) {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return store.Dog{}, known{}, err
	}
	k, err := b.known(ctx, d)
	return d, k, err
}

// foldBut reads all that was told of a dog, but some sittings.
func (b *Book) foldBut(ctx context.Context, d store.Dog, but []uuid.UUID) (known, error) {
	sittings, checks, err := b.told(ctx, d)
	if err != nil {
		return known{}, err
	}
	return fold(d, without(sittings, but), checks), nil
}

func without(sittings []store.Sitting, but []uuid.UUID) []store.Sitting {
	return slices.DeleteFunc(slices.Clone(sittings), func(s store.Sitting) bool { return slices.Contains(but, s.ID) })
}

func idsOf(sittings []store.Sitting) []uuid.UUID {
	ids := make([]uuid.UUID, len(sittings))
	for i, s := range sittings {
		ids[i] = s.ID
	}
	return ids
}

// forward keeps what is known of a dog once a sitting has ended, if it was the last thing told of it: so that
// the next need not fold years anew. at is how it was kept before, grew what its telling did.
func (b *Book) forward(
	ctx context.Context,
	at store.DogStanding,
	before known,
	s store.Sitting,
	grew store.Grew,
) error {
	after, last := before.and(s)
	if !last || at.Revision != grew.From { // something else was told meanwhile
		return nil
	}
	var err error
	if at.Feet, err = after.keep(); err != nil {
		return err
	}
	at.Fold, at.Revision = feet.FoldVersion, grew.To
	return b.store.KeepFeet(ctx, at)
}

// kept is what is kept of a dog, for a sitting that is about to be told whole; false when nothing is, or
// another one is under way.
func (b *Book) kept(ctx context.Context, d store.Dog, but uuid.UUID) (store.DogStanding, known, bool, error) {
	open, err := b.store.OpenOf(ctx, []uuid.UUID{d.ID})
	if err != nil || slices.ContainsFunc(open[d.ID], func(s store.Sitting) bool { return s.ID != but }) {
		return store.DogStanding{}, known{}, false, err
	}
	k, is, err := b.keptNow(ctx, d)
	if err != nil || !is {
		return store.DogStanding{}, known{}, false, err
	}
	standings, err := b.store.Standings(ctx, []uuid.UUID{d.ID})
	return standings[d.ID], k, standings[d.ID].Feet != nil, err
}

// checkpoint sees to it that what is known of a dog is kept before something is told at a bench:
// every tap after that reads it and the sitting's own log, nothing older.
func (b *Book) checkpoint(ctx context.Context, d store.Dog) error {
	if _, is, err := b.keptNow(ctx, d); err != nil || is {
		return err
	}
	standings, err := b.store.Standings(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return err
	}
	s := standings[d.ID]
	open, err := b.store.OpenOf(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return err
	}
	k, err := b.foldBut(ctx, d, idsOf(open[d.ID]))
	if err != nil {
		return err
	}
	if s.Feet, err = k.keep(); err != nil {
		return err
	}
	s.Fold = feet.FoldVersion
	return b.store.KeepFeet(ctx, s)
}
