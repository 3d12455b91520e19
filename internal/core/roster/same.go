package roster

import (
	"strings"
	"unicode"

	"fribbet/internal/core/round"
)

// Known is an owner that is there already: in the book, or earlier in the list.
type Known struct {
	ID     string
	Owner  round.Owner
	InList bool
}

// Answer is what somebody said of a row whose owner has the name of one that is there.
type Answer int

const (
	Unanswered Answer = iota
	TheSame           // it is that one
	Another           // another one of that name
)

// Plain is an address as it is compared: a number by its digits, a mail address in small letters. Brackets, spaces,
// dots and dashes in a number say nothing.
func Plain(address string) string {
	if strings.Contains(address, "@") {
		return strings.ToLower(strings.TrimSpace(address))
	}
	return strings.Map(func(r rune) rune {
		if unicode.IsDigit(r) || r == '+' {
			return r
		}
		return -1
	}, address)
}

// plainName is a name as it is compared: case and spaces say nothing.
func plainName(name string) string { return strings.ToLower(strings.Join(strings.Fields(name), " ")) }

// Whose is which of the owners that are there a row's owner is: only a number or a mail address that agrees tells.
// Where the name alone does it asks, unless somebody answered; in the list itself, rows of one name and no address are
// of one owner. An empty id is a new one.
func (r Row) Whose(known []Known, answer Answer) (id string, asks bool) {
	address, name := Plain(r.Owner.Address), plainName(r.Owner.Name)
	named := ""
	for _, k := range known {
		if address != "" && Plain(k.Owner.Address) == address {
			return k.ID, false
		}
		if plainName(k.Owner.Name) != name {
			continue
		}
		if k.InList && address == "" && k.Owner.Address == "" {
			return k.ID, false
		}
		if named == "" {
			named = k.ID
		}
	}
	switch {
	case named == "" || answer == Another:
		return "", false
	case answer == TheSame:
		return named, false
	default:
		return "", true
	}
}
