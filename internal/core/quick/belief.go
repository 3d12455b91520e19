package quick

import (
	"math"
	"slices"

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
	show    shown
	removed float64 // so far, mm
	p       [len(scales)][]float64

	from, to int       // the stretch of the grid that has any chance left
	likely   []float64 // to work in
}

// NewBelief begins with a prior for the spare, of a nail so long and deep, mm.
func NewBelief(length, depth float64, colour nail.Colour, prior Prior, faces Scales) *Belief {
	n := int(math.Round(length/gridStep)) + 1
	grid := make([]float64, (len(scales)+1)*n)
	row := func(i int) []float64 { return grid[i*n : (i+1)*n : (i+1)*n] }
	b := &Belief{show: shown{light: colour == nail.Light, depth: depth / SignsDepth}, to: n, likely: row(0)}
	prior.densities(b.likely)
	sum := 0.0
	for _, likely := range b.likely {
		sum += likely
	}
	for s := range b.p {
		b.p[s] = row(1 + s)
	}
	if !(sum > 0) { // the prior fits no spare of the grid: nothing is known
		b.any()
		b.normalise(float64(n), 0)
		return b
	}
	for b.to > 1 && b.likely[b.to-1] < impossible*sum {
		b.to--
	}
	for s := range b.p {
		for i, likely := range b.likely[:b.to] {
			b.p[s][i] = faces[s] * likely / sum
		}
	}
	return b
}

func spareAt(i int) float64 { return gridStep * float64(i) }

// Prior is what is believed of a spare before its nail is worked.
type Prior interface {
	densities(grid []float64) // at every spare of the grid, over that at its mean
}

func (s Spare) densities(grid []float64) {
	for i := range grid {
		grid[i] = bell(spareAt(i), s)
	}
}

// Gamma is a belief about a spare that is never below 0 and has no long tail towards the quick: the
// gamma distribution of this mean and standard deviation, mm.
type Gamma struct{ Mean, SD float64 }

func (g Gamma) densities(grid []float64) {
	shape, scale := g.Mean*g.Mean/(g.SD*g.SD), g.SD*g.SD/g.Mean
	mean := math.Log(g.Mean)
	for i := range grid {
		x := math.Max(spareAt(i), leastSpare)
		if grid[i] = math.Exp((shape-1)*(logSpareAt(i)-mean) - (x-g.Mean)/scale); grid[i] < 1/longOdds && x > g.Mean {
			clear(grid[i:]) // and ever less from here on
			break
		}
	}
}

// logSpares are the logarithms of the grid's spares, of nails up to the longest that can be.
var logSpares = func() (logs [int(mostLength/gridStep) + 1]float64) {
	for i := range logs {
		logs[i] = math.Log(math.Max(spareAt(i), leastSpare))
	}
	return logs
}()

func logSpareAt(i int) float64 {
	if i < len(logSpares) {
		return logSpares[i]
	}
	return math.Log(spareAt(i))
}

func bell(x float64, s Spare) float64 {
	z := (x - s.Mean) / s.SD
	return math.Exp(-z * z / 2)
}

// normalise makes the chances add up to 1; sum is what they add up to. It tells false, and changes
// nothing, when that, the chance of what was seen, is less than least: it contradicts all that was
// believed.
func (b *Belief) normalise(sum, least float64) bool {
	if !(sum > least) { // not a number either
		return false
	}
	from, to := b.to, b.from
	share := 1 / sum
	for s := range b.p {
		p := b.p[s][b.from:b.to]
		for i := range p {
			p[i] *= share
		}
		first, last := 0, len(p)
		for first < last && p[first] < impossible {
			first++
		}
		for last > first && p[last-1] < impossible {
			last--
		}
		if first < last {
			from, to = min(from, b.from+first), max(to, b.from+last)
		}
	}
	for s := range b.p { // what lies outside is none
		clear(b.p[s][b.from:from])
		clear(b.p[s][to:b.to])
	}
	b.from, b.to = from, to
	return true
}

// believe joins what was seen: likely gives the chance of seeing it, at a face scale, for the
// stretch of the grid that has any chance left. What is seen overrules what was believed: where
// nothing fits both, the belief begins again from what was seen, any spare as likely as another.
// What fits no spare at all, such as more off than the nail is long, leaves nothing known: every
// spare as likely as another, which gives leave to no cut.
func (b *Belief) believe(likely func(scale int) []float64) {
	if b.normalise(b.join(likely), impossible) {
		return
	}
	b.from, b.to = 0, len(b.likely)
	b.any()
	if b.normalise(b.join(likely), 0) {
		return
	}
	b.any()
	b.normalise(float64(len(b.likely)), 0)
}

// any makes any spare as likely as another.
func (b *Belief) any() {
	for s := range b.p {
		for i := range b.p[s] {
			b.p[s][i] = usual[s]
		}
	}
}

// join multiplies what was believed by what was seen, and returns what that adds up to.
func (b *Belief) join(likely func(scale int) []float64) float64 {
	sum := 0.0
	for s := range scales {
		p := b.p[s][b.from:b.to]
		seen := likely(s)[:len(p)]
		for i, l := range seen {
			p[i] *= l
			sum += p[i]
		}
	}
	return sum
}

// See joins a landmark that shows the quick's end so many mm of spare away from the tip. One of
// no known kind places nothing.
func (b *Belief) See(mark Landmark, spare float64) {
	sd, known := landmarkSD[mark]
	if !known {
		return
	}
	seen := Spare{spare, sd}
	b.believe(func(int) []float64 {
		into := b.likely[b.from:b.to]
		for i := range into {
			into[i] = bell(spareAt(b.from+i), seen)
		}
		return into
	})
}

// Cut joins what a cut of so many mm showed. A face without blood is itself evidence that the
// quick was not reached.
func (b *Belief) Cut(mm float64, face Face) {
	place := slices.IndexFunc(b.show.signs(), func(s sign) bool { return s.face == face })
	if place < 0 {
		place = len(b.show.signs()) // white: none of them
	}
	b.cut(mm, place, place)
}

// CutUnread joins a cut whose face nobody told, but that did not bleed.
func (b *Belief) CutUnread(mm float64) { b.cut(mm, 1, len(b.show.signs())) }

// CutMilder joins a cut whose face nobody told, but of a nail that showed the first sign only later.
func (b *Belief) CutMilder(mm float64) { b.cut(mm, firstSign+1, len(b.show.signs())) }

// cut joins a cut that showed one of the faces from the worst of these places to the mildest.
func (b *Belief) cut(mm float64, worst, mildest int) {
	b.removed += mm
	whole, chances := b.once(b.removed)
	b.believe(func(scale int) []float64 {
		return chances.between(worst, mildest, scale, b.from-whole, b.likely[:b.to-b.from])
	})
}

// once are the chances of faces once so much has come off, mm, and the step of the grid that would
// then be the tip.
func (b *Belief) once(removed float64) (int, *chances) {
	whole := math.Floor(removed/gridStep + hair)
	at := b.show
	if at.part = removed/gridStep - whole; math.Abs(at.part) < hair {
		at.part = 0
	}
	return int(whole), at.chances()
}

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
	whole, chances := b.once(b.removed + mm)
	sum := 0.0
	for s := range scales {
		p := b.p[s][b.from:b.to]
		surely, reach := chances.stretch(0, s, b.from-whole, len(p))
		for _, one := range p[:surely] {
			sum += one
		}
		for i, chance := range reach {
			sum += p[surely+i] * chance
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
	last := min(b.to-1, int(math.Floor(spare/gridStep+hair)))
	sum := 0.0
	for s := range b.p {
		for i := b.from; i <= last; i++ {
			sum += b.p[s][i]
		}
	}
	return math.Min(1, sum)
}

// Quantile is the spare at the start that it is at most with the chance q, mm.
func (b *Belief) Quantile(q float64) float64 {
	sum := 0.0
	for i := b.from; i < b.to; i++ {
		for s := range b.p {
			sum += b.p[s][i]
		}
		if sum >= q {
			return spareAt(i)
		}
	}
	return spareAt(b.to - 1)
}

// Faces is what the faces so far say of how this dog's faces show.
func (b *Belief) Faces() Scales {
	var f Scales
	for s := range b.p {
		for _, p := range b.p[s][b.from:b.to] {
			f[s] += p
		}
	}
	return f
}
