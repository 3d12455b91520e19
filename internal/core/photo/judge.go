package photo

import (
	"image"
	"math"
	"slices"
)

// looks are what of a card's outline is seen where it should be, as shares.
type looks struct {
	sides [4]float64 // of each side, but for its ends, is an edge
	arcs  float64    // of the round corners is one, and not where straight edges would have met
	past  float64    // of the sides' way on beyond the corners is one as well, as strong: a card's goes no further
}

// Outline is what of a card's outline a picture shows where its corners were put.
type Outline struct {
	Sides [4]float64 // of each side, from one corner to the next, the share that is an edge
}

// OutlineOf looks along the sides of a card in a picture. It is told corners that Shot.Check takes.
func OutlineOf(p *image.RGBA, quad []Point) Outline {
	a, b := looksOf(p, quad, CardWidth, CardHeight), looksOf(p, quad, CardHeight, CardWidth)
	if b.score() > a.score() {
		a = b
	}
	return Outline{a.sides}
}

// Shown tells whether there is a card's outline at all: more than chance would show.
func (o Outline) Shown() bool {
	return (o.Sides[0]+o.Sides[1]+o.Sides[2]+o.Sides[3])/4 >= leastOutline
}

// Loose is the corner, from 0, that stands off: both its sides show little edge where the two others show much.
func (o Outline) Loose() (corner int, is bool) {
	for i := range o.Sides {
		before, after := o.Sides[(i+3)%4], o.Sides[i]
		if math.Max(before, after) < looseSide && math.Min(o.Sides[(i+1)%4], o.Sides[(i+2)%4]) > firmSide {
			return i, true
		}
	}
	return 0, false
}

// score is how much of it all speaks for a card (judgement, weighed on the pictures of docs/photo.md).
func (l looks) score() float64 {
	mean, least := 0.0, 1.0
	for _, s := range l.sides {
		mean, least = mean+s/4, math.Min(least, s)
	}
	return mean + 0.3*least + 1.5*l.arcs - l.past
}

// looksOf looks along a card's outline in the whole picture.
func looksOf(p *image.RGBA, quad []Point, width, height float64) (l looks) {
	h := ontoQuad(width, height, quad)
	ends := corners(width, height)
	pasts, beyonds := 0, 0
	for i, from := range ends {
		to := ends[(i+1)%4]
		along := to.minus(from).times(1 / to.distance(from))
		out := Point{along.Y, -along.X} // the corners go round with the card to their right
		n, there := 0, 0
		var strong []float64
		for s := sideFrom; s < from.distance(to)-sideFrom; s += sideEvery {
			n++
			if off, by := profile(p, h, from.plus(along.times(s)), out); math.Abs(off) <= isThere && by >= leastEdges {
				there++
				strong = append(strong, by)
			}
		}
		l.sides[i] = float64(there) / float64(n)
		usual := leastEdges
		if len(strong) > 0 {
			slices.Sort(strong)
			usual = math.Max(usual, asStrong*strong[len(strong)/2])
		}
		for s := pastFrom; s < pastTo; s++ {
			for _, at := range []Point{from.minus(along.times(s)), to.plus(along.times(s))} {
				pasts++
				if off, by := profile(p, h, at, out); math.Abs(off) <= isThere && by >= usual {
					beyonds++
				}
			}
		}
	}
	l.past = float64(beyonds) / float64(pasts)
	n, there := 0, 0
	for _, c := range ends {
		middle := c.plus(Point{math.Copysign(CardRound, width/2-c.X), math.Copysign(CardRound, height/2-c.Y)})
		for _, share := range []float64{0.3, 0.4, 0.5, 0.6, 0.7} {
			turn := share * math.Pi / 2
			out := Point{math.Copysign(math.Cos(turn), c.X-middle.X), math.Copysign(math.Sin(turn), c.Y-middle.Y)}
			n++
			if off, by := profile(
				p,
				h,
				middle.plus(out.times(CardRound)),
				out,
			); math.Abs(off) <= isThere &&
				by >= leastEdges {
				there++
			}
		}
	}
	l.arcs = float64(there) / float64(n)
	return l
}

// profile is how far outside a point of the plane, mm, the picture changes most, and by how much.
func profile(p *image.RGBA, h Homography, at, out Point) (off, by float64) {
	const step = 0.1
	for s := -across; s <= across; s += step {
		a, b := h.Of(at.plus(out.times(s-flank))), h.Of(at.plus(out.times(s+flank)))
		if d := apart(level(p, a), level(p, b)); d > by {
			off, by = s, d
		}
	}
	return off, by
}
