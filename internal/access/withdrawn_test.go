package access

import (
	"context"
	"crypto/tls"
	"crypto/x509"
	"net"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A withdrawn device hears nothing more, not on a stream that is open either, and its browser drops what it kept; one
// whose ninety days are over keeps its taps.
func TestAWithdrawnDeviceDropsAllItKept(t *testing.T) {
	d := newDoor(t)
	cookie := cookieOf(t, d.login(passphrase, ""))
	old := cookieOf(t, d.login(passphrase, ""))
	all, err := d.gate.Access.Devices(t.Context())
	require.NoError(t, err)
	inside, ended := make(chan bool), make(chan bool)
	d.gate.Inside = http.HandlerFunc(func(_ http.ResponseWriter, r *http.Request) {
		inside <- true
		<-r.Context().Done()
		close(ended)
	})
	go d.does(call{path: "/api/dogs/x/sittings/y/changes", cookie: cookie})
	<-inside
	for _, one := range all {
		require.NoError(t, d.gate.Access.Withdraw(t.Context(), one.ID))
	}
	select {
	case <-ended:
	case <-time.After(time.Second):
		t.Fatal("its stream goes on")
	}
	got := d.does(call{path: "/api/due", cookie: cookie})
	assert.Equal(t, 401, got.Code)
	assert.NotEmpty(t, got.Header().Get("Fribbet-Withdrawn"), "the page drops what it has, and comes to the door")
	assert.Empty(t, got.Body.String())
	for _, door := range []string{"/access/login", "/"} {
		assert.Equal(
			t,
			`"cache", "cookies", "storage"`,
			d.does(call{path: door, cookie: cookie, html: true}).Header().Get("Clear-Site-Data"),
			door,
		)
	}
	d.now = d.now.AddDate(0, 0, 91)
	assert.Empty(t, d.does(call{path: "/", cookie: old, html: true}).Header().Get("Clear-Site-Data"))
}

// From this machine itself, by a name that somebody else answers for: that name could be pointed here. It is asked for
// the passphrase as any other.
func TestOnlyThisMachinesOwnAddressesAreItsOwn(t *testing.T) {
	d := newDoor(t)
	for host, status := range map[string]int{"127.0.0.1:1": 200, "[::1]:1": 200, "localhost:1": 200, "dogs.example:1": 426, "127.9.9.9:1": 403, "evil.example:1": 403} {
		assert.Equal(t, status, d.does(call{path: "/api/due", from: "127.0.0.1:7", host: host, plain: true}).Code, host)
	}
	assert.Equal(
		t,
		401,
		d.does(call{path: "/api/due", from: "127.0.0.1:7", host: "Dogs.Example:1"}).Code,
		"whatever its case",
	)
}

// Forty at once from one address are as many tries: five are looked at. So it is after a restart.
func TestTriesAreCountedBeforeTheyAreLookedAt(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	now := time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)
	open := func() *Access {
		a, err := Open(path, func() time.Time { return now })
		require.NoError(t, err)
		return a
	}
	a := open()
	var lookedAt atomic.Int32
	var all sync.WaitGroup
	for range 40 {
		all.Go(func() {
			if a.throttle.begin("192.168.1.5", true) == 0 {
				lookedAt.Add(1)
			}
		})
	}
	all.Wait()
	assert.EqualValues(t, freeTries, lookedAt.Load())
	require.NoError(t, a.Close())
	a = open()
	assert.Positive(t, a.throttle.begin("192.168.1.5", true), "it waits still")
	a.throttle.right("192.168.1.5")
	require.NoError(t, a.Close())
	a = open()
	assert.Zero(t, a.throttle.begin("192.168.1.5", true))
	require.NoError(t, a.Close())
}

// The certificate names what was told by --name, whatever its case, and is signed anew by the same root when that
// changes; the root signs for the house alone.
func TestTheCertificateNamesWhatWasTold(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	before, err := OwnCertificate(path, []string{"Fribbet.Lan"}, time.Now)
	require.NoError(t, err)
	leaf := before.leaf.Leaf
	assert.NoError(t, leaf.VerifyHostname("fribbet.lan"))
	after, err := OwnCertificate(path, []string{"fribbet.lan", "table.home.arpa"}, time.Now)
	require.NoError(t, err)
	assert.Equal(t, before.Root(), after.Root(), "nobody trusts anew")
	assert.NoError(t, after.leaf.Leaf.VerifyHostname("table.home.arpa"))

	trusted := x509.NewCertPool()
	require.True(t, trusted.AppendCertsFromPEM(after.Root()))
	_, err = after.leaf.Leaf.Verify(x509.VerifyOptions{Roots: trusted, DNSName: "fribbet.lan"})
	require.NoError(t, err)
	rootKey, err := after.readRoot()
	require.NoError(t, err)
	posing := filepath.Join(t.TempDir(), "posing")
	for _, forged := range []*x509.Certificate{
		{SerialNumber: serial(), NotBefore: time.Now().Add(-time.Hour), NotAfter: time.Now().Add(time.Hour), DNSNames: []string{"bank.example"}},
		{SerialNumber: serial(), NotBefore: time.Now().Add(-time.Hour), NotAfter: time.Now().Add(time.Hour),
			IPAddresses: []net.IP{net.IPv4(8, 8, 8, 8)}},
	} {
		require.NoError(
			t,
			write(posing+".pem", posing+".key", forged, after.root, &rootKey.PublicKey, rootKey, rootKey),
		)
		pair, err := tls.LoadX509KeyPair(posing+".pem", posing+".key")
		require.NoError(t, err)
		_, err = pair.Leaf.Verify(x509.VerifyOptions{Roots: trusted})
		assert.Error(t, err, "%v", forged.DNSNames)
	}
	other, err := OwnCertificate(path, []string{"dogs.example.org"}, time.Now)
	require.NoError(t, err)
	assert.NotEqual(t, before.Root(), other.Root(), "a name of the world needs a root that says so")
	assert.NoError(t, other.leaf.Leaf.VerifyHostname("dogs.example.org"))
}

// Accepting goes on after what passes, such as having no file descriptor left.
func TestAcceptingGoesOn(t *testing.T) {
	on, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	certificate, err := OwnCertificate(filepath.Join(t.TempDir(), "book.db"), nil, time.Now)
	require.NoError(t, err)
	server := httptest.NewUnstartedServer(
		http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { w.WriteHeader(http.StatusNoContent) }),
	)
	require.NoError(t, server.Listener.Close())
	server.Listener = Listen(&failing{Listener: on}, certificate.TLS())
	server.Start()
	defer server.Close()
	ctx, cancel := context.WithTimeout(t.Context(), 5*time.Second)
	defer cancel()
	r, err := http.NewRequestWithContext(ctx, http.MethodGet, "http://"+on.Addr().String(), nil)
	require.NoError(t, err)
	got, err := http.DefaultClient.Do(r)
	require.NoError(t, err)
	assert.Equal(t, http.StatusNoContent, got.StatusCode)
	require.NoError(t, got.Body.Close())
}

// failing is a listener that fails three times first, as one out of file descriptors does.
type failing struct {
	net.Listener
	times int
}

type passing struct{ error }

func (passing) Temporary() bool { return true }

func (f *failing) Accept() (net.Conn, error) {
	if f.times++; f.times <= 3 {
		return nil, passing{net.ErrClosed}
	}
	return f.Listener.Accept()
}
