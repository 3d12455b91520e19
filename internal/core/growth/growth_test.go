package growth

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/mat"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
)

// Class bounds by adult weight: Salt et al. 2017, PLOS ONE 12(9): e0182064 (published).
func TestWeightClasses(t *testing.T) {
	for weight, under := range map[float64]float64{
		6.4: 6.5, 6.5: 9, 8.9: 9, 9: 15, 15: 30, 29.9: 30, 30: 40, 40: 0, 80: 0,
	} {
		assert.Equal(t, under, ClassOf(weight).Under, "%v kg", weight)
	}
	for _, c := range SizeClasses() {
		assert.Equal(t, c, ClassOf(c.UsualWeight), "a class's usual weight lies in the class")
	}
}

// Growth slows with age (Orentreich, Markofsky & Vogelman 1979, published), and stays within
// 0.8 to 1.9 mm a week (from memory, veterinary dermatology texts).
func TestGrossGrowthSlowsWithAge(t *testing.T) {
	at := func(age, weight float64) Rate { return Assumed().Gross(Where{Age: age, Weight: weight}) }
	puppy, adult, senior := at(20, 22), at(200, 22), at(9*52.2, 22)
	assert.Greater(t, puppy.Mean, adult.Mean)
	assert.Greater(t, adult.Mean, senior.Mean)
	assert.InDelta(t, 1.35, (puppy.Mean+senior.Mean)/2, 0.55)
	assert.Equal(t, adult, at(9*52.2, 4), "a toy dog is not yet senior at nine")
}

// The variance against xᵀSx worked out with gonum's matrices (Bishop, PRML, eq. 3.59).
func TestNetRateIsTheLinearModels(t *testing.T) {
	f := claw.SizeFactor(22)
	cov := mat.NewDiagDense(2, []float64{0.35 * 0.35, 0.03 * f * 0.03 * f})
	x := mat.NewVecDense(2, []float64{1, -15})
	got := Assumed().Group(nail.HindOuter, Where{Age: 200, Weight: 22, Pavement: 15})
	assert.InDelta(t, 0.1*0.1+mat.Inner(x, cov, x), got.SD*got.SD, 1e-12)
	assert.InDelta(t, 1.1-0.045*f*15, got.Mean, 1e-12)
}

// Pavement wears nails, hind outer ones most, a dewclaw never (common practice, no source).
func TestPavementWears(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := Where{Age: rapid.Float64Range(8, 800).Draw(t, "age"), Weight: rapid.Float64Range(2, 80).Draw(t, "weight")}
		little, much := w, w
		little.Pavement, much.Pavement = rapid.Float64Range(0, 20).
			Draw(t, "km"),
			rapid.Float64Range(20, 80).
				Draw(t, "more km")
		r := Assumed()
		for _, g := range nail.Groups() {
			if r.Group(g, much).Mean > r.Group(g, little).Mean {
				t.Fatalf("%s grew faster on more pavement", g)
			}
			if r.Group(g, much).Mean < leastNet {
				t.Fatalf("%s stopped growing", g)
			}
		}
		if r.Group(nail.Dewclaw, much).Mean != r.Gross(w).Mean {
			t.Fatal("a dewclaw was worn")
		}
		if r.Group(nail.HindOuter, little).Mean > r.Group(nail.Fore, little).Mean {
			t.Fatal("fore nails wear more than hind outer ones")
		}
	})
}

func seen(group nail.Group, weeks, grown float64) Observation {
	return Observation{Group: group, Weeks: weeks, Grown: grown, Pavement: 15, Age: 200, Weight: 22}
}

// The worked example of docs/model.md, section D.
func TestWorkedExample(t *testing.T) {
	r := Learn([]Observation{seen(nail.Fore, 2, 1.6), seen(nail.Dewclaw, 2, 2.4), seen(nail.HindOuter, 4, 1.0)})
	here := Where{Age: 200, Weight: 22, Pavement: 15}
	gross := r.Gross(here)
	assert.InDelta(t, 1.108, gross.Mean, 0.0005)
	assert.InDelta(t, 0.201, gross.SD, 0.0005)
	for group, net := range map[nail.Group]float64{
		nail.Fore: 0.799, nail.HindMiddle: 0.643, nail.HindOuter: 0.276, nail.Dewclaw: 1.108,
	} {
		assert.InDelta(t, net, r.Group(group, here).Mean, 0.0005, group)
	}
}

// Two readings of dewclaws by hand. A dewclaw tells of the gross rate alone, so the update is that
// of a normal mean with known variance (Gelman et al., Bayesian Data Analysis, eq. 2.12): prior 1.1
// ± 0.35; each reading has variance (0.5√2/2)² + 0.1² = 0.135.
func TestTwoObservationsByHand(t *testing.T) {
	prior, each := 1/(0.35*0.35), 1/(0.5*0.5*2/4+0.1*0.1)
	mean := (prior*1.1 + each*1.3 + each*1.5) / (prior + 2*each)
	got := Learn(
		[]Observation{seen(nail.Dewclaw, 2, 2.6), seen(nail.Dewclaw, 2, 3.0)},
	).Gross(Where{Age: 200, Weight: 22, Pavement: 15})
	assert.InDelta(t, mean, got.Mean, 1e-12)
	assert.InDelta(t, math.Sqrt(1/(prior+2*each)), got.SD, 1e-12)
}

func TestAPuppysGrowthIsNotTheAdults(t *testing.T) {
	young := seen(nail.Dewclaw, 2, 3.0)
	young.Age = 30
	r := Learn([]Observation{young, young, young})
	assert.InDelta(t, grossYoung, r.Gross(Where{Age: 30, Weight: 22, Pavement: 0}).Mean, 1e-9, "as usual at its age")
	assert.InDelta(t, grossAdult, r.Gross(Where{Age: 100, Weight: 22, Pavement: 0}).Mean, 1e-9, "and so as usual later")
}

// 21 mm written for 12, a nail that broke: named, beside what fits.
func TestASlipIsNamed(t *testing.T) {
	var sound []Observation
	for _, code := range nail.All() {
		if code.Standard() {
			o := seen(code.Group(), 2, 1.8)
			sound = append(sound, o, o, o)
		}
	}
	slipped := append(append([]Observation{}, sound...), sound[0], sound[10])
	slipped[len(sound)].Grown, slipped[len(sound)+1].Grown = 10.8, -6
	rates := Learn(sound)
	assert.Equal(t, []int{len(sound), len(sound) + 1}, rates.Outliers(slipped))
	assert.Empty(t, rates.Outliers(sound))
}

// Dogs drawn from the model itself: the gross rate lies within its 90 % range nine times in ten,
// and the ground's share is told apart from growth by the dewclaws and the change of walking.
func TestRatesAreCalibrated(t *testing.T) {
	noise := rand.New(rand.NewPCG(4, 2))
	const dogs = 400
	within, outer := 0, 0
	for range dogs {
		usual := 1.1 + grossSD*noise.NormFloat64()
		takes := map[nail.Group]float64{}
		for _, g := range nail.Groups() {
			takes[g] = wear[g].mean + wear[g].sd*noise.NormFloat64()
		}
		var all []Observation
		for _, code := range nail.All() {
			if !code.Standard() {
				continue
			}
			for sitting := range 8 {
				own := scatterSD * noise.NormFloat64()
				o := Observation{
					Group:    code.Group(),
					Weeks:    3,
					Age:      200,
					Weight:   20,
					Pavement: float64(4 + 12*(sitting/4)),
				}
				o.Grown = 3*(usual+own-takes[o.Group]*o.Pavement) + math.Sqrt2*caliperSD*noise.NormFloat64()
				all = append(all, o)
			}
		}
		r := Learn(all)
		if g := r.Gross(Where{Age: 200, Weight: 20, Pavement: 0}); math.Abs(g.Mean-usual) < 1.6449*g.SD {
			within++
		}
		if math.Abs(r.mean[outerWear]-takes[nail.HindOuter]) < 1.6449*math.Sqrt(r.cov.At(outerWear, outerWear)) {
			outer++
		}
	}
	assert.InDelta(t, 0.9*dogs, within, 24, "four standard deviations of a count of 400")
	assert.InDelta(t, 0.9*dogs, outer, 24)
}

func TestObservationsThatCannotBe(t *testing.T) {
	assert.Len(t, Observation{Weeks: 0, Grown: 99, Pavement: -1}.Check(), 3)
	assert.Empty(t, seen(nail.Fore, 2, 1.6).Check())
}

func BenchmarkLearnThreeYears(b *testing.B) {
	var all []Observation
	for _, code := range nail.All() {
		for range 78 {
			o := seen(code.Group(), 2, 1.8)
			all = append(all, o)
		}
	}
	for b.Loop() {
		Learn(all)
	}
}

// The 90th percentile of a normal: 1.2816 standard deviations (NIST/SEMATECH handbook, 1.3.6.7.1).
func TestACautiousRateIsOneDogsInTen(t *testing.T) {
	assert.InDelta(t, 1.12816, Cautious(Rate{Mean: 1, SD: 0.1}), 1e-5)
}
