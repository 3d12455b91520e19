package access

import (
	"bufio"
	"crypto/tls"
	"net"
	"time"
)

// Listen answers TLS and plain HTTP at one address, told apart by a connection's first byte, so that this
// machine's own browser goes on as before and whoever comes plainly from elsewhere is told where to go.
func Listen(on net.Listener, certificate *tls.Config) net.Listener {
	l := &listener{Listener: on, tls: certificate, ready: make(chan net.Conn), failed: make(chan error, 1), closed: make(chan struct{})}
	go l.accept()
	return l
}

type listener struct {
	net.Listener
	tls    *tls.Config
	ready  chan net.Conn
	failed chan error
	closed chan struct{}
}

// firstByte is how long a connection may keep its first byte to itself.
const firstByte = 10 * time.Second

func (l *listener) accept() {
	for {
		conn, err := l.Listener.Accept()
		if err != nil {
			l.failed <- err
			close(l.closed)
			return
		}
		go l.look(conn)
	}
}

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
