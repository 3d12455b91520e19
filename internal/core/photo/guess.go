package photo

import (
	"image"
	"math"
	"slices"
)

// How the guess looks for a card (judgement).
const (
	coarse     = 360  // pixels of the longer side in which it looks first
	leastShare = 0.02 // of the picture's area that a card covers
	mostShare  = 0.7
	fills      = 0.93 // of its corners' quadrilateral: round corners and a blurred rim are missing
	samples    = 48   // along each edge
	middling   = 0.72 // of an edge is looked at: not the round corners
	search     = 0.07 // of an edge's length to either side, where it is looked for anew
)

// Guess is where a card's corners seem to be in a picture, in their order round it: an even patch with a rim of four
// straight edges. It is only a start for the handles; false where nothing looks like a card.
func Guess(picture *image.Gray) ([]Point, bool) {
	small, by := shrunk(picture)
	best, most := []Point(nil), 0.0
	rim := steepness(small)
	for _, share := range []float64{0.80, 0.86, 0.91, 0.95} { // of the picture that is even
		for _, patch := range patches(rim, share) {
			quad, fill := quadOf(patch)
			size := float64(len(patch)) / float64(small.Rect.Dx()*small.Rect.Dy())
			if fill < fills || size > mostShare || !likeACard(quad) {
				continue
			}
			if score := fill * fill * math.Sqrt(size); score > most {
				best, most = quad, score
			}
		}
	}
	if best == nil {
		return nil, false
	}
	for i := range best {
		best[i] = Point{(best[i].X + 0.5) * by, (best[i].Y + 0.5) * by}
	}
	for _, reach := range []float64{search, search / 3} {
		finer, is := edged(picture, best, reach)
		if !is {
			return nil, false
		}
		best = finer
	}
	found := Shot{Width: picture.Rect.Dx(), Height: picture.Rect.Dy(), Reference: Card, Handles: best}
	return best, likeACard(best) && found.misfit() <= mostMisfit // a wrong guess is not handed over as found
}

// shrunk is the picture made small, and how many of its pixels one of the small ones is.
func shrunk(p *image.Gray) (*image.Gray, float64) {
	w, h := p.Rect.Dx(), p.Rect.Dy()
	by := max(1, (max(w, h)+coarse-1)/coarse)
	out := image.NewGray(image.Rect(0, 0, w/by, h/by))
	for y := range out.Rect.Dy() {
		for x := range out.Rect.Dx() {
			sum := 0
			for v := y * by; v < (y+1)*by; v++ {
				row := p.Pix[v*p.Stride+x*by:]
				for u := range by {
					sum += int(row[u])
				}
			}
			out.Pix[y*out.Stride+x] = uint8(sum / (by * by)) //nolint:gosec // a mean of bytes is a byte
		}
	}
	return out, float64(by)
}

// slopes are how fast a small picture changes at each of its pixels.
type slopes struct {
	w, h int
	of   []float64
}

// steepness is by Sobel's operator.
func steepness(p *image.Gray) slopes {
	s := slopes{p.Rect.Dx(), p.Rect.Dy(), make([]float64, p.Rect.Dx()*p.Rect.Dy())}
	at := func(x, y int) float64 { return float64(p.Pix[y*p.Stride+x]) }
	for y := 1; y < s.h-1; y++ {
		for x := 1; x < s.w-1; x++ {
			gx := at(x+1, y-1) + 2*at(x+1, y) + at(x+1, y+1) - at(x-1, y-1) - 2*at(x-1, y) - at(x-1, y+1)
			gy := at(x-1, y+1) + 2*at(x, y+1) + at(x+1, y+1) - at(x-1, y-1) - 2*at(x, y-1) - at(x+1, y-1)
			s.of[y*s.w+x] = math.Hypot(gx, gy)
		}
	}
	return s
}

// patches are the connected even places, as they are when a share of the picture counts as even; those that touch the
// picture's edge are none.
func patches(s slopes, share float64) [][]Point {
	sorted := slices.Clone(s.of)
	slices.Sort(sorted)
	limit := sorted[int(share*float64(len(sorted)-1))]
	seen := make([]bool, len(s.of))
	for i, steep := range s.of {
		seen[i] = steep > limit
	}
	var all [][]Point
	for start := range seen {
		if seen[start] {
			continue
		}
		var patch []Point
		touches := false
		seen[start] = true
		for next := []int{start}; len(next) > 0; {
			i := next[len(next)-1]
			next = next[:len(next)-1]
			x, y := i%s.w, i/s.w
			patch = append(patch, Point{float64(x), float64(y)})
			if x == 0 || y == 0 || x == s.w-1 || y == s.h-1 {
				touches = true
				continue
			}
			for _, j := range []int{i - 1, i + 1, i - s.w, i + s.w} {
				if !seen[j] {
					seen[j] = true
					next = append(next, j)
				}
			}
		}
		if !touches && float64(len(patch)) >= leastShare*float64(len(seen)) {
			all = append(all, patch)
		}
	}
	return all
}

// quadOf is the largest quadrilateral with its corners on the patch's hull, and how much of it the patch fills.
func quadOf(patch []Point) (quad []Point, fill float64) {
	hull := hullOf(patch)
	const most = 144
	if len(hull) > most {
		var fewer []Point
		for i := range most {
			fewer = append(fewer, hull[i*len(hull)/most])
		}
		hull = fewer
	}
	if len(hull) < 4 {
		return nil, 0
	}
	area := 0.0
	for i := range hull {
		for k := i + 2; k < len(hull); k++ { // a diagonal, and the farthest point to either side of it
			j, l := farthest(hull, i, k), farthest(hull, k, i+len(hull))
			d := hull[k].minus(hull[i])
			if a := (math.Abs(d.cross(hull[j].minus(hull[i]))) + math.Abs(d.cross(hull[l].minus(hull[i])))) / 2; a > area {
				area, quad = a, []Point{hull[i], hull[j], hull[k], hull[l]}
			}
		}
	}
	if area == 0 {
		return nil, 0
	}
	return quad, float64(len(patch)) / area
}

// farthest is the hull's point between two of it that is farthest from the line through them.
func farthest(hull []Point, from, to int) int {
	a, b := hull[from%len(hull)], hull[to%len(hull)]
	best, most := (from+1)%len(hull), -1.0
	for i := from + 1; i < to; i++ {
		if away := math.Abs(b.minus(a).cross(hull[i%len(hull)].minus(a))); away > most {
			best, most = i%len(hull), away
		}
	}
	return best
}

// hullOf is the convex hull (Andrew's monotone chain).
func hullOf(points []Point) []Point {
	points = slices.Clone(points)
	slices.SortFunc(points, func(a, b Point) int {
		if a.X != b.X {
			return int(math.Copysign(1, a.X-b.X))
		}
		return int(math.Copysign(1, a.Y-b.Y))
	})
	var hull []Point
	for range 2 {
		start := len(hull)
		for _, p := range points {
			for len(hull) >= start+2 && hull[len(hull)-1].minus(hull[len(hull)-2]).cross(p.minus(hull[len(hull)-2])) <= 0 {
				hull = hull[:len(hull)-1]
			}
			hull = append(hull, p)
		}
		hull = hull[:len(hull)-1]
		slices.Reverse(points)
	}
	return hull
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

// edged is the quadrilateral with each edge moved to where the picture changes most, near where it is.
func edged(p *image.Gray, quad []Point, reach float64) ([]Point, bool) {
	var lines [4][2]Point
	for i := range quad {
		line, is := edge(p, quad[i], quad[(i+1)%4], reach)
		if !is {
			return nil, false
		}
		lines[i] = line
	}
	out := make([]Point, 4)
	for i := range out {
		before, after := lines[(i+3)%4], lines[i]
		across := before[1].cross(after[1])
		if math.Abs(across) < 1e-6 {
			return nil, false
		}
		out[i] = before[0].plus(before[1].times(after[0].minus(before[0]).cross(after[1]) / across))
	}
	return out, true
}

// edge is the line, a point and a direction, along which the picture changes most near a segment.
func edge(p *image.Gray, from, to Point, reach float64) (line [2]Point, is bool) {
	along := to.minus(from)
	length := along.length()
	across := Point{-along.Y, along.X}.times(1 / length)
	far := math.Max(4, reach*length)
	var found []Point
	for i := range samples {
		at := from.towards(to, 0.5+middling*(float64(i)/(samples-1)-0.5))
		if off, steep := steepest(p, at, across, far); steep > 0 {
			found = append(found, at.plus(across.times(off)))
		}
	}
	const least = samples / 2
	for range 6 { // those that stand off are others' edges
		if len(found) < least {
			return line, false
		}
		line = through(found)
		offs := make([]float64, len(found))
		for i, q := range found {
			offs[i] = math.Abs(line[1].cross(q.minus(line[0])))
		}
		sorted := slices.Clone(offs)
		slices.Sort(sorted)
		limit := math.Max(1, 3*sorted[len(sorted)/2])
		kept := found[:0:0]
		for i, q := range found {
			if offs[i] <= limit {
				kept = append(kept, q)
			}
		}
		if len(kept) == len(found) {
			break
		}
		found = kept
	}
	return line, true
}

// steepest is how far across a point the picture changes most, pixels, and by how much.
func steepest(p *image.Gray, at, across Point, far float64) (off, steep float64) {
	const step, wide = 0.5, 1.5
	n := int(2 * far / step)
	slope := make([]float64, n+1)
	for i := range slope {
		q := at.plus(across.times(-far + step*float64(i)))
		slope[i] = math.Abs(level(p, q.plus(across.times(wide))) - level(p, q.minus(across.times(wide))))
	}
	best := 0
	for i, s := range slope {
		if s > slope[best] {
			best = i
		}
	}
	off = -far + step*float64(best)
	if best > 0 && best < n { // the top of a parabola through three
		a, b, c := slope[best-1], slope[best], slope[best+1]
		if d := a - 2*b + c; d < 0 {
			off += step * (a - c) / (2 * d)
		}
	}
	return off, slope[best]
}

// level is how light the picture is at a point, between its pixels; at the edge outside.
func level(p *image.Gray, q Point) float64 {
	x := math.Min(math.Max(q.X-0.5, 0), float64(p.Rect.Dx()-1))
	y := math.Min(math.Max(q.Y-0.5, 0), float64(p.Rect.Dy()-1))
	u, v := int(x), int(y)
	u1, v1 := min(u+1, p.Rect.Dx()-1), min(v+1, p.Rect.Dy()-1)
	at := func(x, y int) float64 { return float64(p.Pix[y*p.Stride+x]) }
	fx, fy := x-float64(u), y-float64(v)
	return (at(u, v)*(1-fx)+at(u1, v)*fx)*(1-fy) + (at(u, v1)*(1-fx)+at(u1, v1)*fx)*fy
}

// through is the line nearest to some points: their middle, and the direction in which they lie.
func through(points []Point) [2]Point {
	var middle Point
	for _, p := range points {
		middle = middle.plus(p.times(1 / float64(len(points))))
	}
	xx, xy, yy := 0.0, 0.0, 0.0
	for _, p := range points {
		d := p.minus(middle)
		xx, xy, yy = xx+d.X*d.X, xy+d.X*d.Y, yy+d.Y*d.Y
	}
	angle := math.Atan2(2*xy, xx-yy) / 2
	return [2]Point{middle, {math.Cos(angle), math.Sin(angle)}}
}
