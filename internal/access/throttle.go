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
	freeTries = 5
	firstWait = 2 * time.Second
	longest   = 15 * time.Minute
	forgotten = 24 * time.Hour // after which an address begins anew
	allEvery  = 3 * time.Second
	allAtOnce = 20 // from all addresses together
	mostKnown = 10_000
)

// throttle makes guessing slow, for each address and for all together. Tries outlive the program: keep writes them
// down.
type throttle struct {
	sync.Mutex
	now   func() time.Time
	tries map[string]*tries
	all   *rate.Limiter
	keep  func(address string, t *tries) // nil for one that is forgotten
}

type tries struct {
	wrong int
	last  time.Time
	until time.Time
}

func newThrottle(now func() time.Time) *throttle {
	return &throttle{
		now:   now,
		tries: map[string]*tries{},
		all:   rate.NewLimiter(rate.Every(allEvery), allAtOnce),
		keep:  func(string, *tries) {},
	}
}

// begin is how long an address must wait before it may try; zero when it may now, and then it has: a try counts as
// wrong before anybody looks at it, so that many at once are as many. What nobody can guess counts for its address
// alone, so that one who guesses keeps no other from being let in by a code.
func (t *throttle) begin(address string, guessable bool) time.Duration {
	t.Lock()
	defer t.Unlock()
	now := t.now()
	known := t.tries[address]
	if known != nil && now.Before(known.until) {
		return known.until.Sub(now)
	}
	if guessable && !t.all.AllowN(now, 1) {
		return allEvery
	}
	t.forget(now)
	if known == nil || now.Sub(known.last) > forgotten {
		known = &tries{}
		t.tries[address] = known
	}
	known.wrong++
	known.last = now
	if over := known.wrong - freeTries; over >= 0 {
		known.until = now.Add(min(longest, firstWait<<min(over, 20)))
	}
	t.keep(address, known)
	return 0
}

// forget makes room where too many addresses are known.
func (t *throttle) forget(now time.Time) {
	if len(t.tries) < mostKnown {
		return
	}
	for a, known := range t.tries {
		if now.Sub(known.last) > forgotten || now.After(known.until) {
			delete(t.tries, a)
			t.keep(a, nil)
		}
	}
}

// of is how many tries of an address were wrong.
func (t *throttle) of(address string) int {
	t.Lock()
	defer t.Unlock()
	if known := t.tries[address]; known != nil {
		return known.wrong
	}
	return 0
}

// right forgets an address's tries: one of them was right.
func (t *throttle) right(address string) {
	t.Lock()
	defer t.Unlock()
	delete(t.tries, address)
	t.keep(address, nil)
}

// seconds is a wait for Retry-After, never less than one.
func seconds(wait time.Duration) string {
	return strconv.Itoa(max(1, int(math.Ceil(wait.Seconds()))))
}
