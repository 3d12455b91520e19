// Package say is what is said, without words: a key of the catalogue, and what stands in the sentence. The rules say
// so what they mean; package words knows how it is put, in which language and units. Other sentences of the core move
// here as they are touched.
package say

// Key names a sentence of the catalogue: the package that says it, and what it says.
type Key string

// Line is one thing that is said.
type Line struct {
	Key  Key
	Args Args
}

// Args is what stands in a sentence, by the names that its text uses.
type Args map[string]Value

// Value is of a kind that words can put.
type Value interface{ value() }

// The kinds there are.
type (
	Length  float64                     // mm
	Lengths struct{ Low, High float64 } // from one to another, mm
	Count   int                         // decides the plural of its sentence
)

func (Length) value()  {}
func (Lengths) value() {}
func (Count) value()   {}
