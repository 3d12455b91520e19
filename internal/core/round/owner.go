package round

import (
	"fmt"
	"net/mail"
	"regexp"
	"strings"
	"time"
	"unicode/utf8"

	"fribbet/internal/core/fault"
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
}

const (
	longestName = 80
	longestNote = 500
)

var number = regexp.MustCompile(`^\+?[0-9]{5,15}$`)

// Check names what cannot be.
func (o Owner) Check() fault.Fields {
	var f fault.Fields
	if n := utf8.RuneCountInString(o.Name); strings.TrimSpace(o.Name) == "" || n > longestName {
		f.Add("name", o.Name, fmt.Sprintf("must be a name of at most %d letters", longestName))
	}
	if utf8.RuneCountInString(o.Note) > longestNote {
		f.Add("note", o.Note, fmt.Sprintf("must be at most %d letters", longestNote))
	}
	switch o.Reach {
	case ByText:
		if !number.MatchString(strings.NewReplacer(" ", "", "\u00a0", "", "\u202f", "", "-", "", "\u2011", "", "/", "", "(", "", ")", "", ".", "").Replace(o.Address)) {
			f.Add("address", o.Address, "must be a telephone number of 5 to 15 digits, such as +44 20 7946 0000, or choose another way to reach them")
		}
	case ByMail:
		if a, err := mail.ParseAddress(o.Address); err != nil || a.Address != o.Address {
			f.Add("address", o.Address, "must be a mail address, such as name@example.org, or choose another way to reach them")
		}
	case ByHand:
		if o.Address != "" {
			f.Add("address", o.Address, "must be empty where they are told by hand")
		}
	default:
		f.Add("reach", string(o.Reach), "must be text, mail or hand")
	}
	for day, hours := range o.Suits {
		for _, s := range hours {
			if s.Minutes() == 0 || s.From < 0 || s.To > At(24, 0) {
				f.Add("suits", fmt.Sprintf("%s %s to %s", day, s.From, s.To), "must be from one time of the day to a later one")
			}
		}
	}
	return f
}
