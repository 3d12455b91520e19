package verdict_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

var lf3 = nail.MustParse("LF3")

// worked is LF3 of a dog of so many kg that nobody has trimmed here, after the faces of as many cuts.
func worked(kg float64, landmark float64, mm float64, faces ...quick.Face) verdict.Worked {
	where := growth.Where{Age: 200, Weight: kg, Pavement: 5}
	s := state.Prior(where, []state.Traits{{Code: lf3, Colour: nail.Dark, Shape: nail.Usual}}, nil)
	form := claw.Assumed(lf3, nail.Usual, kg)
	var w state.Work
	if landmark > 0 {
		w.Landmarks = []quick.Seen{{Mark: quick.Groove, Spare: landmark}}
	}
	for _, f := range faces {
		w.Cuts = append(w.Cuts, state.Slice{MM: mm, Face: f})
	}
	out := verdict.Worked{Belief: s.Belief(0, form, w), Depth: form.Depth, Reads: landmark > 0, Cuts: len(faces)}
	if len(faces) > 0 {
		out.Last = faces[len(faces)-1]
	}
	return out
}

// The first nail of a new dog is never a refusal: its very tip, then the face (common practice, no source).
func TestTheFirstNailIsNoRefusal(t *testing.T) {
	for _, kg := range []float64{5, 12, 22, 70} {
		for _, terms := range []verdict.Terms{careful, usual} {
			step := verdict.Next(worked(kg, 0, 0), terms)
			assert.Equal(t, verdict.Sliver, step.Action, "%g kg: %s", kg, step.Because)
			assert.LessOrEqual(t, step.MM, 0.3)
		}
	}
}

// What the eye sees comes before the numbers, both ways: a white face never ends a nail, a dot and
// blood always do, and so does the first sign for who stops there.
func TestTheEyeComesBeforeTheNumbers(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kg := rapid.Float64Range(2, 80).Draw(t, "kg")
		size := verdict.Size(claw.Assumed(lf3, nail.Usual, kg).Depth)
		var faces []quick.Face
		for range rapid.IntRange(1, 8).Draw(t, "cuts") {
			faces = append(faces, rapid.SampledFrom([]quick.Face{quick.White, quick.White, quick.Grey}).Draw(t, "face"))
		}
		terms := verdict.Terms{
			Stop: rapid.SampledFrom([]quick.EndPoint{quick.AtFirstSign, quick.Full}).
				Draw(t, "stop"),
			Limit: verdict.Careful,
			Most:  rapid.SampledFrom([]float64{0.5, 1, 2, 3}).Draw(t, "largest cut"),
		}
		landmark := rapid.SampledFrom([]float64{0, 2, 4}).Draw(t, "groove") * size
		white := verdict.Next(worked(kg, landmark, 0.5*size, append(faces, quick.White)...), terms)
		if white.Action != verdict.Sliver || white.MM > max(0.5, terms.Most) {
			t.Fatalf("white, and %+v", white)
		}
		for _, f := range []quick.Face{quick.Dot, quick.Blood} {
			if got := verdict.Next(
				worked(kg, landmark, 0.5*size, append(faces, f)...),
				terms,
			); got.Action != verdict.Stop ||
				!got.Eye {
				t.Fatalf("%s, and %+v", f, got)
			}
		}
		sign := verdict.Next(worked(kg, landmark, 0.5*size, append(faces, quick.DarkCentre)...), terms)
		if terms.Stop == quick.AtFirstSign && sign.Action != verdict.Stop ||
			sign.MM > 0.3 && sign.Action == verdict.Sliver {
			t.Fatalf("dark centre, %s, and %+v", terms.Stop, sign)
		}
	})
}

// Groove at 4 mm and four whites were once "stop" at 3 mm; white, white with a millimetre and a half left too.
func TestAWhiteNailIsNotStopped(t *testing.T) {
	four := verdict.Next(worked(22, 4, 0.5, quick.White, quick.White, quick.White, quick.White), careful)
	assert.Equal(t, verdict.Sliver, four.Action)
	two := verdict.Next(worked(22, 0, 0.5, quick.White, quick.White), careful)
	assert.Equal(t, verdict.Sliver, two.Action)
	assert.Greater(t, two.Left, 1.5)
	grey := verdict.Next(worked(22, 2, 0.5, quick.White, quick.Grey, quick.Grey, quick.Grey), careful)
	if grey.Action == verdict.Stop {
		assert.Contains(t, wordstest.Of(grey.Because), "enough for today")
	}
}

// A toy dog's sliver is a third of a millimetre, and the margin goes with its nail.
func TestSliversGoWithTheSize(t *testing.T) {
	toy, giant := worked(2, 0, 0), worked(70, 0, 0)
	assert.InDelta(t, 0.46, verdict.Size(toy.Depth), 0.01)
	assert.Equal(t, 1.0, verdict.Size(giant.Depth))
	assert.True(t, verdict.Worth(1.2, toy.Depth, 2))
	assert.False(t, verdict.Worth(1.2, giant.Depth, 2))
	assert.Less(t, verdict.Least(toy.Depth, careful), 0.25)
	assert.Equal(t, 0.2, verdict.Least(giant.Depth, verdict.Terms{Touch: 0.2}))
}

func TestANailThatTouchesNeverCanWait(t *testing.T) {
	w := worked(22, 0, 0)
	n := verdict.Case{Clear: true, Spare: 3, Worked: w}
	assert.Contains(t, wordstest.Of(verdict.Of(n, 1, careful).Why), "can wait")
	n.Touches = true
	assert.Equal(t, verdict.Trim, verdict.Of(n, 1, careful).Kind)
	n.Spare = 0.5
	assert.Equal(t, "long quick: as short as it may be today", wordstest.Of(verdict.Of(n, 1, careful).Why))
	n.Curling = true
	assert.Equal(t, verdict.Trim, verdict.Of(n, 1, careful).Kind, "a curling dewclaw waits for nothing")
	dewclaw := verdict.Case{Clear: true, Spare: 3, Dewclaw: true, Worked: w}
	assert.Equal(t, verdict.Trim, verdict.Of(dewclaw, 1, careful).Kind, "little, but every time")
	dewclaw.Barred = say.Plain("torn: a veterinarian looks first")
	assert.Equal(t, verdict.Veterinarian, verdict.Of(dewclaw, 1, careful).Kind)
}

func TestAChanceAsPeopleSayIt(t *testing.T) {
	for risk, words := range map[float64]string{0.0005: "very unlikely", 0.00167: "about 1 in 600", 0.004: "about 1 in 250", 0.0123: "about 1 in 81", 0.3: "about 1 in 3", 0.5: "about 1 in 2", 0.66: "about 1 in 2", 0.7: "very likely", 1: "very likely"} {
		assert.Equal(t, words, wordstest.Of(verdict.Chance(risk)))
	}
}

// After the tip the plan goes to where the sign shows by the median: what a plan and a tally name is what is
// likely to come off. It never reaches the spare's lower quarter, and ends at the first sign, whoever goes on to
// the dot: with two cuts beyond the dot one press bled 35 of 1000 nails.
func TestAPlanEndsAtTheFirstSign(t *testing.T) {
	w := worked(22, 12, 0)
	for _, terms := range []verdict.Terms{careful, usual, full} {
		v := verdict.Verdict{
			Kind: verdict.Trim,
			Step: verdict.Next(verdict.Worked{Belief: w.Belief, Depth: w.Depth}, terms),
		}
		assert.LessOrEqual(t, v.MM, 0.3, "the tip first")
		assert.Equal(t, v.MM, v.Cuts()[0])
		left := w.Belief.Quantile(0.5)
		for _, mm := range v.Cuts() {
			left -= mm
		}
		assert.InDelta(t, 1.5, left, 0.51, "to where the first sign shows")
		assert.LessOrEqual(t, len(v.Cuts()), len(v.Plan.Cuts), "what is likely may come off")
		assert.LessOrEqual(t, v.Plan.MostMM(), w.Belief.Quantile(0.25)-0.3, "%s", terms.Stop)
		assert.LessOrEqual(t, v.Plan.MostMM(), w.Belief.Quantile(0.5)-1.5+2*0.5+0.01, "%s", terms.Stop)
	}
}

// A plan is no longer than a hand follows, but for a grinder, whose touches take little: it would leave a nail of a
// month long.
func TestAPlanIsAsLongAsAHandFollows(t *testing.T) {
	w := worked(22, 8, 0)
	w.Known = true
	thin := usual
	thin.Most = 0.5
	assert.LessOrEqual(t, len(verdict.Next(w, thin).Plan.Cuts), 12)
	ground := usual
	ground.Touch = 0.2
	assert.Greater(t, verdict.Next(w, ground).Plan.MostMM(), 3.0)
}

// "Take less next time" (common practice, no source): a dog quicked lately is worked carefully by
// anybody, in no thicker slivers than a tip.
func TestADogQuickedLatelyIsTakenThinner(t *testing.T) {
	after := func(quicked bool) verdict.Step {
		return verdict.Next(
			worked(22, 8, 0.3, quick.White, quick.White),
			verdict.For(quick.Full, kit.PractisedHand, false, quicked),
		)
	}
	assert.Equal(t, 2.0, after(false).MM)
	assert.Equal(t, 0.3, after(true).MM)
	assert.Greater(t, len(after(true).Plan.Cuts), len(after(false).Plan.Cuts))
	for _, c := range []struct {
		keeper, quicked bool
		hand            kit.Hand
		want            verdict.RiskLimit
	}{
		{false, false, kit.PractisedHand, verdict.Usual}, {true, false, kit.PractisedHand, verdict.Careful},
		{false, false, kit.NewHand, verdict.Careful}, {false, true, kit.PractisedHand, verdict.Careful},
	} {
		assert.Equal(t, c.want, verdict.For(quick.Full, c.hand, c.keeper, c.quicked).Limit, "%+v", c)
	}
}

// A hand takes the plan's cuts in their order, thinner from the first light grey on where the plan says so, and none
// after the first sign.
func TestTheNextCutOfAPlan(t *testing.T) {
	thin := verdict.Plan{Cuts: []float64{1, 0.5, 0.2}, Thin: 0.3}
	plain := verdict.Plan{Cuts: thin.Cuts}
	for _, c := range []struct {
		plan verdict.Plan
		done int
		last quick.Face
		grey bool
		want float64
	}{
		{thin, 0, "", false, 1},
		{thin, 1, quick.White, false, 0.5},
		{thin, 1, quick.Grey, true, 0.3},
		{thin, 2, quick.White, true, 0.2},
		{thin, 3, quick.White, false, 0},
		{thin, 1, quick.DarkCentre, true, 0},
		{thin, 1, quick.Dot, true, 0},
		{plain, 1, quick.Grey, true, 0.5},
	} {
		assert.InDelta(t, c.want, c.plan.Next(c.done, c.last, c.grey), 1e-9, "%+v", c)
	}
}

// From the first sign on, one who goes to the dot goes on by thin slices where there is room for them, and stops where
// a sliver more might bleed.
func TestFromTheSignOnThereIsRoomOrNot(t *testing.T) {
	terms := verdict.Terms{Stop: quick.Full, Limit: verdict.Careful, Most: 1}
	roomy := verdict.Next(worked(22, 6, 0.5, quick.White, quick.DarkCentre), terms)
	assert.Equal(t, verdict.Sliver, roomy.Action)
	assert.LessOrEqual(t, roomy.MM, 0.5)
	tight := verdict.Next(worked(22, 2, 0.5, quick.White, quick.White, quick.White, quick.DarkCentre), terms)
	assert.Equal(t, verdict.Stop, tight.Action)
}

// After its tip a plan never gets thicker again: nobody keeps that in mind.
func TestAPlanGetsNoThicker(t *testing.T) {
	for _, kg := range []float64{5, 22, 70} {
		for _, groove := range []float64{0, 4, 8, 12} {
			for _, terms := range []verdict.Terms{careful, usual, full} {
				cuts := verdict.Next(worked(kg, groove, 0), terms).Plan.Cuts
				for i := 2; i < len(cuts); i++ {
					assert.LessOrEqual(t, cuts[i], cuts[i-1], "%g kg, groove at %g: %v", kg, groove, cuts)
				}
			}
		}
	}
}
