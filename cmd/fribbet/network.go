package main

import (
	"bufio"
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"io"
	"net"
	"os"
	"strconv"
	"strings"
	"time"

	"github.com/spf13/cobra"
	"golang.org/x/term"

	"fribbet/internal/access"
)

// network is how the program is reached from elsewhere.
type network struct {
	names []string
	cert  string
	key   string
	proxy bool
	host  string // of --listen
}

func (d *network) flags(cmd *cobra.Command) {
	cmd.Flags().
		StringArrayVar(&d.names, "name", nil,
			"a NAME by which other devices reach this machine, besides its own and its addresses")
	cmd.Flags().StringVar(&d.cert, "cert", "", "your own certificate, a PEM FILE; without it Fribbet makes one")
	cmd.Flags().StringVar(&d.key, "key", "", "its key, a PEM FILE")
	cmd.Flags().
		BoolVar(&d.proxy, "behind-proxy", false,
			"a proxy on this machine speaks TLS and passes requests on to --listen; then every browser needs the passphrase")
}

// devices are the others that are answered, and by which addresses.
type devices struct {
	*access.Access
	addresses   []string      // told once it is listened on
	fingerprint func() string // of the certificate; nil behind a proxy
}

func (d *devices) Addresses() []string { return d.addresses }

func (d *devices) Fingerprint() string {
	if d.fingerprint == nil {
		return ""
	}
	return d.fingerprint()
}

// gate is who is let in at an address; with the devices, where others than this machine are.
func (d *network) gate(ctx context.Context, listen, data string) (*access.Gate, *devices, error) {
	host, _, err := net.SplitHostPort(listen)
	if err != nil {
		return nil, nil, fmt.Errorf("--listen %s: write HOST:PORT, such as 127.0.0.1:8642", listen)
	}
	d.host = host
	for i, name := range d.names {
		d.names[i] = strings.ToLower(name)
	}
	ip := net.ParseIP(host)
	own := host == "localhost" || ip != nil && ip.IsLoopback()
	switch {
	case own && !d.proxy:
		return &access.Gate{}, nil, nil
	case d.proxy && !own:
		return nil, nil, fmt.Errorf(
			"--behind-proxy: listen on 127.0.0.1, where the proxy is; %s would be open to the house without TLS",
			listen,
		)
	case d.proxy && len(d.names) == 0:
		return nil, nil, errors.New("--behind-proxy: say with --name by which name the proxy is reached")
	case !own && host != "" && ip == nil:
		return nil, nil, fmt.Errorf(
			"--listen %s: write an address, such as 0.0.0.0:8642, and the name with --name",
			listen,
		)
	case (d.cert == "") != (d.key == ""):
		return nil, nil, errors.New("--cert and --key belong together: give both or neither")
	}
	a, err := access.Open(data, time.Now)
	if err != nil {
		return nil, nil, err
	}
	if err := d.guarded(ctx, a); err != nil {
		return nil, nil, errors.Join(err, a.Close())
	}
	gate := &access.Gate{Access: a, Names: d.names, Proxy: d.proxy}
	all := &devices{Access: a}
	switch {
	case d.proxy:
	case d.cert != "":
		pair, err := tls.LoadX509KeyPair(d.cert, d.key)
		if err != nil {
			return nil, nil, errors.Join(fmt.Errorf("--cert, --key: %w", err), a.Close())
		}
		all.fingerprint = func() string { return access.Fingerprint(pair.Certificate[0]) }
	default:
		if gate.Certificate, err = access.OwnCertificate(data, d.names, time.Now); err != nil {
			return nil, nil, errors.Join(err, a.Close())
		}
		all.fingerprint = gate.Certificate.Fingerprint
	}
	return gate, all, nil
}

// guarded sees to it that there is a passphrase before anybody else is answered.
func (d *network) guarded(ctx context.Context, a *access.Access) error {
	has, err := a.HasPassphrase(ctx)
	if err != nil || has {
		return err
	}
	words, err := askPassphrase("Other devices will need a passphrase.")
	if err != nil {
		return fmt.Errorf(
			"no passphrase is set, and others could read and change your book: set one with fribbet passphrase (%w)",
			err,
		)
	}
	return a.SetPassphrase(ctx, words)
}

// sealed is a listener that speaks TLS too, where others than this machine come.
func (d *network) sealed(on net.Listener, gate *access.Gate) (net.Listener, error) {
	if gate.Access == nil || d.proxy {
		return on, nil
	}
	if d.cert == "" {
		return access.Listen(on, gate.Certificate.TLS()), nil
	}
	pair, err := tls.LoadX509KeyPair(d.cert, d.key)
	if err != nil {
		return nil, errors.Join(err, on.Close())
	}
	return access.Listen(
		on,
		&tls.Config{
			MinVersion:   tls.VersionTLS12,
			NextProtos:   []string{"http/1.1"},
			Certificates: []tls.Certificate{pair},
		},
	), nil
}

// shown is where this machine's own browser goes.
func (d *network) shown(port int) string {
	host := d.host
	if ip := net.ParseIP(host); host == "" || ip != nil && ip.IsUnspecified() {
		host = "127.0.0.1"
	}
	return net.JoinHostPort(host, strconv.Itoa(port))
}

// addresses are where other devices go, the best first.
func (d *network) addresses(port int) []string {
	var hosts []string
	hosts = append(hosts, d.names...)
	names, own := access.Addresses()
	ip := net.ParseIP(d.host)
	switch {
	case d.proxy:
	case ip != nil && !ip.IsUnspecified():
		hosts = append(hosts, d.host)
	default:
		for _, a := range own {
			hosts = append(hosts, a.String())
		}
		hosts = append(hosts, names...)
	}
	all := make([]string, len(hosts))
	for i, host := range hosts {
		all[i] = "https://" + net.JoinHostPort(host, strconv.Itoa(port)) + "/"
		if d.proxy { // it stands at the usual port
			all[i] = "https://" + host + "/"
		}
	}
	return all
}

// passphraseCommand sets another passphrase, also while Fribbet runs.
func passphraseCommand() *cobra.Command {
	var data string
	var withdraw bool
	cmd := &cobra.Command{
		Use:   "passphrase",
		Short: "Set the passphrase that other devices need, also when it was forgotten",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			path, err := named(data)
			if err != nil {
				return err
			}
			a, err := access.Open(path, time.Now)
			if err != nil {
				return err
			}
			defer a.Close() //nolint:errcheck // every write is committed by then
			words, err := askPassphrase("")
			if err != nil {
				return err
			}
			if err := a.SetPassphrase(cmd.Context(), words); err != nil {
				return err
			}
			fmt.Fprintln(
				cmd.OutOrStdout(),
				"The passphrase is set. Devices that are let in already stay so; --withdraw lets none in any more.",
			)
			if !withdraw {
				return nil
			}
			all, err := a.Devices(cmd.Context())
			for _, device := range all {
				err = errors.Join(err, a.Withdraw(cmd.Context(), device.ID))
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%d devices were withdrawn.\n", len(all))
			return err
		},
	}
	dataFlag(cmd, &data)
	cmd.Flags().BoolVar(&withdraw, "withdraw", false, "let no device in any more that was let in before")
	return cmd
}

// askPassphrase asks at the terminal, twice; else it takes FRIBBET_PASSPHRASE, or the first line of what
// is piped in.
func askPassphrase(why string) (string, error) {
	if words := os.Getenv("FRIBBET_PASSPHRASE"); words != "" {
		return words, nil
	}
	in := int(os.Stdin.Fd())
	if !term.IsTerminal(in) {
		line, err := bufio.NewReader(os.Stdin).ReadString('\n')
		if words := strings.TrimRight(line, "\r\n"); words != "" {
			return words, nil
		}
		return "", errors.Join(errors.New("nobody is here to ask"), ignoreEOF(err))
	}
	if why != "" {
		fmt.Println(why)
	}
	ask := func(what string) (string, error) {
		fmt.Print(what)
		words, err := term.ReadPassword(in)
		fmt.Println()
		return string(words), err
	}
	first, err := ask("Passphrase, four or five plain words: ")
	if err != nil {
		return "", err
	}
	again, err := ask("Once more: ")
	if err == nil && again != first {
		err = errors.New("the two are not the same; nothing was set")
	}
	return first, err
}

func ignoreEOF(err error) error {
	if errors.Is(err, io.EOF) {
		return nil
	}
	return err
}
