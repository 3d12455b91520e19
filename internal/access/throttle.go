package access

import (
	"math"
	"strconv"
	"sync"
	"time"

	"golang.org/x/time/rate"
)

// Judgement (ours): five tries without waiting; then each waits twice as long as the one before.
const (
	freeTries  = 5
	firstWait  = 2 * time.Second
	longest    = 15 * time.Minute
	forgotten  = 24 * time.Hour // after which an address begins anew
	allEvery   = 3 * time.Second
	allAtOnce  = 20 // from all addresses together
	mostKnown  = 10_000
	usualReply = "Wait a moment, then try again."
)

// throttle makes guessing slow, for each address and for all together.
type throttle struct {
	sync.Mutex
	now   func() time.Time
	tries map[string]*tries
	all   *rate.Limiter
}

type tries struct {
	wrong int
	last  time.Time
	until time.Time
}

func newThrottle(now func() time.Time) *throttle {
	return &throttle{now: now, tries: map[string]*tries{}, all: rate.NewLimiter(rate.Every(allEvery), allAtOnce)}
}

// wait is how long an address must wait before it may try; zero when it may now, and then it has. What nobody
// can guess counts for its address alone, so that one who guesses keeps no other from being let in by a code.
func (t *throttle) wait(address string, guessable bool) time.Duration {
	t.Lock()
	defer t.Unlock()
	now := t.now()
	if known := t.tries[address]; known != nil && now.Before(known.until) {
		return known.until.Sub(now)
	}
	if guessable && !t.all.AllowN(now, 1) {
		return allEvery
	}
	return 0
}

// wrong notes a wrong try, and right that it is forgotten.
func (t *throttle) wrong(address string) int {
	t.Lock()
	defer t.Unlock()
	now := t.now()
	if len(t.tries) >= mostKnown {
		for a, known := range t.tries {
			if now.Sub(known.last) > forgotten || now.After(known.until) {
				delete(t.tries, a)
			}
		}
	}
	known := t.tries[address]
	if known == nil || now.Sub(known.last) > forgotten {
		known = &tries{}
		t.tries[address] = known
	}
	known.wrong++
	known.last = now
	if over := known.wrong - freeTries; over >= 0 {
		known.until = now.Add(min(longest, firstWait<<min(over, 20)))
	}
	return known.wrong
}

func (t *throttle) right(address string) {
	t.Lock()
	defer t.Unlock()
	delete(t.tries, address)
}

// seconds is a wait for Retry-After, never less than one.
func seconds(wait time.Duration) string {
	return strconv.Itoa(max(1, int(math.Ceil(wait.Seconds()))))
}
