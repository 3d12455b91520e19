package temper

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

var monday = date.MustParse("2026-11-23")

// What a reaction asks for now (trade: both sides are told where practitioners differ; we stop).
func TestWhatAReactionAsksFor(t *testing.T) {
	for _, c := range []struct {
		said []Said
		want Answer
	}{
		{nil, Answer{}},
		{[]Said{{nail.LF, Calm}}, Answer{}},
		{[]Said{{nail.LF, Uneasy}}, Answer{Ease, false, false}},
		{[]Said{{nail.LF, Uneasy}, {nail.RF, Uneasy}}, Answer{AnotherPaw, false, false}},
		{[]Said{{nail.LF, Pulling}, {nail.RF, Pulling}}, Answer{LetGo, false, false}},
		{[]Said{{nail.LF, Pulling}, {nail.LF, Pulling}}, Answer{LeavePaw, true, false}},
		{[]Said{{nail.LF, Fighting}}, Answer{StopPaw, true, false}},
		{[]Said{{nail.LF, Fighting}, {nail.RF, Fighting}}, Answer{StopFought, true, true}},
		{[]Said{{nail.LF, Uneasy}, {nail.LF, Snapping}}, Answer{StopSnapped, true, true}},
		{[]Said{{nail.LF, Snapping}, {nail.RF, Calm}}, Answer{}},
	} {
		assert.Equal(t, c.want, AnswerTo(c.said), c.said)
	}
}

// After snapping nothing is trimmed for the weeks of its training, after fighting not that paw; a sitting that went
// well takes it back.
func TestRefusalsHoldUntilItsTraining(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var r Refusals
		on := monday
		for range rapid.IntRange(1, 6).Draw(t, "sittings") {
			o := Outing{On: on}
			for range rapid.IntRange(1, 8).Draw(t, "nails") {
				o.Touches = append(o.Touches, Touch{
					Paw: nail.Paw(rapid.IntRange(0, 3).Draw(t, "paw")),
					Reaction: rapid.SampledFrom(append(Reactions(), Untold)).
						Draw(t, "reaction"),
					Cut: rapid.Bool().Draw(t, "cut"),
				})
			}
			r = r.After(o)
			worst := map[nail.Paw]Reaction{}
			snapped := false
			for _, touch := range o.Touches {
				worst[touch.Paw] = Worst(worst[touch.Paw], touch.Reaction)
				snapped = snapped || touch.Reaction == Snapping
			}
			for _, paw := range nail.Paws() {
				no, is := r.Of(paw, on.AddDays(13))
				if want := snapped || worst[paw].TooMuch(); want && !is {
					t.Fatalf("%v: %v, and a trim thirteen days later", paw, worst[paw])
				}
				if snapped && (no.Reaction != Snapping || !no.Holds(on.AddDays(27)) || no.Holds(on.AddDays(28))) {
					t.Fatalf("%v after snapping: %+v", paw, no)
				}
			}
			on = on.AddDays(rapid.IntRange(1, 40).Draw(t, "days"))
		}
	})
	fought := Refusals{}.After(Outing{On: monday, Touches: []Touch{{nail.LH, Fighting, false}, {nail.RF, Calm, true}}})
	_, other := fought.Of(nail.RF, monday.AddDays(1))
	assert.False(t, other, "the other paws are as they were")
	well := fought.After(Outing{On: monday.AddDays(3), Touches: []Touch{{nail.LH, Calm, true}}})
	_, still := well.Of(nail.LH, monday.AddDays(4))
	assert.False(t, still)
}
