// Package units holds the two display choices of length and weight. Everything is stored and
// computed in millimetres and kilograms; a unit only says how a number is shown and typed.
package units

// Length is a unit of length to show: mm or in.
type Length string

// Weight is a unit of weight to show: kg or lb.
type Weight string

const (
	Millimetre Length = "mm"
	Inch       Length = "in"
	Kilogram   Weight = "kg"
	Pound      Weight = "lb"
)

// Display says how to show a stored number: multiply by PerStored and round to Decimals.
type Display struct {
	Symbol    string
	PerStored float64
	Decimals  int
}

// Display returns the unit's symbol, units per mm, and the decimals that keep a tenth of a millimetre.
func (l Length) Display() Display {
	if l == Inch {
		return Display{string(Inch), 1 / MillimetresPerInch, 3}
	}
	return Display{string(Millimetre), 1, 1}
}

// Display returns the unit's symbol, units per kg and decimals.
func (w Weight) Display() Display {
	if w == Pound {
		return Display{string(Pound), 1 / KilogramsPerPound, 1}
	}
	return Display{string(Kilogram), 1, 1}
}
