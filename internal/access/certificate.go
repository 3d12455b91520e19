package access

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/sha256"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"errors"
	"fmt"
	"io/fs"
	"log/slog"
	"math/big"
	"net"
	"os"
	"slices"
	"strings"
	"sync"
	"time"
)

// Certificate is the program's own: a root that a device may be told to trust, and what it has signed for
// this machine's names; both are kept beside the book, and the second is made anew before it ends.
type Certificate struct {
	sync.Mutex
	path string   // of the book
	told []string // names besides this machine's own
	now  func() time.Time
	leaf *tls.Certificate
	root *x509.Certificate
}

const (
	rootYears = 10
	leafDays  = 365
	renewDays = 30 // before its end
)

// OwnCertificate reads the certificate beside a book, making it as needed.
// told are names besides this machine's own.
func OwnCertificate(path string, told []string, now func() time.Time) (*Certificate, error) {
	c := &Certificate{path: path, now: now}
	for _, name := range told {
		c.told = append(c.told, strings.ToLower(name))
	}
	_, err := c.current()
	return c, err
}

// TLS is the configuration of a listener that shows it.
func (c *Certificate) TLS() *tls.Config {
	return &tls.Config{MinVersion: tls.VersionTLS12, NextProtos: []string{"http/1.1"},
		GetCertificate: func(*tls.ClientHelloInfo) (*tls.Certificate, error) { return c.current() }}
}

// Root is the root as a file that a device takes (PEM).
func (c *Certificate) Root() []byte {
	return pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: c.root.Raw})
}

// Fingerprint is what a browser shows of the certificate; empty where it cannot be read.
func (c *Certificate) Fingerprint() string {
	leaf, err := c.current()
	if err != nil {
		return ""
	}
	return Fingerprint(leaf.Certificate[0])
}

// Fingerprint is the SHA-256 of a certificate, in pairs.
func Fingerprint(raw []byte) string {
	sum := sha256.Sum256(raw)
	pairs := make([]string, len(sum))
	for i, b := range sum {
		pairs[i] = fmt.Sprintf("%02X", b)
	}
	return strings.Join(pairs, ":")
}

// current is the certificate, made or renewed where there is none that serves.
func (c *Certificate) current() (*tls.Certificate, error) {
	c.Lock()
	defer c.Unlock()
	if c.leaf != nil && c.root != nil && c.serves(c.leaf.Leaf) {
		return c.leaf, nil
	}
	rootKey, err := c.readRoot()
	if err != nil {
		return nil, err
	}
	leaf, err := tls.LoadX509KeyPair(c.path+".certificate.pem", c.path+".certificate.key")
	if err == nil && c.serves(leaf.Leaf) && leaf.Leaf.CheckSignatureFrom(c.root) == nil {
		c.leaf = &leaf
		return c.leaf, nil
	}
	if err := c.sign(rootKey); err != nil {
		return nil, err
	}
	leaf, err = tls.LoadX509KeyPair(c.path+".certificate.pem", c.path+".certificate.key")
	c.leaf = &leaf
	return c.leaf, err
}

// serves tells whether a certificate is good for a while yet, and names all by which this machine is reached now.
func (c *Certificate) serves(leaf *x509.Certificate) bool {
	if leaf == nil || !c.now().Before(leaf.NotAfter.AddDate(0, 0, -renewDays)) || c.now().Before(leaf.NotBefore) {
		return false
	}
	names, addresses := c.reached()
	for _, name := range names {
		if !slices.Contains(leaf.DNSNames, name) {
			return false
		}
	}
	return !slices.ContainsFunc(
		addresses,
		func(ip net.IP) bool { return !slices.ContainsFunc(leaf.IPAddresses, ip.Equal) },
	)
}

// reached are the names and addresses that the certificate is for: those that the root may vouch for.
func (c *Certificate) reached() ([]string, []net.IP) {
	names, addresses := Addresses()
	names = slices.Concat(names, c.told, []string{"localhost"})
	slices.Sort(names)
	addresses = append(addresses, net.IPv4(127, 0, 0, 1), net.IPv6loopback)
	names = slices.DeleteFunc(
		slices.Compact(names),
		func(name string) bool { return net.ParseIP(name) != nil || !c.vouches(name) },
	)
	return names, slices.DeleteFunc(addresses, func(ip net.IP) bool { return !c.vouchesFor(ip) })
}

// Whoever has the root's key can pose as what a device trusts it for: that is the house alone, its machine's names,
// names that no house's network shares with the world (RFC 6762, RFC 8375; lan and internal by common use), and
// private addresses (RFC 1918, 4193, 3927, 4291). A root that was made by an earlier version says nothing of this.
var (
	houseNames  = []string{"localhost", "local", "lan", "internal", "home.arpa"}
	houseRanges = ranges(
		"10.0.0.0/8",
		"172.16.0.0/12",
		"192.168.0.0/16",
		"169.254.0.0/16",
		"127.0.0.0/8",
		"fc00::/7",
		"fe80::/10",
		"::1/128",
	)
)

func ranges(all ...string) []*net.IPNet {
	nets := make([]*net.IPNet, len(all))
	for i, text := range all {
		_, nets[i], _ = net.ParseCIDR(text) // constants
	}
	return nets
}

// vouches tells whether the root may sign a name; one that says nothing of names may.
func (c *Certificate) vouches(name string) bool {
	all := c.root.PermittedDNSDomains
	return len(all) == 0 ||
		slices.ContainsFunc(all, func(of string) bool { return name == of || strings.HasSuffix(name, "."+of) })
}

func (c *Certificate) vouchesFor(ip net.IP) bool {
	all := c.root.PermittedIPRanges
	return len(all) == 0 || slices.ContainsFunc(all, func(of *net.IPNet) bool { return of.Contains(ip) })
}

// covers tells whether the root may sign every name that was told: else another root is made, and devices that
// trusted the old one ask once more.
func (c *Certificate) covers() bool {
	return !slices.ContainsFunc(c.told, func(name string) bool { return net.ParseIP(name) == nil && !c.vouches(name) })
}

// readRoot reads the root, or makes one.
func (c *Certificate) readRoot() (*ecdsa.PrivateKey, error) {
	file, keyFile := c.path+".root.pem", c.path+".root.key"
	pair, err := tls.LoadX509KeyPair(file, keyFile)
	if err == nil && c.now().Before(pair.Leaf.NotAfter.AddDate(-1, 0, 0)) {
		key, is := pair.PrivateKey.(*ecdsa.PrivateKey)
		if !is {
			return nil, fmt.Errorf("%s: is not the key that Fribbet made", keyFile)
		}
		if c.root = pair.Leaf; c.covers() {
			return key, nil
		}
		slog.Warn(
			"another root certificate is made, since the one before may not sign a name that was told",
			"names",
			c.told,
		)
	}
	if err != nil && !errors.Is(err, fs.ErrNotExist) {
		return nil, fmt.Errorf("%s: %w. Remove it and its key, and another is made", file, err)
	}
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, err
	}
	name, err := os.Hostname()
	if err != nil {
		name = "this machine"
	}
	made := &x509.Certificate{
		SerialNumber:                serial(),
		Subject:                     pkix.Name{CommonName: "Fribbet on " + name},
		NotBefore:                   c.now().Add(-time.Hour),
		NotAfter:                    c.now().AddDate(rootYears, 0, 0),
		IsCA:                        true,
		BasicConstraintsValid:       true,
		MaxPathLenZero:              true,
		KeyUsage:                    x509.KeyUsageCertSign | x509.KeyUsageCRLSign,
		PermittedDNSDomainsCritical: true,
		PermittedIPRanges:           houseRanges,
	}
	names, addresses := Addresses()
	made.PermittedDNSDomains = slices.Concat(
		houseNames,
		names,
		slices.DeleteFunc(slices.Clone(c.told), func(name string) bool { return net.ParseIP(name) != nil }),
	)
	for _, ip := range addresses {
		if !slices.ContainsFunc(houseRanges, func(of *net.IPNet) bool { return of.Contains(ip) }) {
			if four := ip.To4(); four != nil {
				ip = four
			}
			made.PermittedIPRanges = append(
				made.PermittedIPRanges,
				&net.IPNet{IP: ip, Mask: net.CIDRMask(8*len(ip), 8*len(ip))},
			)
		}
	}
	if err := write(file, keyFile, made, made, &key.PublicKey, key, key); err != nil {
		return nil, err
	}
	pair, err = tls.LoadX509KeyPair(file, keyFile)
	c.root = pair.Leaf
	return key, err
}

func (c *Certificate) sign(rootKey *ecdsa.PrivateKey) error {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return err
	}
	names, addresses := c.reached()
	leaf := &x509.Certificate{
		SerialNumber: serial(),
		Subject:      pkix.Name{CommonName: "Fribbet"},
		NotBefore:    c.now().Add(-time.Hour),
		NotAfter:     c.now().AddDate(0, 0, leafDays),
		KeyUsage:     x509.KeyUsageDigitalSignature,
		ExtKeyUsage:  []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth},
		DNSNames:     names,
		IPAddresses:  addresses,
	}
	return write(c.path+".certificate.pem", c.path+".certificate.key", leaf, c.root, &key.PublicKey, rootKey, key)
}

func serial() *big.Int {
	n, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 127))
	if err != nil {
		panic(err) // the system has no randomness left
	}
	return n
}

// write signs a certificate and keeps it with its key, its owner's alone.
func write(
	file, keyFile string,
	made, parent *x509.Certificate,
	public *ecdsa.PublicKey,
	signer, key *ecdsa.PrivateKey,
) error {
	raw, err := x509.CreateCertificate(rand.Reader, made, parent, public, signer)
	if err != nil {
		return err
	}
	secret, err := x509.MarshalPKCS8PrivateKey(key)
	if err != nil {
		return err
	}
	if err := os.WriteFile(
		keyFile,
		pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: secret}),
		0o600,
	); err != nil {
		return err
	}
	return os.WriteFile(file, pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: raw}), 0o600)
}
