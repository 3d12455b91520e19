package quick

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"fribbet/internal/core/nail"
)

type step struct {
	mm   float64
	face Face
}

func after(length, depth float64, c nail.Colour, marks map[Landmark]float64, steps ...step) *Belief {
	b := NewBelief(length, depth, c, Assumed(length), UsualScales())
	for mark, spare := range marks {
		b.See(Seen{Mark: mark, Spare: spare})
	}
	for _, s := range steps {
		b.Cut(s.mm, s.face)
	}
	return b
}

// Worked examples of docs/model.md, section C (this project's own arithmetic).
func TestWorkedExamplesOfTheQuick(t *testing.T) {
	groove := map[Landmark]float64{Groove: 3.5}
	b := after(15, 7, nail.Dark, groove)
	assert.InDelta(t, 3.55, b.Quantile(0.5), 1e-9)
	assert.InDelta(t, 2.10, b.Quantile(0.05), 1e-9)
	assert.InDelta(t, 5.00, b.Quantile(0.95), 1e-9)
	assert.InDelta(t, 0.0019, b.Risk(1), 5e-5)
	assert.InDelta(t, 0.0100, b.Risk(1.5), 5e-5)
	assert.InDelta(t, 0.0396, b.Risk(2), 5e-5)

	b = after(15, 7, nail.Dark, groove, step{1, White}, step{1, Grey})
	assert.InDelta(t, 0.0041, b.Risk(0.5), 5e-5)
	assert.InDelta(t, 0.0396, b.Risk(1), 5e-5)

	b.Cut(0.5, DarkCentre)
	assert.InDelta(t, 0.0051, b.Risk(0.2), 5e-5)
	assert.InDelta(t, 0.0343, b.Risk(0.5), 5e-5)

	b = after(12, 6, nail.Light, map[Landmark]float64{SeenThrough: 3}, step{1, White}, step{0.5, Blush})
	assert.InDelta(t, 2.85, b.Quantile(0.5), 1e-9)
	assert.InDelta(t, 2.30, b.Quantile(0.05), 1e-9)
	assert.InDelta(t, 3.40, b.Quantile(0.95), 1e-9)
	assert.InDelta(t, 0.0039, b.Risk(0.5), 5e-5)
	assert.InDelta(t, 0.166, b.Risk(1), 5e-4)
}

// McCullagh 1980, Regression Models for Ordinal Data: in the ordered logit the log odds of "at or
// below" are linear in the distance from the threshold.
func TestFacesFollowTheOrderedLogit(t *testing.T) {
	for _, signs := range [][]sign{darkSigns, lightSigns} {
		for _, s := range signs {
			for left := -1.0; left < 6; left += 0.25 {
				odds := (s.at*1.25 - left) / s.width
				p := s.atOrBelow(left, 1.25)
				if math.Abs(odds) < 20 { // beyond that a float has no digits left for 1 − p
					assert.InDelta(t, odds, math.Log(p/(1-p)), 1e-6)
				}
			}
		}
	}
}

func TestFacesAreAWholeAtAnySpare(t *testing.T) {
	for _, colour := range []nail.Colour{nail.Dark, nail.Light} {
		for left := -3.0; left < 10; left += 0.1 {
			sum := 0.0
			for _, face := range Faces(colour) {
				p := chance(signsOf(colour), face, left, 0.75)
				assert.GreaterOrEqual(t, p, 0.0)
				sum += p
			}
			assert.InDelta(t, 1, sum, 1e-12)
		}
	}
}

// anyBelief is a nail with a few landmarks and cuts, whatever they showed.
func anyBelief(t *rapid.T) (*Belief, []Face) {
	colour := rapid.SampledFrom([]nail.Colour{nail.Dark, nail.Light, nail.Mixed}).Draw(t, "colour")
	length := rapid.Float64Range(4, 30).Draw(t, "length")
	b := NewBelief(length, rapid.Float64Range(2, 12).Draw(t, "depth"), colour, Assumed(length), UsualScales())
	for range rapid.IntRange(0, 2).Draw(t, "landmarks") {
		b.See(
			Seen{
				Mark:  rapid.SampledFrom([]Landmark{SeenThrough, ByTorch, Groove, Hook}).Draw(t, "mark"),
				Spare: rapid.Float64Range(0, length).Draw(t, "at"),
			},
		)
	}
	faces := Faces(colour)
	faces = faces[:len(faces)-1] // no blood: that is the end
	for range rapid.IntRange(0, 4).Draw(t, "cuts") {
		b.Cut(rapid.Float64Range(0.1, 2).Draw(t, "mm"), rapid.SampledFrom(faces).Draw(t, "face"))
	}
	return b, faces
}

func TestRiskNeverFallsWhenTheCutGrows(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b, _ := anyBelief(t)
		cut := rapid.Float64Range(0, 5).Draw(t, "cut")
		more := cut + rapid.Float64Range(0, 5).Draw(t, "more")
		if b.Risk(more) < b.Risk(cut) || b.Bleeds(more) < b.Bleeds(cut)-1e-12 {
			t.Fatalf("%v mm: %v, %v mm: %v", cut, b.Risk(cut), more, b.Risk(more))
		}
		if b.Risk(cut) < 0 || b.Risk(cut) > 1 || math.IsNaN(b.Risk(cut)) {
			t.Fatalf("no chance: %v", b.Risk(cut))
		}
	})
}

// A cut without blood never raises the chance that the quick is nearer than it was cut. Nor does
// a first white face; one that contradicts an earlier face may, since it says that this dog's
// faces show late.
func TestADryCutIsNoBadNewsOfWhatItPassed(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b, faces := anyBelief(t)
		cut := rapid.Float64Range(0.1, 2).Draw(t, "cut")
		before := b.Risk(cut)
		b.CutUnread(cut)
		if after := b.Risk(0); after > before+1e-9 {
			t.Fatalf("%v became %v", before, after)
		}
		length := rapid.Float64Range(4, 30).Draw(t, "another length")
		b = NewBelief(length, 7, nail.Dark, Assumed(length), UsualScales())
		before = b.Risk(cut)
		b.Cut(cut, faces[0])
		if after := b.Risk(0); after > before+1e-9 {
			t.Fatalf("white: %v became %v", before, after)
		}
	})
}

func TestTheDogsFacesAreLearntFromNailToNail(t *testing.T) {
	late := after(
		15,
		7,
		nail.Dark,
		map[Landmark]float64{SeenThrough: 3.5},
		step{1, White},
		step{1, White},
		step{0.5, White},
	)
	f := late.Faces()
	assert.Greater(t, f[0]+f[1], usual[0]+usual[1], "still white a millimetre from the quick: its faces show late")
	carried := f.CarryOver()
	sum := 0.0
	for i := range carried {
		sum += carried[i]
		assert.InDelta(t, 0.8*f[i]+0.2*usual[i], carried[i], 1e-12)
	}
	assert.InDelta(t, 1, sum, 1e-9)
}

func TestWhatIsLeft(t *testing.T) {
	b := after(15, 7, nail.Dark, map[Landmark]float64{SeenThrough: 3}, step{1, White})
	left := b.Left()
	assert.InDelta(t, b.Quantile(0.5)-1, left.Mean, 0.1)
	assert.Less(t, left.SD, 0.5)
}

// The grid's short way to the chances is the textbook's long one, wherever what came off falls.
func TestTheGridShowsWhatTheFormulaSays(t *testing.T) {
	for _, part := range []float64{0, 0.3} {
		for _, at := range []shown{
			{light: false, depth: 6.0 / 7, part: part}, {light: true, depth: 1.2, part: part},
			{light: false, depth: 1, part: part, milder: 0.3},
		} {
			c, colour := at.chances(), map[bool]nail.Colour{false: nail.Dark, true: nail.Light}[at.light]
			for place := range len(at.signs()) + 1 {
				face := White
				if place < len(at.signs()) {
					face = at.signs()[place].face
				}
				for s := range scales {
					p := make([]float64, 700)
					for i := range p {
						p[i] = 1
					}
					sum := 700.0
					c.join(place, place, s, -150, p, &sum)
					assert.InDelta(t, add(p), sum, 1e-9)
					for i, got := range p {
						left := gridStep * (float64(i-150) - part)
						want := chance(signsOf(colour), face, left, scales[s]*at.depth)
						if face != White && face != Blood { // taken for the next milder one
							want *= 1 - at.milder
						}
						if place > 1 { // and the next worse one taken for it; blood nobody takes for anything else
							want += at.milder * chance(
								signsOf(colour),
								at.signs()[place-1].face,
								left,
								scales[s]*at.depth,
							)
						}
						assert.InDelta(t, want, got, 1e-9)
					}
				}
			}
		}
	}
}

func BenchmarkCut(b *testing.B) {
	b.ReportAllocs()
	for b.Loop() {
		work := NewBelief(16, 7, nail.Dark, Gamma{4, 1.5}, UsualScales())
		work.Cut(0.5, White)
		work.Cut(0.5, Grey)
	}
}

// What fits no spare at all leaves nothing known: never a licence to cut.
func TestNonsenseIsNoLicence(t *testing.T) {
	kindless := NewBelief(12, 7, nail.Dark, Assumed(12), UsualScales())
	before := kindless.Risk(0.5)
	kindless.See(Seen{Spare: 11})
	assert.Equal(t, before, kindless.Risk(0.5), "a landmark of no kind places nothing")

	tooMuch := NewBelief(2, 7, nail.Dark, Assumed(2), UsualScales())
	tooMuch.Cut(9, White) // more than the nail is long
	assert.InDelta(t, 1, tooMuch.Risk(0.5), 1e-9)
	far := NewBelief(12, 7, nail.Dark, Spare{3, 0.05}, UsualScales())
	far.See(Seen{Mark: Groove, Spare: math.NaN()})
	assert.Greater(t, far.Risk(0.3), 0.01)
}

func TestANailOfUnknownColourTellsItsColourByItsFace(t *testing.T) {
	for _, c := range []nail.Colour{nail.Unknown, nail.Mixed} {
		faces := Faces(c)
		assert.Equal(t, []Face{White, Grey, Blush, DarkCentre, PinkDot, Dot, Blood}, faces)
		assert.Equal(t, nail.Light, SeenColour(c, White, Blush))
		assert.Equal(t, nail.Dark, SeenColour(c, Grey))
		assert.Equal(t, c, SeenColour(c, White, Blood), "white and blood are of both")
	}
	assert.NotContains(t, Faces(nail.Light), Grey)
}

// The short way, in which far spares are kept once for all scales, comes to the same as the long one, in
// which every chance is multiplied by that of what was seen.
func TestTheShortWayIsTheLongOne(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		length, depth := rapid.Float64Range(5, 40).Draw(t, "length"), rapid.Float64Range(2, 12).Draw(t, "depth")
		colour := rapid.SampledFrom([]nail.Colour{nail.Dark, nail.Light}).Draw(t, "colour")
		prior := Gamma{rapid.Float64Range(1, 5).Draw(t, "mean"), rapid.Float64Range(0.5, 3).Draw(t, "sd")}
		b := NewBelief(length, depth, colour, prior, UsualScales())
		long := make([][len(scales)]float64, b.n)
		grid := make([]float64, b.n)
		prior.densities(grid)
		for i, l := range grid {
			for s := range scales {
				long[i][s] = usual[s] * l
			}
		}
		removed := 0.0
		for range rapid.IntRange(1, 6).Draw(t, "cuts") {
			mm := rapid.Float64Range(0.05, 1.2).Draw(t, "mm")
			removed += mm
			signs := b.show.signs()
			place := rapid.IntRange(1, len(signs)).Draw(t, "place")
			worst := place
			if rapid.Bool().Draw(t, "unread") {
				worst, place = 1, len(signs)
			}
			b.cut(mm, worst, place)
			sum := 0.0
			for i := range long {
				for s := range scales {
					seen := 0.0
					for at := worst; at <= place; at++ {
						face := White
						if at < len(signs) {
							face = signs[at].face
						}
						seen += chance(signsOf(colour), face, spareAt(i)-removed, scales[s]*depth/SignsDepth)
					}
					long[i][s] *= seen
					sum += long[i][s]
				}
			}
			if sum < 1e-9*add(grid) {
				return // it contradicts what was believed: begun again
			}
		}
		sum, mean, square, bleeds, risk := 0.0, 0.0, 0.0, 0.0, 0.0
		var faces Scales
		for i := range long {
			for s, p := range long[i] {
				sum += p
				mean += p * spareAt(i)
				square += p * spareAt(i) * spareAt(i)
				faces[s] += p
				bleeds += p * chance(signsOf(colour), Blood, spareAt(i)-removed-0.5, scales[s]*depth/SignsDepth)
				if spareAt(i) <= removed+0.5+1e-9 {
					risk += p
				}
			}
		}
		assert.InDelta(t, mean/sum, b.Start().Mean, 1e-4)
		if sd := math.Sqrt(max(0, square/sum-mean*mean/sum/sum)); sd > 0.1 {
			assert.InDelta(t, sd, b.Start().SD, 1e-3)
		}
		assert.InDelta(t, bleeds/sum, b.Bleeds(0.5), 1e-4)
		assert.InDelta(t, risk/sum, b.Risk(0.5), 1e-4)
		for s := range faces {
			assert.InDelta(t, faces[s]/sum, b.Faces()[s], 1e-4)
		}
	})
}
