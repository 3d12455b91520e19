package access

import (
	"net"
	"os"
	"slices"
	"strings"
	"unicode"
)

// Addresses are the names and addresses by which this machine is reached in the house: its own name, and its
// addresses that are no loopback.
func Addresses() (names []string, addresses []net.IP) {
	if name, err := os.Hostname(); err == nil && name != "" {
		names = append(names, strings.ToLower(name))
		if !strings.Contains(name, ".") {
			names = append(names, strings.ToLower(name)+".local")
		}
	}
	all, err := net.InterfaceAddrs()
	if err != nil {
		return names, nil
	}
	for _, one := range all {
		if network, is := one.(*net.IPNet); is && !network.IP.IsLoopback() && !network.IP.IsLinkLocalUnicast() {
			addresses = append(addresses, network.IP)
		}
	}
	slices.SortStableFunc(
		addresses,
		func(a, b net.IP) int { return len(b.To4()) - len(a.To4()) },
	) // those that are typed easily first
	return names, addresses
}

// hostOf is the name or address of HOST:PORT.
func hostOf(text string) string {
	if name, _, err := net.SplitHostPort(text); err == nil {
		text = name
	}
	return strings.ToLower(strings.Trim(text, "[]"))
}

func loopback(host string) bool {
	ip := net.ParseIP(host)
	return ip != nil && ip.IsLoopback()
}

// own tells whether a host is what only this machine itself is: no name that somebody else answers for.
func own(host string) bool {
	return host == "localhost" || host == "127.0.0.1" || host == "::1"
}

// known tells whether a name is one of this machine's, or one that it was told.
func known(host string, told []string) bool {
	names, addresses := Addresses()
	ip := net.ParseIP(host)
	return slices.Contains(names, host) ||
		slices.ContainsFunc(told, func(name string) bool { return strings.EqualFold(name, host) }) ||
		ip != nil && slices.ContainsFunc(addresses, ip.Equal)
}

func printable(r rune) rune {
	if !unicode.IsPrint(r) {
		return ' '
	}
	return r
}
