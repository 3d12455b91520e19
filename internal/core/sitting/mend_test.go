package sitting

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// benched is the question's nails 12 mm long with three millimetres of spare, under the hands.
func benched(b *bench, touch float64, tool kit.Tool) Bench {
	q := ask(func(q *Question) {
		for i := range q.Nails {
			q.Nails[i].Length = estimate.Normal(12, 0.5, estimate.Measured)
			q.Nails[i].Belief, q.Nails[i].Trimmed = quick.Spare{Mean: 3, SD: 0.8}, today.AddDays(-14)
		}
	})
	s := b.log.Fold()
	s.Tool = tool
	return q.Bench(s, quick.Full, quick.UsualRisk, touch)
}

// "35" typed for 3.5 on a 12 mm nail would give leave to cut to the bone.
func TestALandmarkLiesWithinItsNail(t *testing.T) {
	b := newBench(t)
	now := benched(b, quick.Touch, kit.LargePlier)
	groove := func(mm float64, sure bool) string {
		return now.Doubt(Event{Kind: Seen, Nail: of("LF3"), Landmark: quick.Groove, MM: mm, Sure: sure})
	}
	assert.Empty(t, groove(3.5, false))
	assert.Contains(t, groove(35, false), "35 mm is longer than this nail, 12.8 mm at most: 3.5?")
	assert.NotEmpty(t, groove(35, true), "a nail has no quick beyond its own end, however sure")
	assert.Contains(t, groove(9, false), "far from what is known of this nail, about 3.0 mm")
	assert.Empty(t, groove(9, true))
	left := Event{Kind: Measured, Measure: SpareLeft, Nail: of("LF3"), MM: 20}
	assert.Contains(t, now.Doubt(left), "longer than this nail")
	assert.Contains(t, b.refused(Event{Kind: Seen, Nail: of("LF3"), MM: 3.5}), "must name a landmark")
	assert.Contains(t, b.refused(Event{Kind: Measured, Measure: LengthBefore, Nail: of("LF3"), MM: 75}), "7.5?")
	b.tell(Event{Kind: Measured, Measure: LengthBefore, Nail: of("LF3"), MM: 75, Sure: true})
}

// A grinder's advice is a touch as thick as its bit takes, and a clipper learns nothing of touches.
func TestTheTouchAdvisedIsTheOneWeighed(t *testing.T) {
	b := newBench(t)
	for _, n := range benched(b, 0.43, kit.GrinderBand).Nails {
		if n.Advice.Action == quick.DoTouch {
			assert.Equal(t, 0.43, n.Advice.Cut)
			assert.Equal(t, n.Belief.Bleeds(0.43), n.Advice.Risk)
		}
		assert.NotEqual(t, quick.DoCut, n.Advice.Action)
	}
	for _, n := range benched(b, 0.51, kit.LargePlier).Nails {
		if n.Advice.Action == quick.DoTouch {
			assert.Equal(t, quick.Touch, n.Advice.Cut)
		}
	}
	thick := benched(b, 3.5, kit.GrinderBand).Nails[0].Advice
	assert.Equal(t, quick.DoStop, thick.Action, "a bit that takes more at a touch than is there")
}

func TestAPinkishFaceIsTakenOfANailOfUnknownColour(t *testing.T) {
	b := newBench(t)
	cut := b.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 1})
	b.tell(Event{Kind: Showed, Nail: of("LF3"), Of: cut, Face: quick.Blush})
	for _, n := range benched(b, quick.Touch, kit.LargePlier).Nails {
		if n.Plan.Code == *of("LF3") {
			assert.Equal(t, nail.Light, n.Colour)
			assert.Equal(t, quick.Faces(nail.Light), n.Faces)
		}
	}
}

// A dog that limps has no nail on any day, and the veterinarian has them all.
func TestAClosedDogHasNoPlan(t *testing.T) {
	q := ask(func(q *Question) {
		for i := range q.Nails {
			q.Nails[i] = dog.Planned{Reading: q.Nails[i].Reading, Closed: true, Why: "limping: a veterinarian looks first"}
		}
	})
	p := For(q)
	assert.Empty(t, p.Days)
	for _, l := range p.Left {
		assert.Equal(t, Veterinarian, l.Whose)
	}
	for _, n := range q.Bench(newBench(t).log.Fold(), quick.Full, quick.UsualRisk, quick.Touch).Nails {
		assert.Equal(t, quick.DoStop, n.Advice.Action)
		assert.Contains(t, n.Advice.Because, "a veterinarian looks first")
	}
}
