// Package measure knows what a number in mm was read off a nail with, and how far it may then be off.
package measure

import (
	"math"
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Means is what a number was read with.
type Means string

const (
	Caliper Means = "caliper" // or a ruler, or a gauge: whatever shows mm
	Feeler  Means = "feeler"  // something of known thickness that passes under the nail, or does not
	Eye     Means = "eye"     // nothing was held to it
	Photo   Means = "photo"   // off a picture with something of known size in it
)

// What is what of a nail was read.
type What string

const (
	Length What = "length"
	Gap    What = "gap"   // to the floor
	Quick  What = "quick" // from the tip to where it is seen to end
)

// usual is how far a reading may be off, one standard deviation in mm, the usual means first (judgement).
var usual = map[What][]struct {
	by Means
	sd float64
}{
	Length: {{Caliper, 0.5}, {Eye, 1.5}, {Photo, 0.5}},
	Gap:    {{Caliper, 0.2}, {Feeler, FeelerEdge}, {Eye, 1}, {Photo, 0.5}},
	Quick:  {{Eye, 0.4}, {Caliper, 0.4}, {Photo, 0.5}},
}

// SD is how far a reading by some means may be off, mm; 0 where the means cannot read that.
func (w What) SD(by Means) float64 {
	for _, u := range usual[w] {
		if u.by == by {
			return u.sd
		}
	}
	return 0
}

// Number is a number in mm that was read off a nail.
type Number struct {
	MM float64
	By Means
	SD float64 // how far it may be off, one standard deviation, mm
}

// Told is a number as somebody told it: what was not said of its means and of how far it may be off is
// what is usual. A gap that is exactly a feeler's was felt.
func (w What) Told(mm float64, by Means, sd float64) Number {
	if by == "" {
		by = usual[w][0].by
		if _, felt := feels(mm); w == Gap && felt {
			by = Feeler
		}
	}
	if sd == 0 {
		sd = w.SD(by)
	}
	return Number{mm, by, sd}
}

// Range is the number with the range that holds nine times in ten.
func (n Number) Range() estimate.Estimate { return estimate.Normal(n.MM, n.SD, estimate.Measured) }

// Check notes what cannot be of the means of a number that is called name, as the contract writes it.
func (n Number) Check(f *fault.Fields, name string, w What) {
	switch least := w.SD(n.By); {
	case least == 0:
		f.Add(name+".by", n.By, say.Of(mustBeForA, say.Args{"means": say.Name(w.means()), "what": say.Name(w)}))
	case n.By == Feeler && n.SD != FeelerEdge:
		f.Add(name+".sd_mm", n.SD, say.Of(mustBeLeftOutA))
	default:
		f.Range(name+".sd_mm", n.SD, leastSD, mostSD, fault.MM)
	}
}

// means lists what can read it, in the contract's words.
func (w What) means() string {
	var words []string
	for _, u := range usual[w] {
		words = append(words, string(u.by))
	}
	return strings.Join(words, ", ")
}

// Under is what passes under a nail, for people without gauges.
type Under string

const (
	Touches Under = "touches"
	Paper   Under = "paper" // a sheet of paper passes, a bank card does not
	Card    Under = "card"  // a bank card passes
)

var thick = map[Under]float64{Touches: claw.TouchGap, Paper: claw.PaperGap, Card: claw.CardGap}

// Number is the floor gap that a feeler stands for: the least at which it passes.
func (u Under) Number() Number { return Gap.Told(thick[u], Feeler, 0) }

// feels is which household feeler a gap in mm is the thickness of.
func feels(mm float64) (Under, bool) {
	for _, u := range []Under{Touches, Paper, Card} {
		if mm == thick[u] {
			return u, true
		}
	}
	return "", false
}

// Between is what a feeler says of a gap, mm: from the thickness that passes to that which does not. Of
// anything thicker than a sheet of paper it is only told that it passes.
func (n Number) Between() (least, most float64) {
	switch n.MM {
	case claw.TouchGap:
		return math.Inf(-1), claw.TouchGap
	case claw.PaperGap:
		return claw.PaperGap, claw.CardGap
	default:
		return n.MM, math.Inf(1)
	}
}
