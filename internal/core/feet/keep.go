package feet

import (
	"encoding/json"
	"fmt"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
)

// kept is what a fold came to, without the dog itself.
type kept struct {
	State    state.State
	Day      date.Date
	On       date.Date         `json:",omitzero"`
	Known    date.Date         `json:",omitzero"`
	Check    *record.WalkRound `json:",omitempty"`
	Toes     []toe
	Outliers []Outlier `json:",omitempty"`
	Measured int       `json:",omitempty"`
	Dry      int       `json:",omitempty"`
	No       temper.Refusals
}

// Keep writes the feet down, so that they need not be folded again until something new is told.
func (f Feet) Keep() ([]byte, error) {
	k := kept{
		State:    f.state,
		Day:      f.day,
		On:       f.on,
		Known:    f.known,
		Toes:     f.toes,
		Outliers: f.Outliers,
		Measured: f.measured,
		Dry:      f.dry,
		No:       f.no,
	}
	if !f.check.On.IsZero() {
		k.Check = &f.check
	}
	return json.Marshal(k)
}

// Kept reads feet that were kept, of the same dog.
func Kept(d dog.Dog, text []byte) (Feet, error) {
	var k kept
	if err := json.Unmarshal(text, &k); err != nil {
		return Feet{}, err
	}
	if len(k.Toes) != len(d.Nails) {
		return Feet{}, fmt.Errorf("kept feet of %d nails, of a dog with %d", len(k.Toes), len(d.Nails))
	}
	f := Feet{
		Dog:      d,
		state:    k.State,
		day:      k.Day,
		on:       k.On,
		known:    k.Known,
		toes:     k.Toes,
		Outliers: k.Outliers,
		measured: k.Measured,
		dry:      k.Dry,
		no:       k.No,
	}
	if k.Check != nil {
		f.check = *k.Check
	}
	return f, nil
}
