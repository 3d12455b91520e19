package quick

import "math"

// Moments are the mean and variance of the spare before the first cut.
func (b *Belief) Moments() (mean, variance float64) {
	s := b.Start()
	return s.Mean, math.Max(s.SD*s.SD, gridStep*gridStep/12)
}

// Removed is what has come off so far, mm.
func (b *Belief) Removed() float64 { return b.removed }

// Risk is the chance that a next cut of so many mm reaches the quick.
func (b *Belief) Risk(mm float64) float64 { return b.below(b.removed + mm) }

// Bleeds is the chance that a next cut of so many mm bleeds: a little more than Risk, since a
// quick that was just not reached may bleed too.
func (b *Belief) Bleeds(mm float64) float64 {
	tip, chances := b.once(b.removed + mm)
	sum := 0.0
	for s := range scales {
		surely, reach := chances.stretch(0, s, -tip, b.to)
		b.tell(surely + len(reach))
		row := b.rows[s]
		sum += add(row[:surely])
		for i, chance := range reach {
			sum += row[surely+i] * chance
		}
	}
	return math.Min(1, sum/b.whole())
}

// ShowsGrey tells whether the nail shows light grey before the first sign.
func (b *Belief) ShowsGrey() bool { return len(b.show.signs()) > firstSign+1 }

// PressBleeds is the chance that a nail bleeds of a hand that takes these cuts one after the other, mm, each as
// thick as thin at most from the first light grey on (0: grey changes nothing), and stops when the first sign
// shows. It is worked out over all that is believed, cut by cut; what came off is taken up to the next step of
// the grid.
func (b *Belief) PressBleeds(cuts []float64, thin float64) float64 {
	grey := len(b.show.signs()) - 1
	if !b.ShowsGrey() || thin == 0 {
		grey = -1
	}
	p := press{grey: grey}
	deepest := 0
	for _, mm := range cuts {
		p.cuts, p.thin = append(p.cuts, steps(mm)), append(p.thin, steps(math.Min(mm, thin)))
		deepest += steps(mm)
	}
	tip, table := b.once(b.removed)
	b.tell(tip + deepest + bleedsWithin)
	sum := 0.0
	for s := range scales {
		for i, believed := range b.rows[s] {
			left := i - tip // before the next cut
			if left-deepest > bleedsWithin {
				break
			}
			if believed > 0 {
				sum += believed * table.press(s, left, p)
			}
		}
	}
	return math.Min(1, sum/b.whole())
}

// steps are those of the grid that so many mm take away, up to the next whole one.
func steps(mm float64) int { return int(math.Ceil(mm/gridStep - hair)) }

// Start is what is believed of the spare before the first cut, as a normal.
func (b *Belief) Start() Spare { return b.lessOff(0) }

// Left is what is believed of the spare that is left, as a normal.
func (b *Belief) Left() Spare { return b.lessOff(b.removed) }

func (b *Belief) lessOff(removed float64) Spare {
	sum, mean, square := 0.0, 0.0, 0.0
	b.each(func(i int, chance float64) bool {
		sum += chance
		if left := spareAt(i) - removed; left > 0 {
			mean += chance * left
			square += chance * left * left
		}
		return true
	})
	mean /= sum
	return Spare{mean, math.Max(gridStep/math.Sqrt(12), math.Sqrt(math.Max(0, square/sum-mean*mean)))}
}

// below is the chance that the spare at the start was at most this, mm.
func (b *Belief) below(spare float64) float64 {
	return math.Min(1, b.upTo(int(math.Floor(spare/gridStep+hair))+1)/b.whole())
}

// Quantile is the spare at the start that it is at most with the chance q, mm.
func (b *Belief) Quantile(q float64) float64 {
	sum, enough, at := 0.0, q*b.whole(), b.to-1
	b.each(func(i int, chance float64) bool {
		sum += chance
		at = i
		return sum < enough
	})
	return spareAt(at)
}

// Faces is what the faces so far say of how this dog's faces show.
func (b *Belief) Faces() Scales {
	f, whole := b.sums, b.whole()
	for s := range f {
		f[s] /= whole
	}
	return f
}
