package access

import (
	"crypto/tls"
	"crypto/x509"
	"io"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The certificate is for this machine's names, signed by a root that stays, and made anew before it ends.
func TestTheOwnCertificate(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	now := time.Now()
	clock := func() time.Time { return now }
	c, err := OwnCertificate(path, nil, clock)
	require.NoError(t, err)
	first := c.Fingerprint()
	assert.Regexp(t, `^([0-9A-F]{2}:){31}[0-9A-F]{2}$`, first)
	for _, file := range []string{".root.key", ".certificate.key"} {
		info, err := os.Stat(path + file)
		require.NoError(t, err)
		assert.Equal(t, os.FileMode(0o600), info.Mode().Perm())
	}
	trusted := x509.NewCertPool()
	require.True(t, trusted.AppendCertsFromPEM(c.Root()))
	verify := func() error {
		leaf, err := c.current()
		require.NoError(t, err)
		_, err = leaf.Leaf.Verify(x509.VerifyOptions{Roots: trusted, DNSName: "localhost", CurrentTime: now})
		return err
	}
	require.NoError(t, verify())
	again, err := OwnCertificate(path, nil, clock)
	require.NoError(t, err)
	assert.Equal(t, first, again.Fingerprint(), "it stays")
	now = now.AddDate(0, 0, leafDays+3) // it ended while the machine was off
	assert.NotEqual(t, first, c.Fingerprint())
	require.NoError(t, verify(), "a device that trusts the root trusts the new one")
	require.NoError(t, os.WriteFile(path+".root.pem", []byte("no certificate"), 0o600))
	_, err = OwnCertificate(path, nil, clock)
	require.ErrorContains(t, err, "Remove it and its key")
}

// TLS and plain HTTP come to one port.
func TestOnePortSpeaksBoth(t *testing.T) {
	c, err := OwnCertificate(filepath.Join(t.TempDir(), "book.db"), nil, time.Now)
	require.NoError(t, err)
	on, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	server := &http.Server{
		ReadHeaderTimeout: time.Second,
		Handler: http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			if r.TLS != nil {
				_, _ = io.WriteString(w, "sealed")
			}
		}),
	}
	served := make(chan error, 1)
	go func() { served <- server.Serve(Listen(on, c.TLS())) }()
	trusted := x509.NewCertPool()
	trusted.AppendCertsFromPEM(c.Root())
	client := &http.Client{
		Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusted, MinVersion: tls.VersionTLS12}},
	}
	silent, err := net.Dial("tcp", on.Addr().String()) // and keeps nobody waiting
	require.NoError(t, err)
	for address, want := range map[string]string{"https://" + on.Addr().String(): "sealed", "http://" + on.Addr().String(): ""} {
		answer, err := client.Get(address)
		require.NoError(t, err)
		text, err := io.ReadAll(answer.Body)
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
		assert.Equal(t, want, string(text))
	}
	require.NoError(t, silent.Close())
	require.NoError(t, server.Close())
	require.ErrorIs(t, <-served, http.ErrServerClosed)
}
