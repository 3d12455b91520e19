package main

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"slices"
	"sync"
	"time"

	"github.com/google/uuid"
	_ "modernc.org/sqlite" // the bare commit
)

// kinds are what a client does, and how often of a hundred.
var kinds = []struct {
	name  string
	often int
}{
	{"a tap at the bench", 50}, {"Due, first page", 20}, {"Due, a search", 8}, {"a dog", 10}, {"a plan", 6},
	{"the kit", 2}, {"ladders", 1}, {"a day of the round", 1}, {"whom to call", 1}, {"the calendar", 1},
}

// times is how long something took, each time.
type times []time.Duration

// at is a quantile, ms.
func (t times) at(q float64) float64 {
	if len(t) == 0 {
		return 0
	}
	return float64(t[min(len(t)-1, int(q*float64(len(t))))].Microseconds()) / 1000
}

func (t times) String() string {
	return fmt.Sprintf("%7d %9.1f %9.1f %9.1f", len(t), t.at(0.5), t.at(0.99), t.at(1))
}

// measure lets clients work without pause, and a bare commit be made ten times a second beside them.
func measure(
	ctx context.Context,
	s *server,
	bareFile string,
	clients int,
	lasts time.Duration,
) (bare times, took map[string]times, err error) {
	ending, end := context.WithTimeout(ctx, lasts)
	defer end()
	took = map[string]times{}
	var mu sync.Mutex
	var all sync.WaitGroup
	failed := make(chan error, clients+1)
	for range clients {
		all.Go(func() {
			c := &client{s: s}
			for ending.Err() == nil {
				name := pick()
				from := time.Now()
				if err := c.do(ctx, name); err != nil {
					failed <- fmt.Errorf("%s: %w", name, err)
					end()
					return
				}
				mu.Lock()
				took[name] = append(took[name], time.Since(from))
				mu.Unlock()
			}
		})
	}
	all.Go(func() {
		if bare, err = commits(ending, bareFile); err != nil {
			failed <- err
		}
	})
	all.Wait()
	select {
	case err := <-failed:
		return nil, nil, err
	default:
	}
	slices.Sort(bare)
	for _, t := range took {
		slices.Sort(t)
	}
	return bare, took, nil
}

func pick() string {
	n := rand.IntN(100)
	for _, k := range kinds {
		if n -= k.often; n < 0 {
			return k.name
		}
	}
	return kinds[0].name
}

// commits makes a bare commit of one row ten times a second, as durable as the book's.
func commits(ctx context.Context, file string) (times, error) {
	db, err := sql.Open("sqlite", "file:"+file+"?_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)")
	if err != nil {
		return nil, err
	}
	defer db.Close() //nolint:errcheck // throw-away
	if _, err := db.ExecContext(ctx, `CREATE TABLE IF NOT EXISTS one (n INTEGER)`); err != nil {
		return nil, err
	}
	var took times
	for tick := time.NewTicker(100 * time.Millisecond); ; {
		select {
		case <-ctx.Done():
			tick.Stop()
			return took, nil
		case <-tick.C:
		}
		from := time.Now()
		if _, err := db.ExecContext(ctx, `INSERT INTO one VALUES (1)`); ctx.Err() != nil {
			return took, nil
		} else if err != nil {
			return nil, err
		}
		took = append(took, time.Since(from))
	}
}

// client is one person at work: a dog at the bench, and looks at others between.
type client struct {
	s        *server
	dogs     []string
	dog      string
	sitting  string
	calendar string
	taps     int
	last     string // cut, whose face is told next
}

// perSitting is after how many taps the next dog comes.
const perSitting = 60

func (c *client) do(ctx context.Context, name string) error {
	if len(c.dogs) == 0 {
		if err := c.look(ctx); err != nil {
			return err
		}
	}
	dog := c.dogs[rand.IntN(len(c.dogs))]
	switch name {
	case "a tap at the bench":
		return c.tap(ctx)
	case "Due, first page":
		return c.get(ctx, "/api/due")
	case "Due, a search":
		return c.get(ctx, fmt.Sprintf("/api/due?search=dog%%20%d", rand.IntN(200)))
	case "a dog":
		return c.get(ctx, "/api/dogs/"+dog)
	case "a plan":
		return c.get(ctx, "/api/dogs/"+dog+"/plan")
	case "the kit":
		return c.get(ctx, "/api/kit")
	case "a day of the round":
		return c.get(ctx, "/api/round/days/"+today)
	case "whom to call":
		return c.get(ctx, "/api/round/calls")
	case "ladders":
		return c.get(ctx, "/api/ladders")
	default:
		return c.get(ctx, c.calendar)
	}
}

func (c *client) get(ctx context.Context, path string) error {
	status, text, err := c.s.ask(ctx, http.MethodGet, path, nil)
	if err == nil && status != http.StatusOK {
		err = fmt.Errorf("%s answered %d: %.200s", path, status, text)
	}
	return err
}

// look finds the calendar’s address, and dogs to work with, each client others.
func (c *client) look(ctx context.Context) error {
	_, feed, err := c.s.ask(ctx, http.MethodGet, "/api/calendar", nil)
	if err != nil {
		return err
	}
	var calendar struct{ Path string }
	if err := json.Unmarshal(feed, &calendar); err != nil {
		return err
	}
	c.calendar = calendar.Path
	_, text, err := c.s.ask(ctx, http.MethodGet, fmt.Sprintf("/api/due?limit=100&offset=%d", 100*rand.IntN(18)), nil)
	if err != nil {
		return err
	}
	var list struct {
		Dogs []struct {
			ID   string `json:"dog_id"`
			Task string
		}
	}
	if err := json.Unmarshal(text, &list); err != nil {
		return err
	}
	rand.Shuffle(len(list.Dogs), func(i, j int) { list.Dogs[i], list.Dogs[j] = list.Dogs[j], list.Dogs[i] })
	for _, d := range list.Dogs {
		c.dogs = append(c.dogs, d.ID)
	}
	return nil
}

// tap is one event of a sitting and the bench's new answer: a cut, then what it showed, nail after nail.
func (c *client) tap(ctx context.Context) error {
	event := map[string]any{"id": uuid.NewString(), "at": today + "T09:00:00Z"}
	switch {
	case c.taps == perSitting:
		event["kind"] = "ended"
	case c.sitting == "" || c.taps > perSitting:
		c.dog, c.sitting, c.taps, c.last = c.dogs[0], uuid.NewString(), 0, ""
		c.dogs = c.dogs[1:] // nobody is trimmed twice a day
		event["kind"], event["tool"] = "started", "large_plier"
	case c.last != "":
		event["kind"], event["nail"], event["face"], event["of"] = "face", c.nail(), "grey", c.last
		c.last = ""
	default:
		event["kind"], event["nail"], event["mm"] = "cut", c.nail(), 0.5
		c.last = event["id"].(string)
	}
	c.taps++
	status, text, err := c.s.ask(
		ctx,
		http.MethodPost,
		"/api/dogs/"+c.dog+"/sittings/"+c.sitting+"/events",
		map[string]any{"events": []any{event}},
	)
	if err != nil {
		return err
	}
	if status == http.StatusUnprocessableEntity { // such as a nail that this dog does not have
		c.sitting = ""
		return nil
	}
	if status != http.StatusOK {
		return fmt.Errorf("answered %d: %.200s", status, text)
	}
	return nil
}

var toes = []string{
	"LH2",
	"LH3",
	"LH4",
	"LH5",
	"RH2",
	"RH3",
	"RH4",
	"RH5",
	"LF2",
	"LF3",
	"LF4",
	"LF5",
	"RF2",
	"RF3",
	"RF4",
	"RF5",
}

func (c *client) nail() string { return toes[c.taps/4%len(toes)] }
