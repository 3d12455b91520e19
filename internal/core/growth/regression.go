package growth

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// A linear model with normal priors: y = xᵀβ + noise, where every observation has its own
// known variance. Conjugate posterior: Bishop 2006, Pattern Recognition and Machine Learning,
// eqs 3.49–3.51 (published).

// prior is what is believed of one coefficient; a precision of 0 is a flat prior.
type prior struct{ mean, precision float64 }

// about is a normal prior; with sd 0 the coefficient would be fixed, which nothing here is.
func about(mean, sd float64) prior { return prior{mean, 1 / (sd * sd)} }

// term is one coefficient's value in a row; a row has few that are not 0.
type term struct {
	column int
	value  float64
}

type row struct {
	terms    []term
	y        float64
	variance float64
}

// posterior is the joint normal of the coefficients.
type posterior struct {
	mean []float64
	cov  *mat.SymDense
}

// fit joins priors and rows. Columns are scaled to a precision of 1 before they are solved, so
// that coefficients of very different size lose no digits to each other. It is false when the
// rows leave a flat coefficient open.
func fit(priors []prior, rows []row) (posterior, bool) {
	n := len(priors)
	precision := mat.NewSymDense(n, nil)
	pull := make([]float64, n)
	for i, p := range priors {
		precision.SetSym(i, i, p.precision)
		pull[i] = p.precision * p.mean
	}
	for _, r := range rows {
		weight := 1 / r.variance
		for i, a := range r.terms {
			pull[a.column] += weight * a.value * r.y
			for _, b := range r.terms[i:] {
				precision.SetSym(a.column, b.column, precision.At(a.column, b.column)+weight*a.value*b.value)
			}
		}
	}
	scale := make([]float64, n)
	for i := range scale {
		scale[i] = 1 / math.Sqrt(precision.At(i, i))
	}
	for i := range n {
		pull[i] *= scale[i]
		for j := i; j < n; j++ {
			precision.SetSym(i, j, precision.At(i, j)*scale[i]*scale[j])
		}
	}
	var factor mat.Cholesky
	if !factor.Factorize(precision) {
		return posterior{}, false
	}
	mean := mat.NewVecDense(n, nil)
	cov := mat.NewSymDense(n, nil)
	if factor.SolveVecTo(mean, mat.NewVecDense(n, pull)) != nil || factor.InverseTo(cov) != nil {
		return posterior{}, false
	}
	for i := range n {
		mean.SetVec(i, mean.AtVec(i)*scale[i])
		for j := i; j < n; j++ {
			cov.SetSym(i, j, cov.At(i, j)*scale[i]*scale[j])
		}
	}
	return posterior{mean.RawVector().Data, cov}, true
}

// at is the mean and the variance of xᵀβ.
func (p posterior) at(terms []term) (mean, variance float64) {
	for _, a := range terms {
		mean += a.value * p.mean[a.column]
		for _, b := range terms {
			variance += a.value * b.value * p.cov.At(a.column, b.column)
		}
	}
	return mean, variance
}
