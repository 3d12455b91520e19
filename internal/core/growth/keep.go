package growth

import (
	"encoding/binary"
	"encoding/json"
	"fmt"
	"math"

	"gonum.org/v1/gonum/mat"

	"fribbet/internal/core/nail"
)

// keptRates is how rates are written down. The upper half of the covariance stands row by row as
// binary numbers (IEEE 754, little-endian): as digits it would take most of the time to read.
type keptRates struct {
	Mean     []float64
	Cov      []byte
	Nails    []nail.Code
	Measured int
	Slivers  int
}

// MarshalJSON writes the rates down to the last digit.
func (r Rates) MarshalJSON() ([]byte, error) {
	k := keptRates{Mean: r.mean, Nails: r.nails, Measured: r.measured, Slivers: r.slivers}
	for i := range r.mean {
		for j := i; j < len(r.mean); j++ {
			k.Cov = binary.LittleEndian.AppendUint64(k.Cov, math.Float64bits(r.cov.At(i, j)))
		}
	}
	return json.Marshal(k)
}

// UnmarshalJSON reads what MarshalJSON wrote.
func (r *Rates) UnmarshalJSON(text []byte) error {
	var k keptRates
	if err := json.Unmarshal(text, &k); err != nil {
		return err
	}
	const size = 8 // bytes of a number
	n := len(k.Mean)
	if n != firstNail+len(k.Nails) || len(k.Cov) != size*n*(n+1)/2 {
		return fmt.Errorf("rates of %d nails with %d means and %d bytes of covariances", len(k.Nails), n, len(k.Cov))
	}
	cov, at := mat.NewSymDense(n, nil), 0
	for i := range n {
		for j := i; j < n; j++ {
			cov.SetSym(i, j, math.Float64frombits(binary.LittleEndian.Uint64(k.Cov[at:])))
			at += size
		}
	}
	*r = Rates{posterior{k.Mean, cov}, k.Nails, k.Measured, k.Slivers}
	return nil
}
