// Package nail names the nails of a dog: paws, digits, groups, and what a nail looks like.
// Digits are numbered I to V from the inside of the paw out (Nomina Anatomica Veterinaria);
// digit I is the dewclaw.
package nail

import (
	"fmt"
	"slices"
)

// Paw is one of the four feet.
type Paw uint8

const (
	LF Paw = iota // left fore
	RF            // right fore
	LH            // left hind
	RH            // right hind
)

var pawNames = [4]string{"LF", "RF", "LH", "RH"}

func (p Paw) String() string { return pawNames[p] }

// Paws lists them as the dog stands seen from above.
func Paws() []Paw { return []Paw{LF, RF, LH, RH} }

// MarshalText writes the paw's name.
func (p Paw) MarshalText() ([]byte, error) { return []byte(p.String()), nil }

// UnmarshalText reads LF, RF, LH or RH.
func (p *Paw) UnmarshalText(text []byte) error {
	at := slices.Index(pawNames[:], string(text))
	if at < 0 {
		return fmt.Errorf("%q is not a paw: write LF, RF, LH or RH", text)
	}
	*p = Paw(at) //nolint:gosec // of four
	return nil
}

// Hind tells whether the paw is a hind one.
func (p Paw) Hind() bool { return p == LH || p == RH }

// Code names one nail: LF3 is the third digit of the left fore paw, LH1b the second of two
// dewclaws on the left hind paw. Codes are comparable and may be map keys.
type Code struct {
	Paw    Paw
	Digit  uint8 // 1 to 5
	Second bool  // the second dewclaw of a hind paw that has two
}

// ParseCode reads LF1 … RH5, LH1b and RH1b.
func ParseCode(text string) (Code, error) {
	if c, ok := byName[text]; ok {
		return c, nil
	}
	return Code{}, fmt.Errorf(
		"%q is not a nail: write paw and digit, LF1 to RH5, or LH1b and RH1b for a second hind dewclaw",
		text,
	)
}

// MustParse is ParseCode for constants; it panics on a bad code.
func MustParse(text string) Code {
	c, err := ParseCode(text)
	if err != nil {
		panic(err)
	}
	return c
}

func (c Code) String() string {
	text := c.Paw.String() + string('0'+rune(c.Digit))
	if c.Second {
		text += "b"
	}
	return text
}

// Compare orders nails as All lists them.
func (c Code) Compare(other Code) int { return slices.Index(all, c) - slices.Index(all, other) }

// MarshalText writes the code.
func (c Code) MarshalText() ([]byte, error) { return []byte(c.String()), nil }

// UnmarshalText reads a code.
func (c *Code) UnmarshalText(text []byte) error {
	got, err := ParseCode(string(text))
	*c = got
	return err
}

// Dewclaw tells whether the nail is on digit I, which never meets the ground.
func (c Code) Dewclaw() bool { return c.Digit == 1 }

// Group is a set of nails that the ground wears alike.
type Group string

const (
	Fore       Group = "fore"        // II to V of a fore paw
	HindMiddle Group = "hind_middle" // III and IV of a hind paw
	HindOuter  Group = "hind_outer"  // II and V of a hind paw
	Dewclaw    Group = "dewclaw"     // digit I of any paw: no wear
)

// Named returns the nails that a name stands for: a code, or all that a dog can have of a group.
func Named(name string) ([]Code, error) {
	var codes []Code
	for _, c := range all {
		if string(c.Group()) == name {
			codes = append(codes, c)
		}
	}
	if codes != nil {
		return codes, nil
	}
	c, err := ParseCode(name)
	return []Code{c}, err
}

// Groups lists them in the order they are shown.
func Groups() []Group { return []Group{Fore, HindMiddle, HindOuter, Dewclaw} }

// Group returns the wear group of a nail.
func (c Code) Group() Group {
	switch {
	case c.Dewclaw():
		return Dewclaw
	case !c.Paw.Hind():
		return Fore
	case c.Digit == 3 || c.Digit == 4:
		return HindMiddle
	default:
		return HindOuter
	}
}

// All lists the 22 nails that a dog can have, in the order in which they stand when the dog is
// seen from above: fore paws, then hind, each from the left; so a left paw runs from V to I.
func All() []Code { return slices.Clone(all) }

var (
	all    = standing()
	byName = names()
)

func names() map[string]Code {
	found := make(map[string]Code, len(all))
	for _, c := range all {
		found[c.String()] = c
	}
	return found
}

func standing() []Code {
	codes := make([]Code, 0, 22)
	for _, paw := range Paws() {
		one := make([]Code, 0, 6)
		one = append(one, Code{Paw: paw, Digit: 1})
		if paw.Hind() {
			one = append(one, Code{Paw: paw, Digit: 1, Second: true})
		}
		for digit := uint8(2); digit <= 5; digit++ {
			one = append(one, Code{Paw: paw, Digit: digit})
		}
		if paw == LF || paw == LH {
			slices.Reverse(one)
		}
		codes = append(codes, one...)
	}
	return codes
}

// Standard tells whether most dogs have this nail: II to V of every paw and the fore dewclaws.
func (c Code) Standard() bool { return !c.Dewclaw() || !c.Paw.Hind() }
