package growth

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/mat"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
)

// Class bounds by adult weight: Salt et al. 2017, PLOS ONE 12(9): e0182064 (published).
func TestWeightClasses(t *testing.T) {
	for weight, under := range map[float64]float64{6.4: 6.5, 6.5: 9, 8.9: 9, 9: 15, 15: 30, 29.9: 30, 30: 40, 40: 0, 80: 0} {
		assert.Equal(t, under, ClassOf(weight).Under, "%v kg", weight)
	}
	for _, c := range SizeClasses() {
		assert.Equal(t, c, ClassOf(c.UsualWeight), "a class's usual weight lies in the class")
	}
}

// Growth slows with age (Orentreich, Markofsky & Vogelman 1979, published), and stays within
// 0.8 to 1.9 mm a week (from memory, veterinary dermatology texts).
func TestGrossGrowthSlowsWithAge(t *testing.T) {
	puppy, adult, senior := Assumed(20, 22), Assumed(200, 22), Assumed(9*52.2, 22)
	assert.Greater(t, puppy.Gross.Mean, adult.Gross.Mean)
	assert.Greater(t, adult.Gross.Mean, senior.Gross.Mean)
	assert.InDelta(t, 1.35, (puppy.Gross.Mean+senior.Gross.Mean)/2, 0.55)
	assert.Equal(t, adult.Gross, Assumed(9*52.2, 4).Gross, "a toy dog is not yet senior at nine")
}

// The variance against xᵀSx worked out with gonum's matrices (Bishop, PRML, eq. 3.59).
func TestNetRateIsTheLinearModels(t *testing.T) {
	p := Assumed(200, 22)
	f := claw.SizeFactor(22)
	cov := mat.NewDiagDense(2, []float64{0.35 * 0.35, 0.03 * f * 0.03 * f})
	x := mat.NewVecDense(2, []float64{1, -15})
	got := p.Net(nail.HindOuter, 15)
	assert.InDelta(t, 0.1*0.1+mat.Inner(x, cov, x), got.SD*got.SD, 1e-12)
	assert.InDelta(t, 1.1-0.045*f*15, got.Mean, 1e-12)
}

// Pavement wears nails, hind outer ones most, a dewclaw never (common practice, no source).
func TestPavementWears(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := Assumed(rapid.Float64Range(8, 800).Draw(t, "age"), rapid.Float64Range(2, 80).Draw(t, "weight"))
		less, more := rapid.Float64Range(0, 20).Draw(t, "km"), rapid.Float64Range(20, 80).Draw(t, "more km")
		for _, g := range nail.Groups() {
			if p.Net(g, more).Mean > p.Net(g, less).Mean {
				t.Fatalf("%s grew faster on more pavement", g)
			}
			if p.Net(g, more).Mean < leastNet {
				t.Fatalf("%s stopped growing", g)
			}
		}
		if p.Net(nail.Dewclaw, more).Mean != p.Gross.Mean {
			t.Fatal("a dewclaw was worn")
		}
		if p.Net(nail.HindOuter, less).Mean > p.Net(nail.Fore, less).Mean {
			t.Fatal("fore nails wear more than hind outer ones")
		}
	})
}
