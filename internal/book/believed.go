package book

import (
	"bytes"
	"context"
	"errors"
	"slices"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

const fromAll = " Worked out from all that was told: read it, and change nothing."

// believed are tables of what a book comes to on the day of the package, so that an outsider can hold it against what
// they work out, or against what then was. Nobody told it, so nothing of it is read back.
var (
	believedNails = formats.Table{
		Name:    "believed",
		Derived: true,
		About:   "What is believed of each nail on the day of the package; ranges hold nine times in ten." + fromAll,
		Key:     []string{"dog_id", "code"},
		Columns: slices.Concat(
			[]formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("code", "string!", "paw and digit"),
				column("on_date", "date!", "the day of the package"),
			},
			rangedColumns(
				"length",
				"its length, mm",
				"!",
			),
			rangedColumns("spare", "safe to trim, mm: how much lies before the quick", "!"),
			rangedColumns("gap", "from its tip to the floor, mm; none for a dewclaw", ""),
			[]formats.Column{
				column("rate", "number!", "how fast it grows, mm a week"),
				column("rate_sd", "number!", "how far that may be off, one standard deviation, mm a week"),
				column("on_floor", "boolean!", "it is believed to touch"),
				column("looked", "boolean!", "somebody looked at its floor"),
			},
		),
	}
	believedDates = formats.Table{
		Name:    "dates",
		Derived: true,
		About: "Each dog's next date, as it stands on the day of the package; none where nothing was told yet, " +
			"or it is a veterinarian's matter." + fromAll,
		Key: []string{"dog_id"},
		Columns: []formats.Column{
			column(
				"dog_id",
				"string!>dogs",
				dogItself,
			),
			column("on_date", "date!", "the day of the package"),
			column("due", "date!", "the working day to do it"),
			column("cautious", "date!", "the working day if its nails grow faster than nine dogs in ten"),
			column(
				"earliest",
				"date!",
				"the day on which the first nail is due, whatever day it is",
			),
			column("rule", "string!", "that set it"),
			column("nails", "string!", "that it is for, separated by blanks"),
			column("touches", "date", "the day on which the first nail meets the floor, where that is before"),
		},
	}
)

// foretold is what was said before each trim and look of a dog, by today's rules, beside what then was.
var foretold = formats.Table{
	Name:    "foretold",
	Derived: true,
	About: "What would have been said just before each trim and each look, from what was told until then and by the " +
		"rules of the day of the package, beside what then was. A chance is said of what happens (1) or does not (0); " +
		"a number with the range that holds nine times in ten." + fromAll,
	Key: []string{"dog_id", "number"},
	Columns: []formats.Column{
		column(
			"dog_id",
			"string!>dogs",
			dogItself,
		),
		column("number", "integer!", "in the order in which things were told"),
		column("on_date", "date!", "when"),
		column(
			"what",
			"string!",
			"cut or press: the chance to bleed; touches: the chance to touch; length, spare, gap: mm; minutes; due: the date",
		),
		column(
			"code",
			"string",
			"of which nail",
		),
		column("said", "number", "a chance, mm, or minutes; none for a date"),
		column("said_low", "number", "from"),
		column("said_high", "number", "to"),
		column(
			"was",
			"number!",
			"0 or 1, mm, minutes; of a date, how many days the trim came after it",
		),
		column("came", "string", "of a date: before, about, not_yet, later or untried; empty: nobody looked"),
	},
}

func foretoldRow(id uuid.UUID, number int, f hindsight.Foretold) []any {
	row := []any{id.String(), int64(number), f.On.String(), string(f.What), nil, f.Said, nil, nil, f.Was, nil}
	if f.Code != (nail.Code{}) {
		row[4] = f.Code.String()
	}
	switch f.What {
	case hindsight.Due:
		row[5], row[9] = nil, string(f.Came)
	case hindsight.Length, hindsight.Spare, hindsight.Gap, hindsight.Minutes:
		row[6], row[7] = f.Low(), f.High()
	case hindsight.Cut, hindsight.Press, hindsight.Touches:
	}
	return row
}

// exportForetold adds what was said of these dogs: some are worked out side by side, and written in their order.
func (b *Book) exportForetold(
	ctx context.Context,
	p *formats.PackageWriter,
	dogs []store.Dog,
	settings store.Settings,
	past func(),
) error {
	return p.Table(foretold, func(write func([]any) error) error {
		for some := range slices.Chunk(dogs, dogsTogether) {
			said := make([][]hindsight.Foretold, len(some))
			err := each(len(some), func(i int) error {
				_, err := b.hindsight(
					ctx,
					some[i],
					settings,
					func(f hindsight.Foretold) { said[i] = append(said[i], f) },
				)
				if errors.As(err, new(Unreckonable)) {
					return nil
				}
				return err
			})
			if err != nil {
				return err
			}
			for i, d := range some {
				for number, f := range said[i] {
					if err := write(foretoldRow(d.ID, number+1, f)); err != nil {
						return err
					}
				}
				past()
			}
		}
		return nil
	})
}

const dogsTogether = 16

// rangedColumns are those of an estimate: its value, its range, and where it came from.
func rangedColumns(name, about, needed string) []formats.Column {
	return []formats.Column{
		column(
			name,
			"number"+needed,
			about,
		),
		column(name+"_low", "number"+needed, "from"),
		column(name+"_high", "number"+needed, "to"),
		column(name+"_source", "string"+needed, "measured, told, learnt or assumed"),
	}
}

func estimated(e estimate.Estimate) []any { return []any{e.Value, e.Low, e.High, string(e.Source)} }

// exportBelieved adds what is believed of these dogs; one that cannot be worked out has no rows.
func (b *Book) exportBelieved(
	ctx context.Context,
	p *formats.PackageWriter,
	dogs []store.Dog,
	step, past func(),
) error {
	settings, err := b.Settings(ctx)
	if err != nil {
		return err
	}
	slices.SortFunc(dogs, func(a, b store.Dog) int { return bytes.Compare(a.ID[:], b.ID[:]) })
	today := b.Today()
	var dates [][]any
	err = p.Table(believedNails, func(each func([]any) error) error {
		for _, d := range dogs {
			step()
			k, err := b.known(ctx, d)
			if errors.As(err, new(Unreckonable)) {
				continue
			}
			if err != nil {
				return err
			}
			for _, r := range k.feet.On(today) {
				if err := each(believedRow(d.ID, today, r)); err != nil {
					return err
				}
			}
			ladders, err := b.store.Ladders(ctx, d.ID)
			if err != nil {
				return err
			}
			next, has, err := outlook.NextOf(k.feet, terms(settings, b.training(ladders), k.feet))
			if err != nil {
				return err
			}
			if has {
				dates = append(dates, dateRow(d.ID, today, next))
			}
		}
		return nil
	})
	if err != nil {
		return err
	}
	err = p.Table(believedDates, func(each func([]any) error) error {
		for _, row := range dates {
			if err := each(row); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return err
	}
	return b.exportForetold(ctx, p, dogs, settings, past)
}

func believedRow(id uuid.UUID, today date.Date, r feet.Reading) []any {
	gap := []any{nil, nil, nil, nil}
	if !r.Code.Dewclaw() {
		gap = estimated(r.Gap)
	}
	return slices.Concat(
		[]any{id.String(), r.Code.String(), today.String()},
		estimated(r.Length),
		estimated(r.Spare),
		gap,
		[]any{r.Rate.Mean, r.Rate.SD, truth(r.OnFloor), truth(r.Looked)},
	)
}

func dateRow(id uuid.UUID, today date.Date, n outlook.Next) []any {
	codes := make([]string, len(n.Nails))
	for i, code := range n.Nails {
		codes[i] = code.String()
	}
	row := []any{
		id.String(),
		today.String(),
		n.Due.String(),
		n.Cautious.String(),
		n.Earliest.String(),
		string(n.Rule),
		strings.Join(codes, " "),
		nil,
	}
	if !n.Touches.IsZero() {
		row[len(row)-1] = n.Touches.String()
	}
	return row
}

// truth is a yes or no as a database has it.
func truth(is bool) int64 {
	if is {
		return 1
	}
	return 0
}
