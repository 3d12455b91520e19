package book

import (
	"context"
	"sync"

	"github.com/google/uuid"
)

// watches are those who want to hear when something is told of a sitting.
type watches struct {
	sync.Mutex
	of map[uuid.UUID]map[chan struct{}]bool
}

// Watch hears of every change of a sitting until ctx ends; several at once may come as one.
func (b *Book) Watch(ctx context.Context, sittingID uuid.UUID) <-chan struct{} {
	w := &b.watches
	hears := make(chan struct{}, 1)
	w.Lock()
	defer w.Unlock()
	if w.of == nil {
		w.of = map[uuid.UUID]map[chan struct{}]bool{}
	}
	if w.of[sittingID] == nil {
		w.of[sittingID] = map[chan struct{}]bool{}
	}
	w.of[sittingID][hears] = true
	context.AfterFunc(ctx, func() {
		w.Lock()
		defer w.Unlock()
		if delete(w.of[sittingID], hears); len(w.of[sittingID]) == 0 {
			delete(w.of, sittingID)
		}
	})
	return hears
}

// changed tells whoever watches a sitting.
func (b *Book) changed(sittingID uuid.UUID) {
	b.watches.Lock()
	defer b.watches.Unlock()
	for hears := range b.watches.of[sittingID] {
		select {
		case hears <- struct{}{}:
		default: // it has not looked yet at what came before
		}
	}
}
