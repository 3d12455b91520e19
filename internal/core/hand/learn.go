package hand

import (
	"fmt"
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/say"
)

// Learnt is what a hand's slices off a stick say of it, with ranges that hold nine times in ten.
type Learnt struct {
	Slices Slices
	Times  estimate.Estimate // as thick as meant
	Spread estimate.Estimate // one standard deviation of a slice meant to be so thick, mm
	Usual  float64           // the same of most hands, mm
	Meant  float64           // how thick the slices were meant to be, mm
	Count  int
}

// Learn is how a hand's slices come out, by some of them that were all meant to be so many mm thick. What most hands
// do counts beside them, and what the measuring adds to their differences is taken out. It returns fault.Fields where
// they tell nothing.
func Learn(meant float64, read []measure.Number) (Learnt, error) {
	if err := Check(meant, read); err != nil {
		return Learnt{}, err
	}
	n := float64(len(read))
	mean, noise := 0.0, 0.0
	for _, x := range read {
		mean += x.MM / n
		noise += x.SD * x.SD / n
	}
	square := 0.0
	for _, x := range read {
		square += (x.MM - mean) * (x.MM - mean)
	}
	usual := usualSD(meant)
	own := math.Max(0, square/(n-1)-noise) // a hand's own variance, mm²
	freedom := priorCount + n - 1
	variance := (priorCount*usual*usual + (n-1)*own) / freedom
	least, most := leastSpread*usual, mostSpread*usual
	sd := math.Min(most, math.Max(least, math.Sqrt(variance)))

	// The mean: what most hands do is as good as a measurement of its own (two normals).
	of := (sd*sd + noise) / n / (meant * meant)
	prior := timesSD * timesSD
	times := (mean/meant*prior + of) / (prior + of)
	timesOff := math.Sqrt(prior * of / (prior + of))

	chi := distuv.ChiSquared{K: freedom}
	seen := math.Sqrt((priorCount*usual*usual + (n-1)*(own+noise)) / freedom)
	bound := func(q float64) float64 { // of the sd, its own and the measuring's together, less the measuring's
		both := seen * seen * freedom / chi.Quantile(q)
		return math.Min(most, math.Max(least, math.Sqrt(math.Max(0, both-noise*(n-1)/freedom))))
	}
	return Learnt{
		Slices: Slices{Times: times, Spread: sd / usual},
		Times:  estimate.Normal(times, timesOff, estimate.Measured),
		Spread: estimate.Estimate{
			Value:  sd,
			Low:    math.Min(sd, bound(0.95)),
			High:   math.Max(sd, bound(0.05)),
			Source: estimate.Measured,
		},
		Usual: usual,
		Meant: meant,
		Count: len(read),
	}, nil
}

// Check refuses slices that tell nothing of a hand, by name: meant_mm, slices.
func Check(meant float64, read []measure.Number) error {
	var f fault.Fields
	f.Range("meant_mm", meant, LeastMeant, MostMeant, fault.MM)
	if len(read) < fewest || len(read) > most {
		f.Add(
			"slices",
			len(read),
			say.Of(mustBeAtLeastSlices, say.Args{"fewest": say.Count(fewest), "most": say.Whole(most)}),
		)
		return f.Err()
	}
	mean := 0.0
	for i, x := range read {
		f.Range(fmt.Sprintf("slices[%d]", i), x.MM, meant/within/within, meant*within*within, fault.MM)
		mean += x.MM / float64(len(read))
	}
	if len(f) == 0 && (mean < meant/within || mean > meant*within) {
		f.Add("meant_mm", meant, say.Of(mustBeWhatTheSlices, say.Args{"mean": say.Length(mean)}))
	}
	return f.Err()
}
