package sitting

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/temper"
	"fribbet/internal/words/wordstest"
)

// A frightened or biting dog, a puppy or a new hand is offered a few nails today, not eighteen, and the
// first two the ladder before any nail (common practice, no source; how many is ours).
func TestADogBeginsWithAFewNails(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*Question)
		nails  int
		gently bool
	}{
		{"a practised hand and a calm dog", func(*Question) {}, 18, false},
		{"a new hand", func(q *Question) { q.Hand = kit.NewHand }, 4, false},
		{"frightened", func(q *Question) { q.Dog.Takes = dog.Frightened }, 2, true},
		{"bites", func(q *Question) { q.Dog.Takes, q.Helper = dog.Bites, true }, 2, true},
		{"a puppy", func(q *Question) { q.Dog.Birth = dog.Birth{Date: today.AddDays(-70)} }, 2, true},
	} {
		q := ask(c.change)
		p := For(q)
		assert.Len(t, p.Days[0].Stops, c.nails, c.name)
		assert.Equal(t, c.gently, q.Gently(), c.name)
		ways := []Way{}
		for _, s := range q.FirstSteps() {
			ways = append(ways, s.Way)
		}
		if c.gently {
			assert.Equal(t, []Way{ToLadder, ToWalk, ToNail}, ways, c.name)
		} else {
			assert.Equal(t, []Way{ToWalk, ToNail}, ways, c.name)
		}
	}
}

// What it took without trouble, and a little more.
func TestAFrightenedDogGoesOnFromWhatItTook(t *testing.T) {
	q := ask(func(q *Question) { q.Dog.Takes = dog.Frightened })
	two := past(q, 0, temper.Calm)
	two.Records = two.Records[:2]
	q.Past = q.Past.And(two)
	assert.Len(t, For(q).Days[0].Stops, 4)
	assert.False(t, q.Gently(), "it was done here")
	assert.Equal(t, "A treat after every nail.", wordstest.Of(q.Reward(For(q))))
	q.Dog.Takes = ""
	assert.Equal(t, "A treat after every paw.", wordstest.Of(q.Reward(For(q))))
}
