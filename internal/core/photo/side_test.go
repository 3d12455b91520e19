package photo

import (
	"cmp"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/fault"
	"fribbet/internal/words/wordstest"
)

// twice is a nail that stands somewhere, and two cameras' views of it and of the card.
type twice struct {
	first, second    camera
	coat, ridge, tip Point   // on the plane, were it flat there
	depth, lean      float64 // mm, degrees
	handlesFrom      int
	zoom             float64 // times the usual focal length; 0 is once
	moved            Point   // by how much the paw moved between the two, mm
	hair             float64 // by how much farther along the nail the second's coat line was taken, mm
}

// drawTwice draws one: taken squarely, then from beside by so many degrees.
func drawTwice(r *rand.Rand, depth, lean, beside float64) (t twice, length float64) {
	length = 6 + 16*r.Float64()
	t.coat, t.ridge, t.tip = bent(
		Point{30 + 30*r.Float64(), 60 + 10*r.Float64()},
		length,
		12+50*r.Float64(),
		6*r.Float64(),
	)
	t.depth, t.lean = depth, lean
	t.first = lookingAt(Point{45, 40}, 95+50*r.Float64(), 15*r.Float64(), 360*r.Float64(), 360*r.Float64(), 2048, 1536)
	t.second = lookingAt(Point{45, 45}, 110+40*r.Float64(), beside, 360*r.Float64(), 360*r.Float64(), 2048, 1536)
	t.handlesFrom = r.IntN(4)
	return t, length
}

// seen are shot and marks of both pictures, each point and handle off by what off gives.
func (t twice) seen(off func() float64) (Shot, Marks, Side) {
	along := t.tip.minus(t.coat).times(1 / t.coat.distance(t.tip))
	zoomed := func(c camera, p Point) Point {
		middle := Point{float64(c.width) / 2, float64(c.height) / 2}
		return middle.plus(p.minus(middle).times(cmp.Or(t.zoom, 1))).plus(Point{off(), off()})
	}
	in := func(c camera, p Point) Point {
		far := p.minus(t.ridge).dot(along)
		return zoomed(c, c.seesAt(leaning(p, t.ridge, along, 1, t.lean), t.depth+far*math.Sin(t.lean*math.Pi/180)))
	}
	shot := func(c camera) Shot {
		s := c.shot()
		s.Held = Unsure
		for i := range s.Handles {
			s.Handles[i] = zoomed(c, s.Handles[i])
		}
		return s
	}
	a, b := shot(t.first), shot(t.second)
	b.Handles = append(b.Handles[t.handlesFrom:], b.Handles[:t.handlesFrom]...)
	ridge := in(t.first, t.ridge)
	m := Marks{Coat: in(t.first, t.coat), Tip: in(t.first, t.tip), Ridge: &ridge}
	moved := func(p Point) Point { return in(t.second, p.plus(t.moved)) }
	return a, m, Side{Shot: b, Coat: moved(t.coat.plus(along.times(t.hair))), Tip: moved(t.tip)}
}

func exactly() float64 { return 0 }

// Seen exactly, two pictures tell where the nail stands, wherever round the card one began, and how long it is.
func TestTwoPicturesTellWhereANailStands(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	r := rand.New(rand.NewPCG(7, 7))
	for range 100 {
		seen, length := drawTwice(r, 14*r.Float64()-4, 60*r.Float64()-30, 30+25*r.Float64())
		s, m, side := seen.seen(exactly)
		settled, stands, err := s.With(side, m)
		require.NoError(t, err)
		assert.InDelta(t, seen.lean, stands.Lean.Value, 1, "but for the bend, whose ends are not as high as its middle")
		assert.InDelta(t, seen.depth, stands.Depth.Value, 3, "the same")
		read, err := settled.Read(m)
		require.NoError(t, err)
		assert.InDelta(t, length, read.Length.MM, 0.07*length)
	}
}

// randomlyTwice reads a nail off two pictures, everything off as far as is held to be usual; so many pairs were refused
// first.
func randomlyTwice(r *rand.Rand, depth, lean float64) (got Read, truth float64, refused int) {
	usually := func(off float64) float64 { return off / 1.6449 * r.NormFloat64() }
	for {
		t, length := drawTwice(r, depth, lean, 30+25*r.Float64())
		t.zoom = 1 + usually(lensOff)
		way := 2 * math.Pi * r.Float64()
		t.moved, t.hair = Point{math.Cos(way), math.Sin(way)}.times(usually(stillWithin)), usually(coatLine*math.Sqrt2)
		along := t.tip.minus(t.coat).times(1 / t.coat.distance(t.tip))
		t.coat = t.coat.plus(along.times(usually(coatLine)))
		s, m, side := t.seen(func() float64 { return usually(handlePx) })
		settled, _, err := s.With(side, m)
		if err == nil {
			if got, err = settled.Read(m); err == nil {
				return got, length, refused
			}
		}
		if refused++; refused > 50 {
			panic(err)
		}
	}
}

// A paw that moved between the two pictures is refused or the range holds it, in at least four of five; points that
// were exchanged are refused, and hardly ever a pair that belongs together.
func TestTwoPicturesThatDoNotBelongTogether(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	r := rand.New(rand.NewPCG(8, 7))
	const all = 60
	for _, far := range []float64{4, 8, 15} {
		wrong := 0
		for range all {
			seen, length := drawTwice(r, 3, 5, 30+25*r.Float64())
			way := 2 * math.Pi * r.Float64()
			seen.moved = Point{math.Cos(way), math.Sin(way)}.times(far)
			s, m, side := seen.seen(func() float64 { return handlePx / 1.6449 * r.NormFloat64() })
			settled, _, err := s.With(side, m)
			if err != nil {
				continue
			}
			if got, err := settled.Read(m); err == nil && math.Abs(got.Length.MM-length) > 1.6449*got.Length.SD {
				wrong++
			}
		}
		assert.LessOrEqual(t, 5*wrong, all, "moved by %g mm", far)
	}
	refused := 0
	for range all {
		_, _, n := randomlyTwice(r, 5, 10)
		refused += n
	}
	assert.LessOrEqual(t, refused, 3)
}

func TestASecondPictureThatSaysNothingIsRefused(t *testing.T) {
	r := rand.New(rand.NewPCG(9, 7))
	seen, _ := drawTwice(r, 5, 10, 40)
	for want, change := range map[string]func(s *Shot, m *Marks, side *Side){
		"put the circles anew":     func(_ *Shot, _ *Marks, side *Side) { side.Coat, side.Tip = side.Tip, side.Coat },
		"from farther to one side": func(s *Shot, m *Marks, side *Side) { *side = Side{Shot: *s, Coat: m.Coat, Tip: m.Tip} },
		"side.width":               func(_ *Shot, _ *Marks, side *Side) { side.Width = 0 },
		"side.handles":             func(_ *Shot, _ *Marks, side *Side) { side.Handles = side.Handles[:3] },
		"corners of the same card": func(_ *Shot, _ *Marks, side *Side) {
			side.Handles = []Point{{100, 100}, {600, 100}, {600, 600}, {100, 600}}
		},
		"only a card tells from where":  func(s *Shot, _ *Marks, _ *Side) { s.Reference = Known },
		"must stand apart from the tip": func(_ *Shot, _ *Marks, side *Side) { side.Coat = side.Tip },
	} {
		s, m, side := seen.seen(exactly)
		change(&s, &m, &side)
		_, _, err := s.With(side, m)
		var f fault.Fields
		require.ErrorAs(t, err, &f, want)
		assert.Contains(t, wordstest.Err(f), want)
	}
}
