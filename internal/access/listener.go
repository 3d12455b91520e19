package access

import (
	"bufio"
	"crypto/tls"
	"errors"
	"net"
	"time"
)

// Listen answers TLS and plain HTTP at one address, told apart by a connection's first byte, so that this
// machine's own browser goes on as before and whoever comes plainly from elsewhere is told where to go.
func Listen(on net.Listener, certificate *tls.Config) net.Listener {
	l := &listener{
		Listener: on,
		tls:      certificate,
		ready:    make(chan net.Conn),
		failed:   make(chan error, 1),
		closed:   make(chan struct{}),
	}
	go l.accept()
	return l
}

type listener struct {
	net.Listener
	step   Doorstep // connections whose first byte has not come
	tls    *tls.Config
	ready  chan net.Conn
	failed chan error
	closed chan struct{}
}

// firstByte is how long a connection may keep its first byte to itself.
const firstByte = 10 * time.Second

func (l *listener) accept() {
	wait := shortest
	for {
		conn, err := l.Listener.Accept()
		var passing interface{ Temporary() bool }
		if errors.As(err, &passing) && passing.Temporary() { // out of file descriptors, say: others will go
			time.Sleep(wait)
			wait = min(2*wait, time.Second)
			continue
		}
		if err != nil {
			l.failed <- err
			close(l.closed)
			return
		}
		wait = shortest
		from := hostOf(conn.RemoteAddr().String())
		l.step.comes(from, conn)
		go func() {
			defer l.step.goes(from, conn)
			l.look(conn)
		}()
	}
}

// shortest is how long accepting pauses after a failure that passes; then twice as long each time.
const shortest = 5 * time.Millisecond

// look waits for the first byte: 22 begins a TLS handshake (RFC 8446, 5.1).
func (l *listener) look(conn net.Conn) {
	begun := &peeked{conn, bufio.NewReaderSize(conn, 1)}
	_ = conn.SetReadDeadline(time.Now().Add(firstByte))
	first, err := begun.reader.Peek(1)
	_ = conn.SetReadDeadline(time.Time{})
	if err != nil {
		_ = conn.Close()
		return
	}
	conn = begun
	if first[0] == 22 {
		conn = tls.Server(conn, l.tls)
	}
	select {
	case l.ready <- conn:
	case <-l.closed:
		_ = conn.Close()
	}
}

func (l *listener) Accept() (net.Conn, error) {
	select {
	case conn := <-l.ready:
		return conn, nil
	case err := <-l.failed:
		l.failed <- err
		return nil, err
	}
}

// peeked is a connection whose first byte was looked at.
type peeked struct {
	net.Conn
	reader *bufio.Reader
}

func (p *peeked) Read(into []byte) (int, error) { return p.reader.Read(into) }
