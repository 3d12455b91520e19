package book

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"runtime"
	"runtime/debug"
	"slices"
	"sync"

	"github.com/google/uuid"

	"fribbet/internal/core/feet"
	"fribbet/internal/store"
)

const (
	atOnce = 64  // dogs whose dates are set while somebody waits; more are set in the background
	batch  = 128 // dogs whose dates are set in one transaction
	roomy  = 300 // how much more than what is in use may be taken before it is gathered, percent, while many are folded
)

// Progress is how far dates have been worked out again.
type Progress struct{ Done, All int }

// recount is dates being worked out again in the background: one at a time.
type recount struct {
	sync.Mutex
	running  bool
	progress Progress
	failed   error
}

// now tells how far it is, and whether it is running at all.
func (r *recount) now() (Progress, bool) {
	r.Lock()
	defer r.Unlock()
	return r.progress, r.running
}

// upToDate sees to it that every dog's standing is of today, by today's settings and rules: at
// once when few are not, else in the background, and then it tells how far that is.
func (b *Book) upToDate(ctx context.Context) (*Progress, error) {
	if progress, running := b.recount.now(); running {
		return &progress, nil
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	key := fmt.Sprint(b.Today(), " ", termsKey(settings))
	stale, err := b.store.Stale(ctx, key)
	if err != nil || len(stale) == 0 {
		return nil, err
	}
	if len(stale) <= atOnce {
		err := store.InOwnWords(b.settle(ctx, stale, key, settings))
		if errors.Is(err, store.ErrCannotWrite) { // what is known of yesterday is better than nothing
			slog.Warn("dates cannot be set anew", "err", err)
			return nil, nil //nolint:nilnil // nothing is under way
		}
		return nil, err
	}
	b.recount.Lock()
	defer b.recount.Unlock()
	if failed := b.recount.failed; failed != nil {
		b.recount.failed = nil
		return nil, failed
	}
	if !b.recount.running {
		b.recount.running, b.recount.progress = true, Progress{All: len(stale)}
		b.workers.Go(func() { b.settleAll(b.background, stale, key, settings) }) // it outlives the request that asked
	}
	progress := b.recount.progress
	return &progress, nil
}

// termsKey tells rules and settings apart under which a dog is worked out.
func termsKey(settings store.Settings) string {
	largest := 0.0 // what is usual of the hand
	if settings.LargestCut != nil {
		largest = *settings.LargestCut
	}
	return fmt.Sprint(
		feet.FoldVersion,
		settings.Margin,
		settings.Holidays,
		settings.Role,
		settings.Hand,
		settings.EndPoint,
		largest,
		settings.Slices,
	)
}

func (b *Book) settleAll(ctx context.Context, ids []uuid.UUID, key string, settings store.Settings) {
	defer debug.SetGCPercent(
		debug.SetGCPercent(roomy),
	) // a fold throws away much: a fifth of its time went on gathering that
	batches := slices.Collect(slices.Chunk(ids, batch))
	failed := each(len(batches), func(i int) error { // side by side, so that one is worked out while another is written
		if ctx.Err() != nil {
			return ctx.Err()
		}
		err := b.settle(ctx, batches[i], key, settings)
		b.recount.Lock()
		defer b.recount.Unlock()
		b.recount.progress.Done += len(batches[i])
		return err
	})
	b.recount.Lock()
	b.recount.running, b.recount.failed = false, failed
	b.recount.Unlock()
}

// settle works out the standings of some dogs and keeps them.
func (b *Book) settle(ctx context.Context, ids []uuid.UUID, key string, settings store.Settings) error {
	standings, err := b.store.Standings(ctx, ids) // first: what is told after this makes them stale again
	if err != nil {
		return err
	}
	dogs, err := b.store.DogsOf(ctx, ids)
	if err != nil {
		return err
	}
	ladders, err := b.store.LaddersOf(ctx, ids)
	if err != nil {
		return err
	}
	var unfolded []uuid.UUID
	for _, id := range ids {
		if s := standings[id]; s.Feet == nil || s.Fold != feet.FoldVersion {
			unfolded = append(unfolded, id)
		}
	}
	sittings, err := b.store.SittingsOf(ctx, unfolded)
	if err != nil {
		return err
	}
	checks, err := b.store.ChecksOf(ctx, unfolded)
	if err != nil {
		return err
	}
	open, err := b.store.OpenOf(ctx, ids)
	if err != nil {
		return err
	}
	settled := make([]store.DogStanding, len(ids))
	err = each(len(ids), func(i int) error {
		s, d := standings[ids[i]], dogs[ids[i]]
		s.Terms = key
		one, err := b.settleOne(s, d, history{sittings[d.ID], open[d.ID], checks[d.ID]}, ladders[d.ID], settings)
		settled[i] = one
		return err
	})
	if err != nil {
		return err
	}
	settled = slices.DeleteFunc(settled, func(s store.DogStanding) bool { return s.Terms == "" })
	return b.store.KeepStandings(ctx, settled, b.now())
}

// history is what was told of a dog: all of it where nothing is kept, and what is under way.
type history struct {
	sittings []store.Sitting
	open     []store.Sitting
	checks   []store.WalkRound
}

// settleOne works out the standing of one dog. One that breaks the reckoning says so in its row
// and stops nobody else's. One that was told of while it was read is left for the next turn: its
// terms are empty.
func (b *Book) settleOne(
	s store.DogStanding,
	d store.Dog,
	h history,
	ladders []store.Ladder,
	settings store.Settings,
) (out store.DogStanding, err error) {
	defer func() {
		if broken := recover(); broken != nil {
			slog.Error("cannot be worked out", "dog", d.ID, "what", broken)
			out, err = b.brokenStanding(s, d)
		}
	}()
	if err := reckonable(d, slices.Concat(h.sittings, h.open), h.checks); err != nil {
		slog.Error("cannot be worked out", "dog", d.ID, "what", err)
		return b.brokenStanding(s, d)
	}
	k, is := b.remembers(d, s)
	if !is {
		if s.Feet != nil && s.Fold == feet.FoldVersion { // of another number of nails: it was told of meanwhile
			return store.DogStanding{}, nil
		}
		k = fold(d, without(h.sittings, idsOf(h.open)), h.checks)
		s.Folded, s.Fold = true, feet.FoldVersion
		if s.Feet, err = k.keep(); err != nil {
			return s, err
		}
	}
	now, is := k.with(h.open, uuid.Nil)
	if !is { // a sitting under way is not the last thing told
		if now, err = b.foldBut(context.Background(), d, nil); err != nil {
			return s, err
		}
	}
	if out, err = b.stand(s, d, now.feet, ladders, settings); err != nil {
		slog.Error("cannot be worked out", "dog", d.ID, "what", err)
		return b.brokenStanding(s, d)
	}
	return out, nil
}

// each does n things on all processors, and returns the first error.
func each(n int, do func(i int) error) error {
	errs := make([]error, n)
	var workers sync.WaitGroup
	next := make(chan int)
	for range min(n, runtime.GOMAXPROCS(0)) {
		workers.Go(func() {
			for i := range next {
				errs[i] = unharmed(func() error { return do(i) })
			}
		})
	}
	for i := range n {
		next <- i
	}
	close(next)
	workers.Wait()
	for _, err := range errs {
		if err != nil {
			return err
		}
	}
	return nil
}

// unharmed does something that may break, and tells that as an error: what is worked out beside requests must not end
// the program.
func unharmed(do func() error) (err error) {
	defer func() {
		if broken := recover(); broken != nil {
			err = fmt.Errorf("broke: %v\n%s", broken, debug.Stack())
		}
	}()
	return do()
}
