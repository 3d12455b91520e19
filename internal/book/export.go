package book

import (
	"context"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
	"fribbet/internal/words"
)

// Steps is told how far a long work is.
type Steps func(done, all int)

// Export writes everything in the book as one package: tables that any spreadsheet opens, the logs of all sittings, the
// pictures, and what it all means in plain words. Secrets are not in it. Rows are told to progress.
func (b *Book) Export(ctx context.Context, to io.Writer, progress Steps) error {
	dogs, err := b.store.Dogs(ctx)
	if err != nil {
		return err
	}
	return b.export(ctx, to, dogs, nil, progress)
}

// ExportDog writes one dog alone, for its owner or a veterinarian, with a page to be read and printed.
func (b *Book) ExportDog(ctx context.Context, to io.Writer, dogID uuid.UUID) error {
	v, err := b.View(ctx, dogID)
	if err != nil {
		return err
	}
	speaks, err := b.Words(ctx)
	if err != nil {
		return err
	}
	page := b.dogPage(speaks, v)
	return b.export(ctx, to, []store.Dog{v.Dog}, &page, func(int, int) {})
}

// What a dog's page says.
const (
	pageNoDate   say.Key = "page.no_date"
	pageBorn     say.Key = "page.born"
	pageGuessed  say.Key = "page.born_guessed"
	pageWeight   say.Key = "page.weight"
	pageNext     say.Key = "page.next"
	pageDewclaw  say.Key = "page.dewclaw"
	pageLooks    say.Key = "page.looks"
	pageDone     say.Key = "page.done"
	pageBled     say.Key = "page.bled"
	pageTitle    say.Key = "page.title"
	pageEachNail say.Key = "page.each_nail"
	pageNail     say.Key = "page.nail"
	pageColour   say.Key = "page.colour"
	pageLength   say.Key = "page.length"
	pageSpare    say.Key = "page.spare"
	pageFloor    say.Key = "page.floor"
	pageRanges   say.Key = "page.ranges"
	pageTrims    say.Key = "page.trims"
	pageDay      say.Key = "page.day"
	pageWhatDone say.Key = "page.what_was_done"
	pageHow      say.Key = "page.how"
	pageNote     say.Key = "page.note"
	pageAsOf     say.Key = "page.as_of"
)

// dogPage is a dog in plain words.
func (b *Book) dogPage(w words.Words, v View) formats.DogPage {
	today := b.Today()
	born := pageBorn
	if v.Dog.Birth.Estimated {
		born = pageGuessed
	}
	name := say.Args{"name": say.Name(v.Dog.Name)}
	p := formats.DogPage{
		Language: w.Language, Name: v.Dog.Name, Next: w.Say(say.Of(pageNoDate, say.Args{"why": v.WhyNone})),
		Facts: []string{
			w.Say(say.Of(born, say.Args{"on": v.Dog.Birth.Date.SayLong()})),
			w.Say(
				say.Of(
					pageWeight,
					say.Args{"weight": say.Weight(v.Dog.WeightOn(today)), "n": say.Count(len(v.Dog.Nails))},
				),
			),
		},
		Says: map[string]string{
			"title":  w.Say(say.Of(pageTitle, name)),
			"each":   w.Say(say.Of(pageEachNail)),
			"nail":   w.Say(say.Of(pageNail)),
			"colour": w.Say(say.Of(pageColour)),
			"length": w.Say(say.Of(pageLength)),
			"spare":  w.Say(say.Of(pageSpare)),
			"floor":  w.Say(say.Of(pageFloor)),
			"ranges": w.Say(say.Of(pageRanges)),
			"trims":  w.Say(say.Of(pageTrims)),
			"day":    w.Say(say.Of(pageDay)),
			"done":   w.Say(say.Of(pageWhatDone)),
			"how":    w.Say(say.Of(pageHow)),
			"note":   w.Say(say.Of(pageNote)),
			"asof":   w.Say(say.Of(pageAsOf, say.Args{"on": today.SayLong()})),
		},
	}
	if v.Next != nil {
		p.Next = w.Say(say.Of(pageNext, say.Args{"on": v.Next.Due.SayLong(), "reason": v.Next.Reason}))
	}
	for _, c := range v.Cautions {
		p.Cautions = append(p.Cautions, w.Say(c.Words))
	}
	for _, r := range v.Readings {
		gap := w.Say(say.Of(pageDewclaw))
		if !r.Code.Dewclaw() {
			gap = ranged(r.Gap)
		}
		p.Nails = append(p.Nails, struct{ Code, Looks, Length, Spare, Gap string }{
			r.Code.String(),
			w.Say(
				say.Of(pageLooks, say.Args{"colour": r.Colour.Say(), "shape": r.Shape.Say(), "state": r.State.Say()}),
			),
			ranged(r.Length),
			ranged(r.Spare),
			gap,
		})
	}
	for _, s := range slices.Backward(v.Sittings) {
		done := w.Say(say.Of(pageDone, say.Args{"n": say.Count(s.Nails), "most": say.Length(s.Most)}))
		for _, code := range s.Bled {
			done += w.Say(say.Of(pageBled, say.Args{"nail": nail.Said(code)}))
		}
		p.Sittings = append(
			p.Sittings,
			struct{ On, Done, How, Note string }{s.On.String(), done, w.Say(s.Worst.Say()), s.Note},
		)
	}
	return p
}

// ranged is a number with its range and the letter of its source.
func ranged(e estimate.Estimate) string {
	return fmt.Sprintf("%.1f (%.1f–%.1f) %s", e.Value, e.Low, e.High, e.Source[:1])
}

// export writes what belongs to these dogs: to one alone where it has a page, and else to all that there are.
func (b *Book) export(
	ctx context.Context,
	to io.Writer,
	dogs []store.Dog,
	page *formats.DogPage,
	progress Steps,
) error {
	return b.store.Snapshot(ctx, func(s store.Snapshot) error {
		p := formats.NewPackage(to, b.now())
		if err := p.File(
			"README.txt",
			"",
			"",
			"text/plain",
			func(w io.Writer) error { return b.readme(w, page != nil) },
		); err != nil {
			return err
		}
		if page != nil {
			if err := p.File(
				"dog.html",
				"page",
				"The dog on one page, to be read and printed.",
				"text/html",
				page.Write,
			); err != nil {
				return err
			}
		}
		done, all := 0, len(dogs)*(1+rowsOfPast)
		for _, t := range append(names(), "events") {
			n, err := s.Count(ctx, t)
			if err != nil {
				return err
			}
			all += n
		}
		step := func() {
			if done++; done%1000 == 0 || done == all {
				progress(done, all)
			}
		}
		past := func() {
			done += rowsOfPast
			progress(done, all)
		}
		var pictures []string
		for _, t := range tables {
			where, args := "", []any(nil)
			if page != nil {
				if t.ofDog == "" {
					continue
				}
				where, args = t.ofDog, []any{dogs[0].ID}
			}
			hash := -1
			for i, c := range t.Columns {
				if t.Name == "pictures" && c.Name == "hash" {
					hash = i
				}
			}
			err := p.Table(t.Table, func(each func([]any) error) error {
				return s.Rows(ctx, t.Name, t.Names(), t.order(), where, args, func(values []any) error {
					step()
					if hash >= 0 {
						name := values[hash].(string)
						if _, err := b.store.PictureFile(ctx, name, false); errors.Is(err, store.ErrNotFound) {
							return nil // deleted for good, and put back with an older book: there is nothing to give
						}
						pictures = append(pictures, name)
					}
					return each(values)
				})
			})
			if err != nil {
				return err
			}
		}
		if err := b.exportBelieved(ctx, p, dogs, step, past); err != nil {
			return err
		}
		where, args := "", []any(nil)
		if page != nil {
			where, args = ofSitting, []any{dogs[0].ID}
		}
		err := p.File(
			formats.LogsPath,
			"events",
			"Everything that happened at every trim, one event a line, in its order: "+
				"what all else of a trim is worked out from.",
			"application/x-ndjson",
			func(w io.Writer) error {
				return s.Events(ctx, where, args, func(line []byte) error {
					step()
					_, err := w.Write(line)
					return err
				})
			},
		)
		if err != nil {
			return err
		}
		if err := b.exportPictures(ctx, p, pictures); err != nil {
			return err
		}
		return p.Close(
			"fribbet",
			"A book of dogs' nails",
			"Dogs, their nails, trims, kit, owners and visits. "+
				"Lengths in mm, weights in kg, days in the user's zone, moments UTC.",
		)
	})
}

// rowsOfPast is as how many rows it counts to say all of a dog's past anew.
const rowsOfPast = 2000

func names() (all []string) {
	for _, t := range tables {
		all = append(all, t.Name)
	}
	return all
}

// exportPictures adds the files of pictures, each once; one that was deleted is left out.
func (b *Book) exportPictures(ctx context.Context, p *formats.PackageWriter, hashes []string) error {
	there := map[string]bool{}
	for _, hash := range hashes {
		if there[hash] {
			continue
		}
		there[hash] = true
		for _, small := range []bool{false, true} {
			data, err := b.store.PictureFile(ctx, hash, small)
			if errors.Is(err, store.ErrNotFound) {
				continue
			}
			if err != nil {
				return err
			}
			if err := p.File(
				formats.PicturesPath+store.PictureName(hash, small),
				"",
				"",
				"image/jpeg",
				func(w io.Writer) error { _, err := w.Write(data); return err },
			); err != nil {
				return err
			}
		}
	}
	return nil
}

// readme says in plain words what is in a package.
func (b *Book) readme(w io.Writer, one bool) error {
	var text strings.Builder
	fmt.Fprintf(&text, "A book of dogs' nails, as Fribbet had it on %s.\n\n", b.Today())
	if one {
		text.WriteString("This is one dog. Open dog.html to read it, or to print it.\n\n")
	}
	text.WriteString(
		"The tables under data/ open in any spreadsheet: the first row names the columns, and datapackage.json says " +
			"what each means, its type, and which rows belong together (a Frictionless Tabular Data Package, " +
			"frictionlessdata.io). Lengths are in mm, weights in kg, days as YYYY-MM-DD, moments in UTC; an empty " +
			"cell is something that nobody told.\n\n",
	)
	for _, t := range tables {
		if !one || t.ofDog != "" {
			fmt.Fprintf(&text, "data/%s.csv\n    %s\n", t.Name, t.About)
		}
	}
	for _, t := range []formats.Table{believedNails, believedDates} {
		fmt.Fprintf(&text, "data/%s.csv\n    %s\n", t.Name, t.About)
	}
	fmt.Fprintf(
		&text,
		"%s\n    Everything that happened at every trim, one event a line (JSON).\n"+
			"pictures/\n    Pictures of paws, named by their content, and each small as well.\n\n",
		formats.LogsPath,
	)
	text.WriteString(
		"Fribbet reads all of it back: Settings, Take it in; or fribbet import. " +
			"It leaves out what would open doors: passphrase, devices, and the keys of the calendar and of owners' cards.\n",
	)
	_, err := io.WriteString(w, text.String())
	return err
}
