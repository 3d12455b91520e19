// Package standin holds small simulated devices that ship with the program, so that it can be
// tried and tested without the real ones.
package standin

import (
	"fmt"
	"sync"
)

// Caliper is a simulated caliper. Its button sends lines of text, as a real one's link does.
type Caliper struct {
	mu    sync.Mutex
	links map[chan []byte]struct{}
}

// Link connects to the caliper: bytes come on the channel until unlink is called or the
// caliper is unplugged, which closes it.
func (c *Caliper) Link() (bytes <-chan []byte, unlink func()) {
	c.mu.Lock()
	defer c.mu.Unlock()
	link := make(chan []byte, 16)
	if c.links == nil {
		c.links = map[chan []byte]struct{}{}
	}
	c.links[link] = struct{}{}
	return link, func() {
		c.mu.Lock()
		defer c.mu.Unlock()
		if _, there := c.links[link]; there {
			delete(c.links, link)
			close(link)
		}
	}
}

// Send presses the button with the jaw open by mm.
func (c *Caliper) Send(mm float64) { c.write(fmt.Sprintf("%+07.2f mm\r\n", mm)) }

// Garble sends what a loose plug makes of a reading.
func (c *Caliper) Garble() { c.write("#?\x00~\xff.!\r\n") }

// Half sends the beginning of a reading and then nothing more.
func (c *Caliper) Half(mm float64) { c.write(fmt.Sprintf("%+07.2f", mm)[:4]) }

// Unplug breaks every link.
func (c *Caliper) Unplug() {
	c.mu.Lock()
	defer c.mu.Unlock()
	for link := range c.links {
		delete(c.links, link)
		close(link)
	}
}

func (c *Caliper) write(text string) {
	c.mu.Lock()
	defer c.mu.Unlock()
	for link := range c.links {
		select {
		case link <- []byte(text):
		default: // a reader that does not keep up loses readings, as on a real wire
		}
	}
}
