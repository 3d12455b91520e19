package dog

import (
	"encoding/json"
	"fmt"

	"fribbet/internal/core/date"
)

// FoldVersion goes up whenever the same records would fold into other feet than before: what was
// kept of an older fold is then worked out again.
const FoldVersion = 1

// kept is what a fold came to, without the dog itself.
type kept struct {
	On     date.Date `json:",omitzero"`
	Known  date.Date `json:",omitzero"`
	Check  *Check    `json:",omitempty"`
	Toes   []toe
	Learnt Learnt
}

// Keep writes the feet down, so that they need not be folded again until something new is told.
// What was observed stays behind: only HistoryOf and a fold have it.
func (f Feet) Keep() ([]byte, error) {
	k := kept{On: f.on, Known: f.known, Toes: f.toes, Learnt: f.Learnt}
	if !f.check.On.IsZero() {
		k.Check = &f.check
	}
	return json.Marshal(k)
}

// Kept reads feet that were kept, of the same dog.
func Kept(d Dog, text []byte) (Feet, error) {
	var k kept
	if err := json.Unmarshal(text, &k); err != nil {
		return Feet{}, err
	}
	if len(k.Toes) != len(d.Nails) {
		return Feet{}, fmt.Errorf("kept feet of %d nails, of a dog with %d", len(k.Toes), len(d.Nails))
	}
	for i := range k.Toes {
		k.Toes[i].Nail = d.Nails[i]
	}
	f := Feet{body: body{d, k.Learnt}, on: k.On, known: k.Known, toes: k.Toes}
	set(&f.check, k.Check)
	return f, nil
}
