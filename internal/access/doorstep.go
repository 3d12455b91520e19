package access

import (
	"net"
	"net/http"
	"slices"
	"sync"
)

// mostWaiting is how many connections of one address may stand there without a request: a browser opens six.
const mostWaiting = 32

// Doorstep knows the connections that have not asked for anything yet, by address. Where they are too many the one
// that has said nothing for longest goes: whoever opens hundreds takes nobody's place, nor that of who asks.
type Doorstep struct {
	mutex   sync.Mutex
	waiting map[string][]net.Conn // the first that came first
}

// State is told of every connection by the server.
func (d *Doorstep) State(conn net.Conn, state http.ConnState) {
	switch from := hostOf(conn.RemoteAddr().String()); state {
	case http.StateNew:
		d.comes(from, conn)
	case http.StateActive, http.StateClosed, http.StateHijacked:
		d.goes(from, conn)
	case http.StateIdle:
	}
}

func (d *Doorstep) comes(from string, conn net.Conn) {
	d.mutex.Lock()
	defer d.mutex.Unlock()
	if d.waiting == nil {
		d.waiting = map[string][]net.Conn{}
	}
	all := append(d.waiting[from], conn)
	if len(all) > mostWaiting {
		_ = all[0].Close()
		all = slices.Delete(all, 0, 1)
	}
	d.waiting[from] = all
}

func (d *Doorstep) goes(from string, conn net.Conn) {
	d.mutex.Lock()
	defer d.mutex.Unlock()
	all := slices.DeleteFunc(d.waiting[from], func(c net.Conn) bool { return c == conn })
	if d.waiting[from] = all; len(all) == 0 {
		delete(d.waiting, from)
	}
}
