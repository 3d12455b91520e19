package photo

import (
	"image"
	"math"
	"slices"
)

// Guess is where a card's corners seem to be in a picture, in their order round it: four straight edges, two by two, in
// a card's proportion by some camera, that end in round corners. It is only a start for the handles; false where
// nothing looks like a card, whatever is printed on it.
func Guess(picture *image.RGBA) ([]Point, bool) {
	best, most := []Point(nil), 0.0
	for _, coarse := range []int{640, 320} { // the coarser one sees past weave and hair
		small, by := shrunk(picture, coarse)
		quads := edgesOf(small).quads()
		for _, q := range quads[:min(mostTried, len(quads))] {
			whole, score := q.inWhole(picture, by)
			if score > most {
				best, most = whole, score
			}
		}
	}
	return best, most >= foundAt
}

// quad is four corners, and how much speaks for a card's.
type quad struct {
	corners []Point
	score   float64
}

// inWhole is the quadrilateral in the whole picture, of which each of its pixels is so many, and how much speaks for it
// there; 0 where it is no card's.
func (q quad) inWhole(picture *image.RGBA, by float64) (whole []Point, score float64) {
	for _, p := range q.corners {
		whole = append(whole, p.times(by))
	}
	for _, far := range []float64{2.5 * by, math.Max(3, by)} {
		finer, is := edged(picture, whole, far)
		if !is {
			return nil, 0
		}
		whole = finer
	}
	if !likeACard(whole) {
		return nil, 0
	}
	misfit := Shot{Width: picture.Rect.Dx(), Height: picture.Rect.Dy(), Reference: Card, Handles: whole}.misfit()
	if misfit > mostMisfit {
		return nil, 0
	}
	for _, size := range [][2]float64{{CardWidth, CardHeight}, {CardHeight, CardWidth}} {
		score = math.Max(score, looksOf(picture, whole, size[0], size[1]).score()+0.6*q.score-3*misfit)
	}
	return whole, score
}

// quads are the quadrilaterals of the picture's lines that may be a card's, the likeliest first.
func (e edges) quads() []quad {
	lines := e.lines()
	type pair struct {
		a, b line
		turn float64 // of the middle direction
	}
	var pairs []pair
	for i, a := range lines {
		for _, b := range lines[i+1:] {
			turn := math.Abs(a.angle - b.angle)
			if turn = math.Min(turn, math.Pi-turn); turn > mostConverging {
				continue
			}
			pairs = append(pairs, pair{a, b, a.angle})
		}
	}
	var all []quad
	for i, p := range pairs {
		for _, o := range pairs[i+1:] {
			turn := math.Abs(p.turn - o.turn)
			if math.Min(turn, math.Pi-turn) < leastCrossing {
				continue
			}
			if q, is := e.quad([4]line{p.a, o.a, p.b, o.b}); is {
				all = append(all, q)
			}
		}
	}
	slices.SortStableFunc(all, func(a, b quad) int { return int(math.Copysign(1, b.score-a.score)) })
	return all
}

// How two opposite sides converge at most, and two adjoining ones cross at least, radians (judgement).
const (
	mostConverging = 40 * math.Pi / 180
	leastCrossing  = 35 * math.Pi / 180
)

// quad is what four lines, in their order round, enclose; false where that is no card.
func (e edges) quad(sides [4]line) (q quad, is bool) {
	q.corners = make([]Point, 4)
	for i := range sides {
		at, is := sides[i].meets(sides[(i+1)%4])
		if !is || at.X < 0 || at.Y < 0 || at.X > float64(e.w) || at.Y > float64(e.h) {
			return q, false
		}
		q.corners[(i+1)%4] = at // side i runs from corner i to corner i+1
	}
	area := math.Abs(q.corners[2].minus(q.corners[0]).cross(q.corners[3].minus(q.corners[1]))) / 2
	if share := area / float64(e.w*e.h); share < leastShare || share > mostShare || !likeACard(q.corners) {
		return q, false
	}
	sum, past := 0.0, 0.0
	for i, l := range sides {
		a, b := l.place(q.corners[i]), l.place(q.corners[(i+1)%4])
		cut := (1 - between) / 2 * (b - a)
		its := l.edge(a+cut, b-cut)
		if its < leastSide {
			return q, false
		}
		sum += its / 4
		far, near := beyond*(b-a), 0.012*(b-a)
		past += (l.edge(a-far, a-near) + l.edge(b+near, b+far)) / 8
	}
	if sum < leastSides {
		return q, false
	}
	s := Shot{Width: e.w, Height: e.h, Reference: Card, Handles: q.corners}
	misfit := s.misfit()
	if misfit > askew {
		return q, false
	}
	q.score = sum - 0.7*past + 0.4*e.rounded(q.corners) - misfit
	return q, true
}

// rounded is which share of a card's four round corners is edge, where its straight edges would have these corners.
func (e edges) rounded(quad []Point) float64 {
	best := 0.0
	for _, size := range [][2]float64{{CardWidth, CardHeight}, {CardHeight, CardWidth}} {
		h := ontoQuad(size[0], size[1], quad)
		n, there := 0, 0
		for _, c := range corners(size[0], size[1]) {
			inwards := Point{math.Copysign(CardRound, size[0]/2-c.X), math.Copysign(CardRound, size[1]/2-c.Y)}
			middle := c.plus(inwards)
			for _, share := range []float64{0.25, 0.4, 0.5, 0.6, 0.75} {
				turn := share * math.Pi / 2
				out := Point{-math.Copysign(math.Cos(turn), inwards.X), -math.Copysign(math.Sin(turn), inwards.Y)}
				at, beside := h.Of(middle.plus(out.times(CardRound))), h.Of(middle.plus(out.times(CardRound+0.2)))
				n++
				if e.near(at, math.Atan2(beside.Y-at.Y, beside.X-at.X)) {
					there++
				}
			}
		}
		best = math.Max(best, float64(there)/float64(n))
	}
	return best
}

// near tells whether an edge with a gradient in such a direction is within a pixel of a point.
func (e edges) near(p Point, angle float64) bool {
	const off, turned = 1.3, 28 * math.Pi / 180
	for y := int(p.Y - 1.5); y <= int(p.Y+1.5); y++ {
		for x := int(p.X - 1.5); x <= int(p.X+1.5); x++ {
			if x < 0 || y < 0 || x >= e.w || y >= e.h || e.steep[y*e.w+x] == 0 {
				continue
			}
			turn := math.Mod(math.Abs(e.angle[y*e.w+x]-angle), math.Pi)
			if math.Min(turn, math.Pi-turn) < turned && p.distance(Point{float64(x) + 0.5, float64(y) + 0.5}) < off {
				return true
			}
		}
	}
	return false
}

// likeACard tells whether four corners can be a card's that is not held too much askew.
func likeACard(q []Point) bool {
	if len(q) != 4 {
		return false
	}
	const sharpest, longest = 0.5, 4.0 // sine of an angle; long edges against short ones
	short, long := math.Inf(1), 0.0
	for i := range q {
		a, b := q[(i+1)%4].minus(q[i]), q[(i+2)%4].minus(q[(i+1)%4])
		if math.Abs(a.cross(b)) < sharpest*a.length()*b.length() {
			return false
		}
		short, long = math.Min(short, a.length()), math.Max(long, a.length())
	}
	return short > 0 && long/short < longest
}
