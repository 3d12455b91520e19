// Package say is what is said, without words: a key of the catalogue, and what stands in the sentence. The rules say
// so what they mean; package words knows how it is put, in which language and units.
package say

import "time"

// Key names a sentence of the catalogue: the package that says it, and what it says.
type Key string

// Line is one thing that is said. The zero value says nothing.
type Line struct {
	Key  Key  `json:",omitempty"`
	Args Args `json:",omitempty"`
}

// Of is a sentence, and what stands in it.
func Of(key Key, args ...Args) Line {
	if len(args) == 0 {
		return Line{Key: key}
	}
	return Line{Key: key, Args: args[0]}
}

// Nothing tells whether a line says nothing.
func (l Line) Nothing() bool { return l.Key == "" }

// Args is what stands in a sentence, by the names that its text uses.
type Args map[string]Value

// Value is of a kind that words can put.
type Value interface{ value() }

// The kinds there are.
type (
	Length  float64                     // mm
	Lengths struct{ Low, High float64 } // from one to another, mm
	Weight  float64                     // kg
	Bound   float64                     // mm that bounds an input, without its unit
	Heavy   float64                     // kg that bounds an input, without its unit
	Symbol  string                      // of the unit that is chosen: length, weight
	Count   int                         // decides the plural of its sentence
	Whole   int                         // a number that does not
	Round   float64                     // to the nearest whole number
	Tenths  float64                     // to the nearest tenth
	Number  float64                     // with the digits that it has
	Name    string                      // as it stands: what somebody wrote, a code
	Names   []string                    // some, as people list them: two of many, and how many more
	All     []string                    // each of them
	Nails   struct {
		Codes    []string
		Each     bool `json:",omitempty"` // all of them are named, however many
		Dewclaws bool `json:",omitempty"` // it is told that they are
		Start    bool `json:",omitempty"` // with a capital letter
	}
	Paws    []string  // LF, RF, LH, RH
	Start   Line      // with a capital letter
	Day     time.Time // with its weekday
	LongDay time.Time // with its year too
	Clock   int       // a time of the day, minutes from midnight
	Lines   []Line    // one after the other, those that say nothing left out
)

func (Length) value()  {}
func (Lengths) value() {}
func (Weight) value()  {}
func (Bound) value()   {}
func (Heavy) value()   {}
func (Symbol) value()  {}
func (Count) value()   {}
func (Whole) value()   {}
func (Round) value()   {}
func (Tenths) value()  {}
func (Number) value()  {}
func (Name) value()    {}
func (Names) value()   {}
func (All) value()     {}
func (Nails) value()   {}
func (Paws) value()    {}
func (Start) value()   {}
func (Day) value()     {}
func (LongDay) value() {}
func (Clock) value()   {}
func (Lines) value()   {}
func (Line) value()    {}

const asItStands Key = "say.as_it_stands"

// Plain is a text that nobody put into a catalogue: what another program said.
func Plain(text string) Line { return Of(asItStands, Args{"text": Name(text)}) }
