package bench

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

// known is a dog whose nails were measured at 12 mm and trimmed to the sign two weeks ago.
func known() sitting.Question {
	d := moss()
	d.Entered = today.AddDays(-28)
	s := record.Sitting{On: today.AddDays(-14)}
	for _, n := range d.Nails {
		s.Records = append(
			s.Records,
			record.NailRecord{
				Code:        n.Code,
				Cuts:        []float64{0.5, 0.5},
				EndFace:     quick.DarkCentre,
				LengthAfter: read(measure.Length, 12),
				Tool:        kit.LargePlier,
			},
		)
	}
	return questionOf(feet.FeetAfter(d, []record.Sitting{s}), nil)
}

func nailOf(t require.TestingT, b Bench, code string) WorkedNail {
	for _, n := range b.Nails {
		if n.Plan.Code.String() == code {
			return n
		}
	}
	require.Fail(t, "no nail "+code)
	return WorkedNail{}
}

// "35" typed for 3.5 on a 12 mm nail would give leave to cut to the bone.
func TestALandmarkLiesWithinItsNail(t *testing.T) {
	b := newBench(t)
	now := Of(known(), b.log.Fold(), quick.Touch)
	groove := func(mm float64, sure bool) string {
		return wordstest.Of(now.Doubt(Event{Kind: Seen, Nail: of("LF3"), Landmark: quick.Groove, MM: mm, Sure: sure}))
	}
	assert.Empty(t, groove(3.5, false))
	assert.Contains(t, groove(35, false), "this is longer than this nail")
	assert.Contains(t, groove(35, false), "Was a point forgotten?")
	assert.NotEmpty(t, groove(35, true), "a nail has no quick beyond its own end, however sure")
	assert.Contains(t, groove(10, false), "far from what is known of this nail")
	tooSmall := doubtQuick(Event{MM: 3.5}, quick.Spare{Mean: 7.9, SD: 0.7}, 25)
	assert.Contains(t, wordstest.Of(tooSmall), "far from what is known of this nail")
	assert.NotContains(t, wordstest.Of(tooSmall), "?", "a number that is too small lacks no point")
	assert.Empty(t, groove(10, true))
	left := Event{Kind: Measured, Measure: SpareLeft, Nail: of("LF3"), MM: 20}
	assert.Contains(t, wordstest.Of(now.Doubt(left)), "longer than this nail")
	assert.Contains(t, b.refused(Event{Kind: Seen, Nail: of("LF3"), MM: 3.5}), "must name a landmark")
	assert.Contains(
		t,
		b.refused(Event{Kind: Measured, Measure: LengthBefore, Nail: of("LF3"), MM: 75}),
		"Was a point forgotten?",
	)
	b.tell(Event{Kind: Measured, Measure: LengthBefore, Nail: of("LF3"), MM: 75, Sure: true})
}

// A grinder's advice is a touch as thick as its bit takes, and a clipper learns nothing of touches.
func TestTheTouchAdvisedIsTheOneWeighed(t *testing.T) {
	s := newBench(t).log.Fold()
	clipped := Of(known(), s, 0.51)
	assert.Equal(t, quick.Touch, clipped.Touch)
	s.Tool = kit.GrinderBand
	ground := Of(known(), s, 0.43)
	assert.Equal(t, 0.43, ground.Touch)
	for i, n := range ground.Nails {
		if v := n.Verdict; v.Action == verdict.Sliver {
			assert.True(t, v.Touch)
			assert.Equal(t, 0.43, v.MM)
			assert.Equal(t, max(n.Belief.Bleeds(0.43), n.Belief.Risk(0.43)), v.Risk)
		}
		assert.False(t, clipped.Nails[i].Verdict.Touch)
	}
}

func TestAPinkishFaceIsTakenOfANailOfUnknownColour(t *testing.T) {
	b := newBench(t)
	cut := b.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 1})
	b.tell(Event{Kind: Showed, Nail: of("LF3"), Of: cut, Face: quick.Blush})
	n := nailOf(t, Of(questionOf(feet.FeetAfter(moss(), nil), nil), b.log.Fold(), quick.Touch), "LF3")
	assert.Equal(t, nail.Light, n.Colour)
	assert.Equal(
		t,
		quick.Faces(nail.Unknown),
		n.Faces,
		"a key that is pressed before the answer comes means the same after it",
	)
}

// A dog that limps has no nail on any day, and the veterinarian has them all.
func TestAClosedDogHasNoPlan(t *testing.T) {
	q := questionOf(feet.FeetAfter(moss(), nil, record.WalkRound{On: today, Limping: true}), nil)
	p := sitting.For(q)
	assert.Empty(t, p.Days)
	for _, l := range p.Left {
		assert.Equal(t, sitting.Veterinarian, l.Whose)
	}
	for _, n := range Of(q, newBench(t).log.Fold(), quick.Touch).Nails {
		assert.Equal(t, verdict.Veterinarian, n.Verdict.Kind)
		assert.Contains(t, wordstest.Of(n.Verdict.Because), "a veterinarian looks first")
	}
}

// One truth: before anything was done, the plan, the bench and the verdict itself say the same of
// every nail, whatever the dog, the day, the hand and the tool.
func TestEveryScreenSaysTheVerdict(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := moss()
		d.Weights[0].Kg = rapid.Float64Range(1.5, 80).Draw(t, "kg")
		d.Entered = today.AddDays(-rapid.IntRange(0, 200).Draw(t, "entered"))
		var told []record.Sitting
		if days := rapid.IntRange(0, 60).Draw(t, "days ago"); days > 0 {
			s := record.Sitting{On: today.AddDays(-days)}
			for _, n := range d.Nails {
				face := rapid.SampledFrom([]quick.Face{"", quick.White, quick.Grey, quick.DarkCentre, quick.Dot}).
					Draw(t, "end")
				s.Records = append(
					s.Records,
					record.NailRecord{Code: n.Code, Cuts: []float64{0.5}, EndFace: face, Tool: kit.LargePlier},
				)
			}
			told = append(told, s)
		}
		q := questionOf(feet.FeetAfter(d, told), func(q *sitting.Question) {
			q.Terms.Hand.Limit = rapid.SampledFrom([]verdict.RiskLimit{verdict.Careful, verdict.Usual}).Draw(t, "limit")
			q.Terms.Margin = rapid.Float64Range(0, 3).Draw(t, "margin")
			q.Nails = outlook.Plan(q.Feet, today, q.Terms)
		})
		at := Of(q, Progress{Tool: kit.LargePlier}, quick.Touch)
		plan := sitting.For(q)
		planned := map[nail.Code]bool{}
		for _, day := range plan.Days {
			for _, s := range day.Stops {
				planned[s.Code] = true
			}
		}
		for _, n := range q.Nails {
			at := nailOf(t, at, n.Code.String()).Verdict
			if at.Kind != n.Kind || at.Why.Key != n.Why.Key || at.MM != n.MM {
				t.Fatalf("%s: planned %+v, at the bench %+v", n.Code, n.Verdict, at)
			}
			if doing := n.Kind == verdict.Trim || n.Kind == verdict.AskFirst; doing != planned[n.Code] {
				t.Fatalf("%s: %s, and planned: %v", n.Code, n.Kind, planned[n.Code])
			}
			if n.OnFloor && strings.Contains(wordstest.Of(n.Why), "can wait") {
				t.Fatalf("%s touches and can wait", n.Code)
			}
		}
	})
}

// A sitting told tap by tap at the bench leaves the nails as the same sitting told at once does.
func TestTapByTapIsTheSameAsAtOnce(t *testing.T) {
	b := newBench(t)
	for _, code := range []string{"LF3", "RF3", "LF1"} {
		b.tell(Event{Kind: Seen, Nail: of(code), Landmark: quick.Groove, MM: 3})
		for _, face := range []quick.Face{quick.White, quick.Grey, quick.DarkCentre} {
			cut := b.tell(Event{Kind: Cut, Nail: of(code), MM: 0.5})
			b.tell(Event{Kind: Showed, Nail: of(code), Of: cut, Face: face})
		}
	}
	q := known()
	at := Of(q, b.log.Fold(), quick.Touch)
	after := q.Feet.And(b.log.Fold().Sitting(today)).On(today)
	for _, r := range after {
		n := nailOf(t, at, r.Code.String())
		if len(n.Work.Cuts) > 0 {
			assert.InDelta(t, n.Belief.Left().Mean, r.Spare.Value, 0.15, r.Code)
		}
	}
}

// What one tap asks of the core: the plan and every nail's verdict.
func BenchmarkBenchEvent(b *testing.B) {
	q, s := known(), newBench(b).log.Fold()
	s.Nails = append(
		s.Nails,
		NailState{
			Code:     *of("LF3"),
			Cuts:     []Slice{{MM: 0.5, Face: quick.White}},
			Measures: map[Measure]measure.Number{},
		},
	)
	for b.Loop() {
		q.Nails = outlook.Plan(q.Feet, q.Today, q.Terms)
		Of(q, s, quick.Touch)
	}
}
