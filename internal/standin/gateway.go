package standin

import (
	"bufio"
	"encoding/json"
	"errors"
	"fmt"
	"fribbet/internal/core/round"
	"math/rand/v2"
	"os"
	"sync"
	"time"
)

// Gateway is a simulated message service, with a memory of its own that outlives whoever uses it: it takes a
// message by its id once, delivers it some seconds later, fails now and then, even after it has taken one, and
// owners answer.
type Gateway struct {
	Delay time.Duration // until a message is delivered
	now   func() time.Time

	mu      sync.Mutex
	file    *os.File
	sent    []Sent
	at      map[string]int // in sent
	reports []round.Report
}

// Sent is a message that the service has taken.
type Sent struct {
	ID   string    `json:"id"`
	To   string    `json:"to"`
	Text string    `json:"text"`
	At   time.Time `json:"at"`
}

// line is one of the service's memory.
type line struct {
	Sent   *Sent         `json:"sent,omitempty"`
	Report *round.Report `json:"report,omitempty"`
}

// ErrTrouble is what the service says when it fails.
var ErrTrouble = errors.New("the message service does not answer")

// OpenGateway reads the service's memory, or begins one.
func OpenGateway(path string, now func() time.Time) (*Gateway, error) {
	file, err := os.OpenFile(path, os.O_RDWR|os.O_CREATE|os.O_APPEND, 0o600)
	if err != nil {
		return nil, err
	}
	g := &Gateway{Delay: 4 * time.Second, now: now, file: file, at: map[string]int{}}
	whole, read := int64(0), bufio.NewReader(file)
	for {
		text, err := read.ReadBytes('\n')
		if err != nil { // the end, or a line that a kill cut short: it was never said to be taken
			return g, file.Truncate(whole)
		}
		var l line
		if err := json.Unmarshal(text, &l); err != nil {
			return nil, errors.Join(fmt.Errorf("%s is no memory of the message service: %w", path, err), file.Close())
		}
		g.remember(l)
		whole += int64(len(text))
	}
}

// Close ends it.
func (g *Gateway) Close() error { return g.file.Close() }

func (g *Gateway) remember(l line) {
	if l.Sent != nil {
		g.at[l.Sent.ID] = len(g.sent)
		g.sent = append(g.sent, *l.Sent)
	}
	if l.Report != nil {
		g.reports = append(g.reports, *l.Report)
	}
}

func (g *Gateway) keep(l line) error {
	text, err := json.Marshal(l)
	if err == nil {
		_, err = g.file.Write(append(text, '\n'))
	}
	if err == nil {
		err = g.file.Sync()
	}
	if err == nil {
		g.remember(l)
	}
	return err
}

// Send takes a message. One of an id that it has taken already it does not take again. One try in six fails: half of
// those after the message was taken.
func (g *Gateway) Send(id, to, text string) error {
	g.mu.Lock()
	defer g.mu.Unlock()
	chance := rand.IntN(12)
	if chance == 0 {
		return ErrTrouble
	}
	if _, taken := g.at[id]; !taken {
		if err := g.keep(line{Sent: &Sent{id, to, text, g.now()}}); err != nil {
			return err
		}
	}
	if chance == 1 {
		return ErrTrouble
	}
	return nil
}

// Answer is an owner's answer to a message that was delivered.
func (g *Gateway) Answer(id, text string) error {
	g.mu.Lock()
	defer g.mu.Unlock()
	if _, taken := g.at[id]; !taken {
		return errors.New("no such message was sent")
	}
	return g.keep(line{Report: &round.Report{Number: len(g.reports) + 1, ID: id, Answer: text}})
}

// Reports are what it has to say since a number.
func (g *Gateway) Reports(since int) ([]round.Report, error) {
	g.mu.Lock()
	defer g.mu.Unlock()
	told := map[string]bool{}
	for _, r := range g.reports {
		told[r.ID] = told[r.ID] || r.Answer == ""
	}
	for _, s := range g.sent {
		if !told[s.ID] && g.now().Sub(s.At) >= g.Delay {
			if err := g.keep(line{Report: &round.Report{Number: len(g.reports) + 1, ID: s.ID}}); err != nil {
				return nil, err
			}
		}
	}
	since = min(max(0, since), len(g.reports))
	return append([]round.Report{}, g.reports[since:]...), nil
}

// Taken are the messages that it has taken, the first first, with what was answered.
func (g *Gateway) Taken() (taken []round.Taken) {
	g.mu.Lock()
	defer g.mu.Unlock()
	answers := map[string][]string{}
	for _, r := range g.reports {
		if r.Answer != "" {
			answers[r.ID] = append(answers[r.ID], r.Answer)
		}
	}
	for _, s := range g.sent {
		taken = append(taken, round.Taken{ID: s.ID, To: s.To, Text: s.Text, At: s.At, Answers: answers[s.ID]})
	}
	return taken
}
