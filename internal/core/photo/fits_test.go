package photo

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/estimate"
	"fribbet/internal/words/wordstest"
)

// looked is a card and a nail beside it by some camera: of any lens, perhaps cropped off its middle; corners as people
// put them.
func looked(r *rand.Rand, off float64) (s Shot, m Marks, truth float64) {
	width, height := 2048, 1536
	c := lookingAt(Point{43, 32}, 105+60*r.Float64(), 45*r.Float64(), 360*r.Float64(), 360*r.Float64(), width, height)
	cropped := Point{0.06 * float64(width) * (2*r.Float64() - 1), 0.06 * float64(height) * (2*r.Float64() - 1)}
	put := func(p Point, off float64) Point {
		return c.sees(p).plus(cropped).plus(Point{off * r.NormFloat64(), off * r.NormFloat64()})
	}
	truth = 6 + 16*r.Float64()
	coat, mid, tip := bent(Point{20, 62}, truth, 26, 0.2)
	ridge := put(mid, 1.2)
	s = Shot{Width: width, Height: height, Reference: Card, Held: Beside}
	for _, p := range corners(CardWidth, CardHeight) {
		s.Handles = append(s.Handles, put(p, off))
	}
	return s, Marks{Coat: put(coat, 1.2), Tip: put(tip, 1.2), Ridge: &ridge}, truth
}

// A card that was put right is hardly ever refused, whatever the lens and the crop.
func TestACardIsTakenForOne(t *testing.T) {
	r := rand.New(rand.NewPCG(31, 1))
	refused := 0
	for range 400 {
		s, _, _ := looked(r, 1.2)
		if s.misfit() > mostMisfit {
			refused++
		}
	}
	t.Logf("%d of 400 refused", refused)
	assert.LessOrEqual(t, refused, 8)
}

// One corner 20, 40 or 80 pixels off: refused, or the truth is inside the range all the same, in nine of ten.
func TestAWrongCornerIsRefusedOrToldByTheRange(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	r := rand.New(rand.NewPCG(31, 2))
	for _, by := range []float64{20, 40, 80} {
		fine, refused := 0, 0
		const all = 200
		for range all {
			s, m, truth := looked(r, 1.2)
			turn := 2 * math.Pi * r.Float64()
			at := r.IntN(4)
			s.Handles[at] = s.Handles[at].plus(Point{by * math.Cos(turn), by * math.Sin(turn)})
			read, err := s.Read(m)
			switch {
			case err != nil:
				fine, refused = fine+1, refused+1
			case math.Abs(read.Length.MM-truth) <= estimate.Z90*read.Length.SD:
				fine++
			}
		}
		t.Logf("%g pixels off: %d of %d fine, %d of them refused", by, fine, all, refused)
		assert.GreaterOrEqual(t, fine, all*9/10, "%g", by)
	}
}

// What has another proportion is no card: a square, a strip.
func TestWhatIsNoCardIsRefused(t *testing.T) {
	for name, by := range map[string]float64{"a square": CardHeight, "three to one": 3 * CardHeight} {
		s := Shot{Width: 2048, Height: 1536, Reference: Card, Held: Beside}
		for _, p := range corners(by, CardHeight) {
			s.Handles = append(s.Handles, p.times(9).plus(Point{200, 300}))
		}
		_, err := s.Read(Marks{Coat: Point{400, 820}, Tip: Point{520, 830}})
		assert.Contains(t, wordstest.Err(err), "must be the four corners of a card", name)
	}
}
