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

// SignAt is the spare at which a dark nail shows its first sign on the mean, mm, of a nail 7 mm deep.
func (s Scales) SignAt() float64 {
	mean := 0.0
	for i, share := range s {
		mean += share * scales[i]
	}
	return mean * darkSigns[firstSign].at
}

// CarryOver is what one nail taught of the dog's faces, as the next nail begins with it:
// mostly that, and a little of what is usual, since no two nails are alike.
func (s Scales) CarryOver() Scales {
	var next Scales
	for i := range s {
		next[i] = carried*s[i] + (1-carried)*usual[i]
	}
	return next
}

// Belief is what is known of one nail's spare while it is being cut: a chance for every spare
// that it may have had at the start, in steps of a twentieth of a millimetre, jointly with how
// this dog's faces show.
//
// Faces tell the scales apart only near the quick. Beyond that all scales are alike but for their
// weight, and are kept once.
type Belief struct {
	show    shown
	removed float64 // so far, mm
	// evidence is the chance of all that was joined, in its order.
	evidence float64
	n        int // steps of the grid
	to       int // from here on there is no chance left

	apart   int                    // below this step the scales differ
	rows    [len(scales)][]float64 // the chances there, up to one factor
	alike   []float64              // from there on, to be weighed
	weights Scales
	sums    Scales // what the chances add up to at each scale
}

// NewBelief begins with a prior for the spare, of a nail so long and deep, mm.
func NewBelief(length, depth float64, colour nail.Colour, prior Prior, faces Scales) *Belief {
	b := &Belief{
		evidence: 1,
		show:     shown{light: colour == nail.Light, depth: depth / SignsDepth},
		n:        int(math.Round(length/gridStep)) + 1,
	}
	b.alike = make([]float64, b.n)
	prior.densities(b.alike)
	sum := add(b.alike)
	if !(sum > 0) { // the prior fits no spare of the grid: nothing is known
		b.any()
		return b
	}
	for b.to = b.n; b.to > 1 && b.alike[b.to-1] < impossible*sum; { // what is trimmed is nothing beside it
		b.to--
	}
	share := 1 / sum
	for i := range b.alike[:b.to] {
		b.alike[i] *= share
	}
	b.weights, b.sums = faces, faces
	return b
}

// tell makes the scales differ below a step of the grid.
func (b *Belief) tell(below int) {
	if below = min(below, b.to); below <= b.apart {
		return
	}
	if cap(b.rows[0]) < below {
		room := min(b.n, below+below/2)
		grid := make([]float64, len(scales)*room)
		for s := range b.rows {
			row := grid[s*room : s*room+b.apart : (s+1)*room]
			copy(row, b.rows[s])
			b.rows[s] = row
		}
	}
	for s, weight := range b.weights {
		row := b.rows[s][:below]
		for i := b.apart; i < below; i++ {
			row[i] = weight * b.alike[i]
		}
		b.rows[s] = row
	}
	b.apart = below
}

// add adds up the chances at a face scale.
func (b *Belief) add(s int) {
	b.sums[s] = add(b.rows[s]) + b.weights[s]*add(b.alike[b.apart:b.to])
}

// whole is what all chances add up to.
func (b *Belief) whole() float64 {
	whole := 0.0
	for _, sum := range b.sums {
		whole += sum
	}
	return whole
}

// upTo is what the chances below a step of the grid add up to.
func (b *Belief) upTo(below int) float64 {
	below = max(0, min(below, b.to))
	sum := 0.0
	for s, weight := range b.weights {
		sum += add(b.rows[s][:min(below, b.apart)])
		if below > b.apart {
			sum += weight * add(b.alike[b.apart:below])
		}
	}
	return sum
}

// each goes through the steps of the grid that have any chance left, until told to stop.
func (b *Belief) each(do func(i int, chance float64) bool) {
	for i := range b.apart {
		if !do(i, b.rows[0][i]+b.rows[1][i]+b.rows[2][i]+b.rows[3][i]+b.rows[4][i]) {
			return
		}
	}
	weight := 0.0
	for _, w := range b.weights {
		weight += w
	}
	for i := b.apart; i < b.to; i++ {
		if !do(i, weight*b.alike[i]) {
			return
		}
	}
}

func spareAt(i int) float64 { return gridStep * float64(i) }

// Clone is a copy that may be told more by itself.
func (b *Belief) Clone() *Belief {
	c := *b
	c.alike = slices.Clone(b.alike)
	for s := range b.rows {
		c.rows[s] = slices.Clone(b.rows[s])
	}
	return &c
}

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
	power, scale := g.Mean*g.Mean/(g.SD*g.SD)-1, g.SD*g.SD/g.Mean
	mean := math.Log(g.Mean)
	for i := range grid {
		x := spareAt(i)
		if i == 0 {
			x = leastSpare
		}
		if grid[i] = math.Exp(power*(logSpareAt(i)-mean) - (x-g.Mean)/scale); grid[i] < impossible && x > g.Mean {
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

// believe joins what was seen: join multiplies the chances by that of seeing it. What is seen
// overrules what was believed: where nothing fits both, the belief begins again from what was seen,
// any spare as likely as another. What fits no spare at all, such as more off than the nail is long,
// leaves nothing known: every spare as likely as another, which gives leave to no cut.
func (b *Belief) believe(join func()) {
	before := b.whole()
	join()
	b.evidence *= math.Max(b.whole()/before, impossible)
	if b.fits(before * impossible) {
		return
	}
	b.any()
	if join(); b.fits(0) {
		return
	}
	b.any()
}

// fits tells whether any chance is left that is more than least, and keeps the chances from
// becoming too small for a number.
func (b *Belief) fits(least float64) bool {
	whole := b.whole()
	if !(whole > least) { // not a number either
		return false
	}
	if whole > smallest {
		return true
	}
	for s := range b.rows {
		for i := range b.rows[s] {
			b.rows[s][i] /= whole
		}
		b.weights[s] /= whole
		b.add(s)
	}
	return true
}

// any makes any spare as likely as another.
func (b *Belief) any() {
	b.to, b.apart = b.n, 0
	for i := range b.alike {
		b.alike[i] = 1 / float64(b.n)
	}
	for s := range b.rows {
		b.rows[s] = b.rows[s][:0]
	}
	b.weights, b.sums = usual, usual
}

// ReadBy is that from now on the faces are told by somebody who takes such a share of the ends for the next milder
// face.
func (b *Belief) ReadBy(milder float64) { b.show.milder = milder }

// See joins a landmark that shows the quick's end so many mm of spare away from the tip. One of
// no known kind places nothing.
func (b *Belief) See(l Seen) {
	if !l.Mark.Known() {
		return
	}
	seen := Spare{l.Spare, l.off()}
	b.believe(func() {
		for i := range b.to {
			likely := bell(spareAt(i), seen)
			if i >= b.apart {
				b.alike[i] *= likely
				continue
			}
			for s := range b.rows {
				b.rows[s][i] *= likely
			}
		}
		for s := range b.sums {
			b.add(s)
		}
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

// CutMilder joins a cut whose face nobody told, but of a nail that showed the sign of that school only later.
func (b *Belief) CutMilder(mm float64, stop EndPoint) { b.cut(mm, stop.place()+1, len(b.show.signs())) }

// CutToSign joins a cut whose face nobody told, but that showed the sign of that school or a worse one, and
// did not bleed.
func (b *Belief) CutToSign(mm float64, stop EndPoint) { b.cut(mm, 1, stop.place()) }

// place is that of the school's sign among a nail's signs: blood, dot, the first sign.
func (s EndPoint) place() int {
	if s == Full {
		return firstSign - 1
	}
	return firstSign
}

// Evidence is how likely all that was joined so far was, taken together: what tells two stories of the same
// nail apart. It is relative: only the evidence of beliefs that began alike may be compared.
func (b *Belief) Evidence() float64 { return b.evidence }

// cut joins a cut that showed one of the faces from the worst of these places to the mildest, the
// place after the last being none of them.
func (b *Belief) cut(mm float64, worst, mildest int) {
	b.removed += mm
	tip, chances := b.once(b.removed)
	b.believe(func() {
		farthest := worst - 1 // the mildest sign that says anything
		if mildest < len(b.show.signs()) {
			farthest = mildest
		}
		end := 0
		for s := range scales {
			surely, reach := chances.stretch(farthest, s, -tip, b.to)
			end = max(end, surely+len(reach))
		}
		b.tell(end)
		far := farthest < mildest // what lies farther away stays as it was; else it has none left
		if !far {
			b.to, b.apart = end, end
		}
		for s, before := range b.sums {
			b.rows[s] = b.rows[s][:b.apart]
			if chances.join(worst, mildest, s, -tip, b.rows[s][:end], &b.sums[s]); far && b.sums[s] < before/1000 {
				b.add(s) // a difference of two numbers almost alike
			}
		}
	})
}

// once are the chances of faces once so much has come off, mm, and the step of the grid that would
// then be the tip.
func (b *Belief) once(removed float64) (int, *chances) {
	whole := math.Floor(removed/gridStep + hair)
	at := b.show
	at.part = math.Round((removed/gridStep-whole)*parts) / parts
	if at.part == 1 {
		whole, at.part = whole+1, 0
	}
	return int(whole), at.chances()
}
