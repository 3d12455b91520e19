package book

import (
	"cmp"
	"context"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// OwnEnd is a picture of a cut end that somebody took at the bench. What the next slice showed is the answer.
type OwnEnd struct {
	store.Picture
	Dog    string
	Faces  []quick.Face // that it may have shown, as far as its colour was told before
	MM     float64      // how thick the next slice was meant to be
	Showed quick.Face   // by it
	Again  date.Date    // when it is to be asked again; zero: it never was
}

// OwnEnds are somebody's pictures of cut ends whose next slice told something.
type OwnEnds struct {
	Now    []OwnEnd // to be named today
	All    int
	First  bool // there are enough that they come before drawn ones
	Asked  int  // so often, all in all
	Right  int
	Before map[uuid.UUID]OwnEnd
}

// OwnEnds are those of whoever asks; nobody else is shown them.
func (b *Book) OwnEnds(ctx context.Context) (out OwnEnds, err error) {
	who := who(ctx)
	pictures, err := b.store.EndPictures(ctx, who)
	if err != nil || len(pictures) == 0 {
		return out, err
	}
	sittings, err := b.store.SittingsPictured(ctx, who)
	if err != nil {
		return out, err
	}
	said, err := b.store.SaidOfEnds(ctx, who)
	if err != nil {
		return out, err
	}
	dogs := map[uuid.UUID]store.Dog{}
	out.Before = map[uuid.UUID]OwnEnd{}
	for _, p := range pictures {
		own := OwnEnd{Picture: p}
		if !own.answer(sittings[p.DogID]) {
			continue
		}
		d, is := dogs[p.DogID]
		if !is {
			if d, err = b.store.Dog(ctx, p.DogID); err != nil {
				return out, err
			}
			dogs[p.DogID] = d
		}
		own.Dog, own.Faces = d.Name, quick.Faces(colourOf(d, p.End.Code))
		if !slices.Contains(own.Faces, own.Showed) { // the colour was told wrongly: nothing is given away
			own.Faces = quick.Faces(nail.Unknown)
		}
		var done []practice.Done
		for _, s := range said[p.ID] {
			well := s.Said == own.Showed
			done = append(done, practice.Done{On: date.Of(s.At.In(b.now().Location())), Well: well})
			if out.Asked++; well {
				out.Right++
			}
		}
		own.Again = practice.Again(done)
		out.All++
		out.Before[p.ID] = own
		if !own.Again.After(b.Today()) {
			out.Now = append(out.Now, own)
		}
	}
	out.First = out.All >= practice.OwnFirst
	slices.SortStableFunc(out.Now, func(a, b OwnEnd) int { return cmp.Compare(a.Again.String(), b.Again.String()) })
	out.Now = out.Now[:min(len(out.Now), practice.EndsAsked)]
	return out, nil
}

// answer is what the next slice was and showed; false where there was none, or nobody told it.
func (o *OwnEnd) answer(sittings []store.Sitting) (is bool) {
	for _, s := range sittings {
		at := slices.IndexFunc(s.Records, func(r record.NailRecord) bool { return r.Code == o.End.Code })
		if s.ID == o.End.Sitting && at >= 0 {
			o.MM, o.Showed, is = s.Records[at].Slice(o.End.Cuts)
		}
	}
	return is
}

func colourOf(d store.Dog, code nail.Code) nail.Colour {
	for _, n := range d.Nails {
		if n.Code == code {
			return n.Colour
		}
	}
	return nail.Unknown
}

// SayOfEnd marks what whoever asks said that the slice after one of their cut ends showed, and keeps it.
func (b *Book) SayOfEnd(ctx context.Context, id, picture uuid.UUID, said quick.Face) (OwnEnd, error) {
	all, err := b.OwnEnds(ctx)
	if err != nil {
		return OwnEnd{}, err
	}
	own, is := all.Before[picture]
	var f fault.Fields
	if !is {
		f.Add("picture_id", picture.String(), say.Of(mustBeOneOfYourEnds))
		return own, f
	}
	if !slices.Contains(own.Faces, said) {
		f.Add("said", string(said), fault.AnyOf(own.Faces))
		return own, f
	}
	return own, b.store.SayOfEnd(ctx, store.SaidOfEnd{ID: id, Picture: picture, Said: said, Who: who(ctx), At: b.now()})
}
