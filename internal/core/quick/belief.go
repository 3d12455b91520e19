package quick

import (
	"math"

	"fribbet/internal/core/nail"
)

// Scales are the factors by which this dog's faces may show earlier or later than most dogs',
// and Weights how likely each is of a dog nobody knows (judgement).
type Scales [5]float64

var (
	scales = Scales{0.5, 0.75, 1, 1.25, 1.5}
	usual  = Scales{0.1, 0.2, 0.4, 0.2, 0.1}
)

// UsualScales is how likely each face scale is of a dog whose faces nobody has read.
func UsualScales() Scales { return usual }

// CarryOver is what one nail taught of the dog's faces, as the next nail begins with it:
// mostly that, and a little of what is usual, since no two nails are alike.
func (s Scales) CarryOver() Scales {
	var next Scales
	for i := range s {
		next[i] = carried*s[i] + (1-carried)*usual[i]
	}
	return next
}

// Landmark is a way to see where the quick ends before anything is cut.
type Landmark string

const (
	SeenThrough Landmark = "seen" // through the nail
	ByTorch     Landmark = "torch"
	Groove      Landmark = "groove" // the end of the hollow on the underside
	Hook        Landmark = "hook"   // where the thin curved end begins
)

// landmarkSD is how well each places the quick, mm (judgement).
var landmarkSD = map[Landmark]float64{SeenThrough: seenSD, ByTorch: 0.8, Groove: GrooveSD, Hook: 1.5}

// Known tells whether it is one of these.
func (l Landmark) Known() bool { return landmarkSD[l] > 0 }

// Belief is what is known of one nail's spare while it is being cut: a chance for every spare
// that it may have had at the start, in steps of a twentieth of a millimetre, jointly with how
// this dog's faces show.
type Belief struct {
	signs   []sign
	depth   float64 // ridge to underside, over that of the nail the signs are told for
	removed float64 // so far, mm
	p       [len(scales)][]float64

	from, to       int       // the stretch of the grid that has any chance left
	likely, milder []float64 // to work in
}

// NewBelief begins with a prior for the spare, of a nail so long and deep, mm.
func NewBelief(length, depth float64, colour nail.Colour, prior Prior, faces Scales) *Belief {
	n := int(math.Round(length/gridStep)) + 1
	b := &Belief{signs: signsOf(colour), depth: depth / SignsDepth, to: n, likely: make([]float64, n), milder: make([]float64, n)}
	likely := make([]float64, n)
	for i := range likely {
		likely[i] = prior.density(spareAt(i))
	}
	for s := range b.p {
		b.p[s] = make([]float64, n)
		for i := range b.p[s] {
			b.p[s][i] = faces[s] * likely[i]
		}
	}
	b.normalise(0)
	return b
}

func spareAt(i int) float64 { return gridStep * float64(i) }

// Prior is what is believed of a spare before its nail is worked.
type Prior interface {
	density(spare float64) float64 // over that at its mean
}

func (s Spare) density(x float64) float64 { return bell(x, s) }

// Gamma is a belief about a spare that is never below 0 and has no long tail towards the quick: the
// gamma distribution of this mean and standard deviation, mm.
type Gamma struct{ Mean, SD float64 }

func (g Gamma) density(x float64) float64 {
	x = math.Max(x, leastSpare)
	shape, scale := g.Mean*g.Mean/(g.SD*g.SD), g.SD*g.SD/g.Mean
	return math.Exp((shape-1)*math.Log(x/g.Mean) - (x-g.Mean)/scale)
}

func bell(x float64, s Spare) float64 {
	z := (x - s.Mean) / s.SD
	return math.Exp(-z * z / 2)
}

// normalise makes the chances add up to 1. It tells false, and changes nothing, when what they add
// up to, the chance of what was seen, is less than least: it contradicts all that was believed.
func (b *Belief) normalise(least float64) bool {
	sum := 0.0
	for s := range b.p {
		for _, p := range b.p[s][b.from:b.to] {
			sum += p
		}
	}
	if !(sum > least) { // not a number either
		return false
	}
	from, to := b.to, b.from
	for s := range b.p {
		for i := b.from; i < b.to; i++ {
			if b.p[s][i] /= sum; b.p[s][i] < impossible {
				b.p[s][i] = 0
				continue
			}
			from, to = min(from, i), max(to, i+1)
		}
	}
	b.from, b.to = from, to
	return true
}

// believe joins what was seen: likely fills in the chance of seeing it at every spare, at a face
// scale. What is seen overrules what was believed: where nothing fits both, the belief begins
// again from what was seen, any spare as likely as another. What fits no spare at all, such as
// more off than the nail is long, leaves nothing known: every spare as likely as another, which
// gives leave to no cut.
func (b *Belief) believe(likely func(scale float64, into []float64)) {
	for s, scale := range scales {
		likely(scale*b.depth, b.likely)
		for i := b.from; i < b.to; i++ {
			b.p[s][i] *= b.likely[i]
		}
	}
	if b.normalise(impossible) {
		return
	}
	b.from, b.to = 0, len(b.likely)
	for s, scale := range scales {
		likely(scale*b.depth, b.likely)
		for i := range b.p[s] {
			b.p[s][i] = usual[s] * b.likely[i]
		}
	}
	if b.normalise(0) {
		return
	}
	for s := range b.p {
		for i := range b.p[s] {
			b.p[s][i] = usual[s]
		}
	}
	b.normalise(0)
}

// See joins a landmark that shows the quick's end so many mm of spare away from the tip. One of
// no known kind places nothing.
func (b *Belief) See(mark Landmark, spare float64) {
	sd, known := landmarkSD[mark]
	if !known {
		return
	}
	seen := Spare{spare, sd}
	b.believe(func(_ float64, into []float64) {
		for i := range into {
			into[i] = bell(spareAt(i), seen)
		}
	})
}

// Cut joins what a cut of so many mm showed. A face without blood is itself evidence that the
// quick was not reached.
func (b *Belief) Cut(mm float64, face Face) {
	b.take(mm)
	b.believe(func(scale float64, into []float64) { b.shows(face, scale, into) })
}

// CutUnread joins a cut whose face nobody told, but that did not bleed.
func (b *Belief) CutUnread(mm float64) {
	b.take(mm)
	b.believe(func(scale float64, into []float64) {
		b.shows(Blood, scale, into)
		for i := range into {
			into[i] = 1 - into[i]
		}
	})
}

// CutMilder joins a cut whose face nobody told, but of a nail that showed the first sign only later.
func (b *Belief) CutMilder(mm float64) {
	b.take(mm)
	b.believe(func(scale float64, into []float64) {
		b.shows(b.signs[firstSign].face, scale, into)
		for i := range into {
			into[i] = 1 - b.milder[i] // which is now the chance of that sign or a worse one
		}
	})
}

// Moments are the mean and variance of the spare before the first cut.
func (b *Belief) Moments() (mean, variance float64) {
	s := b.Start()
	return s.Mean, math.Max(s.SD*s.SD, gridStep*gridStep/12)
}

func (b *Belief) take(mm float64) {
	b.removed += mm
}

// shows fills in chance at every spare of the grid. Along the grid each sign's exponential grows
// by one factor from point to point, so that none has to be worked out inside the loop.
func (b *Belief) shows(face Face, scale float64, into []float64) {
	clear(b.milder)
	for _, s := range b.signs {
		odds := math.Exp((spareAt(b.from) - b.removed - s.at*scale) / s.width)
		factor := math.Exp(gridStep / s.width)
		for i := b.from; i < b.to; i++ {
			below := b.milder[i]
			here := 1 / (1 + odds)
			if here < below {
				here = below
			}
			into[i], b.milder[i] = here-below, here
			odds *= factor
		}
		if s.face == face {
			return
		}
	}
	for i := b.from; i < b.to; i++ {
		into[i] = 1 - b.milder[i]
	}
}

// Removed is what has come off so far, mm.
func (b *Belief) Removed() float64 { return b.removed }

// Risk is the chance that a next cut of so many mm reaches the quick.
func (b *Belief) Risk(mm float64) float64 { return b.below(b.removed + mm) }

// Bleeds is the chance that a next cut of so many mm bleeds: a little more than Risk, since a
// quick that was just not reached may bleed too.
func (b *Belief) Bleeds(mm float64) float64 {
	sum := 0.0
	for i := b.from; i < b.to; i++ {
		likely := b.signs[0].atOrBelow(spareAt(i)-b.removed-mm, 1)
		if likely < impossible {
			break
		}
		for s := range b.p {
			sum += b.p[s][i] * likely
		}
	}
	return math.Min(1, sum)
}

// Start is what is believed of the spare before the first cut, as a normal.
func (b *Belief) Start() Spare { return b.lessOff(0) }

// Left is what is believed of the spare that is left, as a normal.
func (b *Belief) Left() Spare { return b.lessOff(b.removed) }

func (b *Belief) lessOff(removed float64) Spare {
	mean, square := 0.0, 0.0
	for i := b.from; i < b.to; i++ {
		p := 0.0
		for s := range b.p {
			p += b.p[s][i]
		}
		left := math.Max(0, spareAt(i)-removed)
		mean += p * left
		square += p * left * left
	}
	return Spare{mean, math.Max(gridStep/math.Sqrt(12), math.Sqrt(math.Max(0, square-mean*mean)))}
}

// below is the chance that the spare at the start was at most this, mm.
func (b *Belief) below(spare float64) float64 {
	last := min(len(b.p[0])-1, int(math.Floor(spare/gridStep+hair)))
	sum := 0.0
	for s := range b.p {
		for i := 0; i <= last; i++ {
			sum += b.p[s][i]
		}
	}
	return math.Min(1, sum)
}

// Quantile is the spare at the start that it is at most with the chance q, mm.
func (b *Belief) Quantile(q float64) float64 {
	sum := 0.0
	for i := range b.p[0] {
		for s := range b.p {
			sum += b.p[s][i]
		}
		if sum >= q {
			return spareAt(i)
		}
	}
	return spareAt(len(b.p[0]) - 1)
}

// Faces is what the faces so far say of how this dog's faces show.
func (b *Belief) Faces() Scales {
	var f Scales
	for s := range b.p {
		for _, p := range b.p[s] {
			f[s] += p
		}
	}
	return f
}
