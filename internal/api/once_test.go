package api

import (
	"fmt"
	"sync"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/roster"
)

// What is told under an id that is in the book: the same changes nothing, anything else is answered 409 with what is
// there, and neither is thrown away without a word.
func TestTheSameIDWithOtherContentIsTold(t *testing.T) {
	c, dogs := groomers(t, 40, 20)
	one, other := "/api/dogs/"+dogs[0].Id.String(), "/api/dogs/"+dogs[1].Id.String()
	id := func() string { return uuid.NewString() }
	check, item, climb, try, list, sitting := id(), id(), id(), id(), id(), id()
	walked := func(clicks bool) string {
		return fmt.Sprintf(
			`{"id":"%s","clicks":%t,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[]}`,
			check,
			clicks,
		)
	}
	piece := func(kind string) string {
		return fmt.Sprintf(`{"id":"%s","kind":"%s","name":"","guard":false}`, item, kind)
	}
	event := func(kind, more string) string {
		return fmt.Sprintf(`{"events":[{"id":"%s","at":"2026-11-24T10:00:00Z","kind":"%s"%s}]}`, sitting, kind, more)
	}
	for _, s := range []struct{ what, method, path, first, path2, second string }{
		{"walk-round", "POST", one + "/checks", walked(false), one + "/checks", walked(true)},
		{"check of the feet of another dog", "POST", one + "/checks", walked(false), other + "/checks", walked(false)},
		{"piece of kit", "POST", "/api/kit", piece("large_plier"), "/api/kit", piece("small_plier")},
		{"ladder", "POST", one + "/ladders", fmt.Sprintf(`{"id":"%s","kind":"clipper"}`, climb), one + "/ladders", fmt.Sprintf(`{"id":"%s","kind":"board"}`, climb)},
		{"try", "POST", one + "/ladders/" + climb + "/tries", fmt.Sprintf(`{"id":"%s","reaction":"calm"}`, try), one + "/ladders/" + climb + "/tries", fmt.Sprintf(`{"id":"%s","reaction":"fighting"}`, try)},
		{"list", "PUT", "/api/lists/" + list, listBody(t, someList), "/api/lists/" + list, listBody(t, "Owner,Dog\nAnother One,Moth\n", roster.Owner, roster.Dog)},
		{"event", "POST", one + "/sittings/" + sitting + "/events", event("started", `,"tool":"large_plier"`), one + "/sittings/" + sitting + "/events", event("started", `,"tool":"small_plier"`)},
	} {
		for range 2 {
			status, text := c.do(s.method, s.path, s.first)
			assert.Less(t, status, 300, "%s: %s", s.what, text)
		}
		status, text := c.do(s.method, s.path2, s.second)
		assert.Equal(t, 409, status, "%s: %s", s.what, text)
		assert.Contains(t, string(text), "already, told otherwise", s.what)
	}
	assert.Len(t, ask[contract.DogLadders](c, "GET", one+"/ladders", "", 200).Ladders, 1)
}

// Of two walk-rounds under one id at once one is kept and the other told, every time.
func TestOfTwoUnderOneIDAtOnceOneIsTold(t *testing.T) {
	c, dogs := groomers(t, 40)
	for range 10 {
		id := uuid.NewString()
		var both sync.WaitGroup
		answers := make([]int, 2)
		for i := range 2 {
			both.Go(func() {
				answers[i], _ = c.do(
					"POST",
					"/api/dogs/"+dogs[0].Id.String()+"/checks",
					fmt.Sprintf(
						`{"id":"%s","clicks":%t,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[]}`,
						id,
						i == 0,
					),
				)
			})
		}
		both.Wait()
		assert.Contains(t, answers, 409)
		assert.Less(t, min(answers[0], answers[1]), 300)
	}
}

// Four hands at one bench at once: everything that each of them told is in the log, once, also what two of them told.
func TestManyHandsAtOneBenchLoseNothing(t *testing.T) {
	c, dogs := groomers(t, 20)
	sat := "/api/dogs/" + dogs[0].Id.String() + "/sittings/" + uuid.NewString()
	ask[contract.Bench](c, "POST", sat+"/events", told(`"kind":"started","tool":"large_plier"`), 200)
	const hands, taps = 4, 8
	var all sync.WaitGroup
	for hand := range hands {
		all.Go(func() {
			for tap := range taps {
				body := told(fmt.Sprintf(`"id":"%d-%d","kind":"note","note":"hand %d"`, hand/2, tap, hand/2))
				status, text := c.do("POST", sat+"/events", body)
				assert.Equal(t, 200, status, string(text))
			}
		})
	}
	all.Wait()
	assert.Equal(t, 1+hands/2*taps, ask[contract.Bench](c, "GET", sat+"/bench", "", 200).Events)
}
