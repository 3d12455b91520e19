package book

import (
	"context"
	"encoding/json"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/record"
	"fribbet/internal/core/sitting"
	"fribbet/internal/store"
)

// known is what a dog's sittings and looks come to: all that lists, plans and dates read of them.
type known struct {
	feet feet.Feet
	past sitting.Past
	told []SittingSummary // oldest first
	kept int              // the revision of the dog's records of which this, and no more, is what is kept; else 0
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

func walksOf(checks []store.WalkRound) []record.WalkRound {
	walks := make([]record.WalkRound, len(checks))
	for i, c := range checks {
		walks[i] = c.WalkRound
	}
	return walks
}

func trimsOf(sittings []store.Sitting) []record.Sitting {
	trims := make([]record.Sitting, len(sittings))
	for i, s := range sittings {
		trims[i] = s.Sitting
	}
	return trims
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
	return known{feet, text.Past, text.Told, s.Revision}, err == nil
}

// and is what is known once a sitting that is under way was told as well; false when it is not the
// last thing told of the dog.
func (k known) and(s store.Sitting) (known, bool) {
	if !k.feet.Follows(s.Sitting) {
		return k, false
	}
	return known{
		feet: k.feet.And(s.Sitting),
		past: k.past.And(s.Sitting),
		told: append(slices.Clip(k.told), SittingSummary{s.ID, sitting.SummaryOf(s.Sitting)}),
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

// knownBut is the same as if one sitting had not been told. What is kept is enough for that, as a rule; else
// everything is read.
func (b *Book) knownBut(ctx context.Context, d store.Dog, but uuid.UUID) (known, error) {
	k, is, err := b.keptBut(ctx, d, but)
	if err != nil || is {
		return k, err
	}
	return b.foldBut(ctx, d, []uuid.UUID{but})
}

// keptBut is the same where what is kept is enough; else false.
func (b *Book) keptBut(ctx context.Context, d store.Dog, but uuid.UUID) (known, bool, error) {
	others, err := b.store.OthersOpen(ctx, d.ID, but)
	if err != nil {
		return known{}, false, err
	}
	var open map[uuid.UUID][]store.Sitting
	if others { // first: one that ends now is then in both, or in neither
		if open, err = b.store.OpenOf(ctx, []uuid.UUID{d.ID}); err != nil {
			return known{}, false, err
		}
	}
	k, is, err := b.keptNow(ctx, d, but)
	if err != nil || !is {
		return known{}, false, err
	}
	k, is = k.with(open[d.ID], but)
	return k, is, nil
}

// remembered is what is known of a dog, read from a writing of it.
type remembered struct {
	stamp string
	known known
}

// mostRemembered is of how many dogs what is known stays in memory: a day's work at the bench, several times
// over; about 200 kB each.
const mostRemembered = 100

// keptNow is what is kept of a dog; false when there is nothing, or not by today's rules, or one sitting is in it that
// is not to be. Reading it takes longer than a tap may, so it stays in memory as long as it is not written anew.
func (b *Book) keptNow(ctx context.Context, d store.Dog, but uuid.UUID) (known, bool, error) {
	now, err := b.store.Kept(ctx, d.ID, but)
	if err != nil || now.Stamp == "" || now.Within || now.Fold != feet.FoldVersion {
		return known{}, false, err
	}
	if r, is := b.memory.GetIfPresent(d.ID); is && r.stamp == now.Stamp {
		k := r.known
		k.kept = now.Revision
		return k, true, nil
	}
	standings, err := b.store.Standings(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return known{}, false, err
	}
	s := standings[d.ID]
	if s.Stamp != now.Stamp { // written anew meanwhile: that sitting may be in it
		return b.keptNow(ctx, d, but)
	}
	k, is := keptOf(d, s)
	if is {
		b.memory.Set(d.ID, remembered{s.Stamp, k})
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

// after is what is kept of a dog once a sitting has ended, so that the next need not fold years anew; nil where that is
// left for later: it was not the last thing told of the dog, or nothing is kept of what was before it.
func (k known) after(s store.Sitting) (*store.FoldedFeet, error) {
	if k.kept == 0 {
		return nil, nil //nolint:nilnil // documented
	}
	now, last := k.and(s)
	if !last {
		return nil, nil //nolint:nilnil // documented
	}
	text, err := now.keep()
	return &store.FoldedFeet{Revision: k.kept, Fold: feet.FoldVersion, Feet: text}, err
}

// checkpoint sees to it that what is known of a dog is kept before something is told at a bench:
// every tap after that reads it and the sitting's own log, nothing older.
func (b *Book) checkpoint(ctx context.Context, d store.Dog) error {
	if _, is, err := b.keptNow(ctx, d, uuid.Nil); err != nil || is {
		return err
	}
	standings, err := b.store.Standings(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return err
	}
	revision := standings[d.ID].Revision // before the rest is read: what is told meanwhile is then not lost
	open, err := b.store.OpenOf(ctx, []uuid.UUID{d.ID})
	if err != nil {
		return err
	}
	k, err := b.foldBut(ctx, d, idsOf(open[d.ID]))
	if err != nil {
		return err
	}
	text, err := k.keep()
	if err != nil {
		return err
	}
	return b.store.KeepFeet(ctx, d.ID, store.FoldedFeet{Revision: revision, Fold: feet.FoldVersion, Feet: text})
}
