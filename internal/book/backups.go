package book

import (
	"context"
	"slices"
	"sync"
	"sync/atomic"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/store"
)

// nightHour is the hour from which a day's backup is made: whoever works late still works on yesterday.
const nightHour = 3

// backing is the making of backups: one at a time.
type backing struct {
	sync.Mutex
	trouble atomic.Value // of the last one that was made by itself, a text; empty when there was none
}

// Backups are the book's backups and how they fare.
type Backups struct {
	Place   string // the directory
	Kept    []store.KeptBackup
	Trouble string // why the last night's was not made
}

// Backups lists the book's backups, newest first.
func (b *Book) Backups() (Backups, error) {
	kept, err := b.store.Backups(b.now().Location())
	return Backups{b.store.BackupPlace(), kept, b.BackupTrouble()}, err
}

// BackupTrouble is why the last night's backup was not made; empty when it was.
func (b *Book) BackupTrouble() string {
	trouble, _ := b.backing.trouble.Load().(string)
	return trouble
}

// BackUp makes a backup now, lets those go that are kept no longer, and returns the one it made.
func (b *Book) BackUp(ctx context.Context) (store.KeptBackup, error) {
	b.backing.Lock()
	defer b.backing.Unlock()
	return b.backUp(ctx)
}

// BackUpNightly makes the day's backup if there is none yet and the night is over.
func (b *Book) BackUpNightly(ctx context.Context) error {
	b.backing.Lock()
	defer b.backing.Unlock()
	all, err := b.store.Backups(b.now().Location())
	if err == nil && nightDue(all, b.now()) {
		_, err = b.backUp(ctx)
	}
	trouble := ""
	if err != nil {
		trouble = store.InOwnWords(err).Error()
	}
	b.backing.trouble.Store(trouble)
	return err
}

func (b *Book) backUp(ctx context.Context) (made store.KeptBackup, err error) {
	if err := b.store.DropUnfinished(); err != nil {
		return made, err
	}
	if made, err = b.store.MakeBackup(ctx, b.now()); err != nil {
		return made, err
	}
	all, err := b.store.Backups(b.now().Location())
	if err != nil {
		return made, err
	}
	for _, k := range outlived(all, b.Today()) {
		if k.Name == made.Name { // a clock that was put back says that it is old
			continue
		}
		if err := b.store.DropBackup(k); err != nil {
			return made, err
		}
	}
	return made, nil
}

// SoundBackup is the path of a backup of that name that can be put in the book's place; store.ErrNotFound
// when there is none.
func (b *Book) SoundBackup(ctx context.Context, name string) (string, error) {
	all, err := b.store.Backups(b.now().Location())
	if err != nil {
		return "", err
	}
	at := slices.IndexFunc(all, func(k store.KeptBackup) bool { return k.Name == name })
	if at < 0 {
		return "", store.ErrNotFound
	}
	return b.store.SoundBackup(ctx, all[at])
}

// nightDue tells whether a day's backup is still to be made.
func nightDue(all []store.KeptBackup, now time.Time) bool {
	made := slices.ContainsFunc(
		all,
		func(k store.KeptBackup) bool { return !k.Replaced && date.Of(k.At) == date.Of(now) },
	)
	first := !slices.ContainsFunc(all, func(k store.KeptBackup) bool { return !k.Replaced })
	return first || !made && now.Hour() >= nightHour
}

// Backups are kept of the seven last days that have one, all of them; then the last of each week, for four weeks. What
// a restore replaced stays: nobody asked for it to go.
const (
	daysKept  = 7
	weeksKept = 4
)

// outlived are the backups that are kept no longer. It counts days that have backups, not days of the clock: one that
// jumped ahead for a night makes nothing old. What was made by a clock that was ahead of today waits for that day.
func outlived(all []store.KeptBackup, today date.Date) []store.KeptBackup {
	newest := slices.SortedFunc(slices.Values(all), func(a, b store.KeptBackup) int { return b.At.Compare(a.At) })
	days, weeks := map[date.Date]bool{}, map[[2]int]bool{}
	return slices.DeleteFunc(newest, func(k store.KeptBackup) bool {
		day := date.Of(k.At)
		if k.Replaced || day.After(today) || days[day] {
			return true
		}
		if len(days) < daysKept {
			days[day] = true
			return true
		}
		year, week := k.At.ISOWeek()
		if weeks[[2]int{year, week}] || len(weeks) == weeksKept {
			return false
		}
		weeks[[2]int{year, week}] = true
		return true
	})
}
