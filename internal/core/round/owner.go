package round

import (
	"fmt"
	"net/mail"
	"regexp"
	"strings"
	"time"
	"unicode/utf8"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Reach is how an owner is told something.
type Reach string

// How owners are reached.
const (
	ByText Reach = "text"
	ByMail Reach = "mail"
	ByHand Reach = "hand" // spoken to, or telephoned
)

// Owner is who brings dogs.
type Owner struct {
	Name      string
	Reach     Reach
	Address   string // a telephone number or a mail address; empty by hand
	MayOffer  bool   // places may be offered
	MayRemind bool   // it may be reminded the day before
	Stopped   bool   // it said stop: nothing is ever sent
	Suits     map[time.Weekday][]Stretch
	Note      string
	Language  string // that they are spoken to in; empty: the book's
}

var number = regexp.MustCompile(`^\+?[0-9]{5,15}$`)

// Check names what cannot be.
func (o Owner) Check() fault.Fields {
	var f fault.Fields
	if n := utf8.RuneCountInString(o.Name); strings.TrimSpace(o.Name) == "" || n > longestName {
		f.Add("name", o.Name, say.Of(mustBeANameOf, say.Args{"n": say.Count(longestName)}))
	}
	if utf8.RuneCountInString(o.Note) > longestNote {
		f.Add("note", o.Note, fault.MostLetters(longestNote))
	}
	switch o.Reach {
	case ByText:
		if !number.MatchString(
			strings.NewReplacer(" ", "", "\u00a0", "", "\u202f", "", "-", "", "\u2011", "", "/", "", "(", "", ")", "", ".", "").
				Replace(o.Address),
		) {
			f.Add("address", o.Address, say.Of(mustBeATelephoneNumber))
		}
	case ByMail:
		if a, err := mail.ParseAddress(o.Address); err != nil || a.Address != o.Address {
			f.Add("address", o.Address, say.Of(mustBeAMailAddress))
		}
	case ByHand:
		if o.Address != "" {
			f.Add("address", o.Address, say.Of(mustBeEmptyWhereThey))
		}
	default:
		f.Add("reach", string(o.Reach), say.Of(mustBeTextMailOr))
	}
	for day, hours := range o.Suits {
		for _, s := range hours {
			if s.Minutes() == 0 || s.From < 0 || s.To > At(24, 0) {
				f.Add("suits", fmt.Sprintf("%s %s–%s", day, s.From, s.To), say.Of(mustBeFromOneTime))
			}
		}
	}
	return f
}
