package book

import (
	"cmp"
	"context"
	"errors"
	"io"
	"sync"
	"sync/atomic"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// ImportResult is what a package would bring, or brought.
type ImportResult struct {
	Tables  []ImportTable `json:"tables"`
	Logs    ImportTable   `json:"logs"`     // what happened at sittings
	Picture int           `json:"pictures"` // new ones
	// the book as it was before, to be put back; empty where nothing was taken
	Backup string `json:"backup,omitempty"`
}

// ImportTable is one table of it.
type ImportTable struct {
	Name           string   `json:"name"`
	New            int      `json:"new"`
	Same           int      `json:"same"`
	Different      int      `json:"different"`                 // what is in the book stays
	DifferentNames []string `json:"different_names,omitempty"` // some of them
}

// mostNamed is how many rows that differ are named.
const mostNamed = 5

// Nothing tells whether there is nothing new in it.
func (i ImportResult) Nothing() bool {
	sum := i.Logs.New + i.Picture
	for _, t := range i.Tables {
		sum += t.New
	}
	return sum == 0
}

// importing is how far taking a package in is: one at a time.
type importing struct {
	sync.Mutex
	running   atomic.Bool
	done, all atomic.Int64
}

// ImportProgress tells how far taking a package in is.
func (b *Book) ImportProgress() (running bool, done, all int) {
	return b.importing.running.Load(), int(b.importing.done.Load()), int(b.importing.all.Load())
}

// underWay begins to take a package in, and tells everybody how far it is; false while another does.
func (b *Book) underWay(progress Steps) (Steps, func(), bool) {
	if !b.importing.TryLock() {
		return nil, nil, false
	}
	b.importing.done.Store(0)
	b.importing.all.Store(0)
	b.importing.running.Store(true)
	return func(done, all int) {
			b.importing.done.Store(int64(done))
			b.importing.all.Store(int64(all))
			progress(done, all)
		}, func() {
			b.importing.running.Store(false)
			b.importing.Unlock()
		}, true
}

// TryImport says what a package would bring, row by row, and keeps nothing.
func (b *Book) TryImport(ctx context.Context, r io.ReaderAt, size int64, progress Steps) (ImportResult, error) {
	progress, over, is := b.underWay(progress)
	if !is {
		return ImportResult{}, errUnderWay
	}
	defer over()
	return b.takeIn(ctx, r, size, false, progress)
}

var errUnderWay = fault.Fields{{Name: "package", Value: "another", Want: say.Of(mustWaitAnotherPackageIs)}}

// Import takes a package in, all of what is new in it or nothing. What is in the book stays as it is. A backup is made
// before, so that it can be taken back.
func (b *Book) Import(ctx context.Context, r io.ReaderAt, size int64, progress Steps) (ImportResult, error) {
	progress, over, is := b.underWay(progress)
	if !is {
		return ImportResult{}, errUnderWay
	}
	defer over()
	if _, err := formats.ReadPackage(r, size); err != nil { // before a backup is made of it all
		return ImportResult{}, refusedBy(err)
	}
	before, err := b.BackUp(ctx)
	if err != nil {
		return ImportResult{}, err
	}
	out, err := b.takeIn(ctx, r, size, true, progress)
	if err != nil || out.Nothing() { // then there is nothing to be taken back
		return out, errors.Join(err, b.store.DropBackup(before))
	}
	out.Backup = before.Name
	b.memory.InvalidateAll()
	return out, nil
}

func (b *Book) takeIn(
	ctx context.Context,
	r io.ReaderAt,
	size int64,
	keep bool,
	progress Steps,
) (out ImportResult, err error) {
	p, err := formats.ReadPackage(r, size)
	if err != nil {
		return out, refusedBy(err)
	}
	if keep {
		defer b.store.HoldPictures()()
	}
	t := taking{
		b:        b,
		ctx:      ctx,
		p:        p,
		keep:     keep,
		progress: progress,
		sittings: map[uuid.UUID]bool{},
		touched:  map[uuid.UUID]formats.Misplaced{},
	}
	defer func() {
		if err != nil { // nothing of it is kept
			err = errors.Join(err, b.store.TakeBackPictures(context.WithoutCancel(ctx), t.put))
		}
	}()
	if err := t.pictures(); err != nil { // files first: a row never names one that is not there
		return out, refusedBy(err)
	}
	err = b.store.Import(ctx, keep, func(in *store.Importer) error {
		t.in = in
		for _, table := range tables {
			if !table.Derived && (p.Has(table.Path()) || table.ofDog != "") { // one dog alone has no more
				if err := t.table(table); err != nil {
					return err
				}
			}
		}
		if err := t.dogs(); err != nil {
			return err
		}
		return t.logs()
	})
	return t.out, refusedBy(err)
}

// refusedBy says what of a package cannot be as a refused field.
func refusedBy(err error) error {
	var m formats.Misplaced
	var loose store.Loose
	switch {
	case errors.As(err, &m):
		return fault.Fields{{Name: "package", Value: cmp.Or[any](m.Value, ""), Want: misplacedAt(m)}}
	case errors.As(err, &loose):
		return fault.Fields{
			{
				Name:  "package",
				Value: loose.Table,
				Want:  say.Of(mustBeWhole, say.Args{"loose": say.Name(loose.Error())}),
			},
		}
	}
	return err
}

// misplacedAt says where in a package what cannot be stands, and what would be right.
func misplacedAt(m formats.Misplaced) say.Line {
	args := say.Args{"file": say.Name(m.File), "line": say.Whole(m.Line), "column": say.Name(""), "want": m.Want}
	if m.Column != "" {
		args["column"] = say.Name(", " + m.Column)
	}
	if m.Line == 0 {
		return say.Of(misplaced, args)
	}
	return say.Of(misplacedLine, args)
}
