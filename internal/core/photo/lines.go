package photo

import (
	"cmp"
	"image"
	"math"
	"slices"
)

// edges is where a picture changes, thin, and in which direction. Colours count, not only light: the channel that
// changes most.
type edges struct {
	w, h   int
	steep  []float64 // 0 where no edge is
	strong float64   // what a strong edge of this picture is: one in twenty is stronger
	angle  []float64 // of the gradient, from 0 to half a turn
}

// shrunk is the picture made small, and how many of its pixels one of the small ones is.
func shrunk(p *image.RGBA, coarse int) (*image.RGBA, float64) {
	w, h := p.Rect.Dx(), p.Rect.Dy()
	by := max(1, int(math.Round(float64(max(w, h))/float64(coarse))))
	out := image.NewRGBA(image.Rect(0, 0, w/by, h/by))
	for y := range out.Rect.Dy() {
		for x := range out.Rect.Dx() {
			var sum [3]int
			for v := y * by; v < (y+1)*by; v++ {
				row := p.Pix[v*p.Stride+4*x*by:]
				for u := range by {
					for c := range sum {
						sum[c] += int(row[4*u+c])
					}
				}
			}
			for c := range sum {
				out.Pix[y*out.Stride+4*x+c] = uint8(sum[c] / (by * by)) //nolint:gosec // a mean of bytes is a byte
			}
			out.Pix[y*out.Stride+4*x+3] = 255
		}
	}
	return out, float64(by)
}

// edgesOf is by Sobel's operator, thinned to where it is steepest across (Canny 1986). What is flatter than most of the
// picture is no edge.
func edgesOf(p *image.RGBA) edges {
	e := edges{w: p.Rect.Dx(), h: p.Rect.Dy()}
	gx, gy, steep := make([]float64, e.w*e.h), make([]float64, e.w*e.h), make([]float64, e.w*e.h)
	for y := 1; y < e.h-1; y++ {
		for x := 1; x < e.w-1; x++ {
			i := y*e.w + x
			for c := range 3 {
				at := func(dx, dy int) float64 { return float64(p.Pix[(y+dy)*p.Stride+4*(x+dx)+c]) }
				u := at(1, -1) + 2*at(1, 0) + at(1, 1) - at(-1, -1) - 2*at(-1, 0) - at(-1, 1)
				v := at(-1, 1) + 2*at(0, 1) + at(1, 1) - at(-1, -1) - 2*at(0, -1) - at(1, -1)
				if s := math.Hypot(u, v); s > steep[i] {
					steep[i], gx[i], gy[i] = s, u, v
				}
			}
		}
	}
	e.steep, e.angle = make([]float64, len(steep)), make([]float64, len(steep))
	sorted := slices.Clone(steep)
	slices.Sort(sorted)
	flat := math.Max(24, sorted[len(sorted)/2])
	e.strong = math.Max(flat, sorted[len(sorted)*985/1000])
	for y := 1; y < e.h-1; y++ {
		for x := 1; x < e.w-1; x++ {
			i := y*e.w + x
			if steep[i] < flat {
				continue
			}
			dx, dy := int(math.Round(gx[i]/steep[i])), int(math.Round(gy[i]/steep[i]))
			if steep[i] < steep[i+dy*e.w+dx] || steep[i] <= steep[i-dy*e.w-dx] {
				continue
			}
			e.steep[i] = steep[i]
			if e.angle[i] = math.Atan2(gy[i], gx[i]); e.angle[i] < 0 {
				e.angle[i] += math.Pi
			}
		}
	}
	return e
}

// line is a straight line x cos a + y sin a = off, and how much of it is edge: along[i] is how many of its first i
// pixels from the foot of the perpendicular on are, counted from -reach.
type line struct {
	angle, off float64
	along      []int
	reach      int
	best       float64 // the longest stretch of edge on it, pixels, those that are missing taken off
}

func (l line) normal() Point    { return Point{math.Cos(l.angle), math.Sin(l.angle)} }
func (l line) direction() Point { return Point{-math.Sin(l.angle), math.Cos(l.angle)} }

// place is how far along the line a point lies.
func (l line) place(p Point) float64 { return l.direction().dot(p) }

// edge is which share of a stretch of the line is edge.
func (l line) edge(from, to float64) float64 {
	if from > to {
		from, to = to, from
	}
	at := func(x float64) int { return min(len(l.along)-1, max(0, int(math.Round(x))+l.reach)) }
	a, b := at(from), at(to)
	if b <= a {
		return 0
	}
	return float64(l.along[b]-l.along[a]) / float64(b-a)
}

// meets is where two lines cross; false where they hardly do.
func (l line) meets(o line) (Point, bool) {
	a, b := l.normal(), o.normal()
	d := a.cross(b)
	if math.Abs(d) < 0.2 {
		return Point{}, false
	}
	return Point{(l.off*b.Y - o.off*a.Y) / d, (o.off*a.X - l.off*b.X) / d}, true
}

// lines are the straight lines on which most edge lies that runs along them (Duda and Hart 1972, with each edge
// standing only for directions near its own).
func (e edges) lines() []line {
	reach := int(math.Hypot(float64(e.w), float64(e.h))) + 2
	wide := 2*reach + 1
	votes := make([]float32, angles*wide)
	var cosines, sines [angles]float64
	for a := range angles {
		cosines[a], sines[a] = math.Cos(math.Pi*float64(a)/angles), math.Sin(math.Pi*float64(a)/angles)
	}
	for y := range e.h {
		for x := range e.w {
			i := y*e.w + x
			if e.steep[i] == 0 {
				continue
			}
			strong := float32(math.Min(1, e.steep[i]/e.strong))
			own := int(math.Round(e.angle[i] / math.Pi * angles))
			for by := -voting; by <= voting; by++ {
				a := (own + by + angles) % angles // half a turn on it is the same line
				off := cosines[a]*(float64(x)+0.5) + sines[a]*(float64(y)+0.5)
				votes[a*wide+int(math.Round(off))+reach] += strong * strong
			}
		}
	}
	type peak struct {
		a, off int
		votes  float32
	}
	var peaks []peak
	for a := range angles {
		for k := 1; k < wide-1; k++ {
			v := votes[a*wide+k-1] + votes[a*wide+k] + votes[a*wide+k+1]
			if v >= leastVotes && votes[a*wide+k] >= votes[a*wide+k-1] && votes[a*wide+k] > votes[a*wide+k+1] {
				peaks = append(peaks, peak{a, k - reach, v})
			}
		}
	}
	slices.SortFunc(peaks, func(x, y peak) int {
		return cmp.Or(cmp.Compare(y.votes, x.votes), cmp.Compare(x.a, y.a), cmp.Compare(x.off, y.off))
	})
	var all []line
	for _, p := range peaks[:min(mostPeaks, len(peaks))] {
		l := e.fitted(line{angle: math.Pi * float64(p.a) / angles, off: float64(p.off)})
		at := slices.IndexFunc(all, func(o line) bool { return e.same(l, o) })
		switch {
		case at < 0:
			all = append(all, l)
		case l.best > all[at].best:
			all[at] = l
		}
	}
	slices.SortStableFunc(all, func(a, b line) int { return cmp.Compare(b.best, a.best) })
	return all[:min(mostLines, len(all))]
}

// same tells whether two lines are so near in the picture that they are one.
func (e edges) same(a, b line) bool {
	turn := math.Abs(a.angle - b.angle)
	turn = math.Min(turn, math.Pi-turn)
	if turn > nearAngle*math.Pi/angles {
		return false
	}
	middle := a.normal().times(a.off).plus(a.direction().times(a.place(Point{float64(e.w) / 2, float64(e.h) / 2})))
	return math.Abs(b.normal().dot(middle)-b.off) < nearPlace
}

// fitted is the line moved to the edge that is its, with how much of it that is.
func (e edges) fitted(l line) line {
	for range 2 {
		var its []Point
		e.alongside(l, 2.5, func(p Point) { its = append(its, p) })
		if len(its) < 2 {
			break
		}
		near := through(its)
		angle := math.Atan2(near[1].X, -near[1].Y) // of the normal
		if angle < 0 {
			angle += math.Pi
		}
		if angle >= math.Pi {
			angle -= math.Pi
		}
		l.angle = angle
		l.off = l.normal().dot(near[0])
	}
	l.reach = int(math.Hypot(float64(e.w), float64(e.h))) + 2
	there := make([]float64, 2*l.reach+1) // how strong an edge
	e.alongside(l, standsAlong, func(p Point) {
		at, strong := int(math.Round(l.place(p)))+l.reach, e.strength(p)
		for k := max(0, at-1); k <= min(len(there)-1, at+1); k++ {
			there[k] = math.Max(there[k], strong)
		}
	})
	l.along = make([]int, len(there)+1)
	run := 0.0
	for i, strong := range there {
		l.along[i+1] = l.along[i]
		if strong > 0 {
			l.along[i+1]++
		}
		run = math.Max(0, run+strong-missing)
		l.best = math.Max(l.best, run)
	}
	return l
}

// strength is how strong the edge at a pixel is, from 0 to 1: against the strong edges of this picture.
func (e edges) strength(p Point) float64 {
	return math.Min(1, e.steep[int(p.Y)*e.w+int(p.X)]/e.strong)
}

// alongside is told each edge that runs along a line, at most so far off it.
func (e edges) alongside(l line, far float64, is func(Point)) {
	n, d := l.normal(), l.direction()
	foot := n.times(l.off)
	steep := math.Abs(n.X) > math.Abs(n.Y) // then it runs down the picture: a few pixels of each row are looked at
	rows := e.w
	if steep {
		rows = e.h
	}
	reach := int(math.Ceil(far*1.5)) + 1
	for row := range rows {
		var at Point
		if steep {
			at = foot.plus(d.times((float64(row) + 0.5 - foot.Y) / d.Y))
		} else {
			at = foot.plus(d.times((float64(row) + 0.5 - foot.X) / d.X))
		}
		for by := -reach; by <= reach; by++ {
			x, y := row, int(math.Floor(at.Y))+by
			if steep {
				x, y = int(math.Floor(at.X))+by, row
			}
			if x < 0 || y < 0 || x >= e.w || y >= e.h || e.steep[y*e.w+x] == 0 {
				continue
			}
			turn := math.Abs(e.angle[y*e.w+x] - l.angle)
			p := Point{float64(x) + 0.5, float64(y) + 0.5}
			if math.Min(turn, math.Pi-turn) < alongside && math.Abs(n.dot(p)-l.off) <= far {
				is(p)
			}
		}
	}
}

// alongside is by how much an edge may be turned against a line that it belongs to, radians.
const alongside = 14 * math.Pi / 180
