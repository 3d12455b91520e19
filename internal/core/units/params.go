package units

// Exact by definition: international yard and pound agreement of 1959 (published).
const (
	MillimetresPerInch = 25.4
	KilogramsPerPound  = 0.45359237
)
