package book

import (
	"context"
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// Own is what the book's own record would set, beside what is usual, and whether it does.
type Own struct {
	hindsight.Offer
	Used bool
}

// own are what the record offers, and what is set by it though it is no longer offered.
func (b *Book) own(ctx context.Context, offers []hindsight.Offer) (all []Own, err error) {
	set, err := b.store.OwnUsual(ctx)
	same := func(o hindsight.Offer) func(hindsight.Offer) bool {
		return func(other hindsight.Offer) bool { return other.Kind == o.Kind && other.Class == o.Class }
	}
	for _, o := range offers {
		all = append(all, Own{o, slices.ContainsFunc(set, same(o))})
	}
	for _, o := range set {
		if !slices.ContainsFunc(offers, same(o)) {
			all = append(all, Own{o, true})
		}
	}
	return all, err
}

// UseOwn lets the book's own record say what is usual, as it was last worked out, or takes that back. Every dog is
// worked out anew by it.
func (b *Book) UseOwn(ctx context.Context, kind hindsight.Kind, class float64, use bool) error {
	if !use {
		return b.store.TakeBackOwnUsual(ctx, kind, class)
	}
	b.whole.Lock()
	offers := b.whole.last.offers
	b.whole.Unlock()
	at := slices.IndexFunc(offers, func(o hindsight.Offer) bool { return o.Kind == kind && o.Class == class })
	if at < 0 {
		return fault.Fields{{Name: "kind", Value: string(kind), Want: say.Of(mustBeOffered)}}
	}
	return b.store.SetOwnUsual(ctx, offers[at], b.now())
}

// learnt is what a dog's record says of what is usual; nothing of one that was never trimmed.
func (b *Book) learnt(ctx context.Context, d store.Dog) (l hindsight.Learnt, err error) {
	k, err := b.known(ctx, d)
	if err != nil || len(k.told) == 0 {
		return l, err
	}
	where := k.feet.Where(k.feet.Day())
	where.Times = 0 // of most dogs
	l = hindsight.Learnt{
		Class:    growth.ClassOf(where.Weight).Under,
		Sittings: len(k.told),
		Usual:    growth.Usual(where),
		Faces:    k.feet.Faces(),
	}
	l.Gross, l.Before = k.feet.Gross()
	sittings, _, err := b.told(ctx, d)
	for _, s := range sittings {
		if slices.ContainsFunc(
			s.Records,
			func(r record.NailRecord) bool { return r.EndFace != "" || len(r.Faces) > 0 },
		) {
			l.Told++
		}
		l.Hand = l.Hand.And(hindsight.TakenOff(s.Sitting))
	}
	return l, err
}
