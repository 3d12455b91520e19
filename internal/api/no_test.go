package api

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// A dog that snapped is not booked for tomorrow, at home and at a groomer's: every place that tells a date or a plan
// gives the same reason, no nail is planned, and its row begins with the caution. A fight keeps only that paw.
func TestADogThatSaidNoIsLeftToItsTraining(t *testing.T) {
	for _, role := range []string{"keeper", "groomer"} {
		for reaction, days := range map[temper.Reaction]int{temper.Snapping: 28, temper.Fighting: 14} {
			t.Run(role+" "+string(reaction), func(t *testing.T) {
				c := newClient(t)
				ask[contract.Settings](
					c,
					"PUT",
					"/api/settings",
					fmt.Sprintf(
						`{"role":%q,"length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri","sat","sun"]}`,
						role,
					),
					200,
				)
				d := c.addDog(moss)
				at := "/api/dogs/" + d.Id.String()
				sat := at + "/sittings/" + uuid.NewString()
				b := ask[contract.Bench](
					c,
					"POST",
					sat+"/events",
					told(
						`"kind":"started","tool":"large_plier"`,
						`"kind":"cut","nail":"LH3","mm":0.5`,
						`"kind":"done","nail":"LH3"`,
						fmt.Sprintf(`"kind":"reaction","nail":"RF3","reaction":%q`, reaction),
					),
					200,
				)
				require.NotNil(t, b.Answer)
				assert.Equal(t, string(reaction), string(b.Answer.Key))
				assert.Equal(t, nail.RF, *b.Answer.Paw)
				require.Len(t, b.FirstAnswers, 4, "every reaction but calm asks for something")
				assert.Equal(t, reaction == temper.Snapping, b.Answer.Ends)
				ended := ask[contract.Bench](c, "POST", sat+"/events", told(`"kind":"ended","id":"end"`), 200)
				assert.Nil(t, ended.LeftOn, "nobody goes on the next day")
				assert.NotContains(t, ended.Praise, "Calm throughout")

				until := date.Of(c.now).AddDays(days)
				view := ask[contract.DogView](c, "GET", at, "", 200)
				row := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
				plan := ask[contract.Plan](c, "GET", at+"/plan?helper=true", "", 200)
				require.NotEmpty(t, row.Cautions)
				assert.Equal(t, dog.Handle, row.Cautions[0].Kind)
				for _, words := range []string{row.Cautions[0].Words, view.Cautions[0].Words, plan.Cautions[0].Words} {
					assert.Contains(t, words, short(until))
					assert.Contains(t, words, "veterinarian")
				}
				planned := map[nail.Paw]bool{}
				for _, one := range plan.Days {
					for _, stop := range one.Stops {
						planned[stop.Code.Paw] = true
					}
				}
				assert.False(t, planned[nail.RF], "the paw that it said no with")
				for _, n := range plan.Nails {
					if reaction == temper.Snapping || n.Code.Paw == nail.RF {
						assert.NotContains(t, []verdict.Kind{verdict.Trim, verdict.AskFirst}, n.Kind, n.Code)
					}
				}
				require.NotNil(t, view.Next)
				assert.Equal(t, row.Due, &view.Next.Due)
				// the round gives it no place before, and says of one that was agreed why not
				if reaction == temper.Snapping {
					for _, o := range ask[contract.DogVisits](c, "GET", at+"/visits", "", 200).Offers {
						assert.False(t, o.On.Before(until), "offered on %s", o.On)
					}
					visit := fmt.Sprintf(`{"dog_id":%q,"on":%q,"start":840,"state":"agreed"`, d.Id, until.AddDays(-8))
					would := ask[contract.Visit](c, "PUT", visitAt(), visit+`,"ask":true}`, 200)
					require.NotNil(t, would.Breaks)
					assert.Contains(t, *would.Breaks, "no trim before "+short(until))
					there := visitAt()
					ask[contract.Visit](c, "PUT", there, visit+`,"anyway":true}`, 200)
					assert.Equal(
						t,
						*would.Breaks,
						d.Name+" "+*ask[contract.DogVisits](c, "GET", at+"/visits", "", 200).Visits[0].Breaks,
					)
					_, feed := c.do("GET", ask[contract.Calendar](c, "GET", "/api/calendar", "", 200).Path, "")
					assert.Contains(
						t,
						strings.ReplaceAll(string(feed), "\r\n ", ""),
						"DESCRIPTION:"+d.Name+" snapped",
						"the calendar's visit says it too",
					)
					ask[contract.Visit](c, "PUT", there, strings.Replace(visit, "agreed", "called_off", 1)+`}`, 200)
				}
				for _, n := range view.Next.PerNail {
					if reaction == temper.Snapping || n.Code.Paw == nail.RF {
						assert.False(t, n.Due.Before(until), "%s on %s", n.Code, n.Due)
					}
				}
				calendar := ask[contract.Calendar](c, "GET", "/api/calendar", "", 200)
				_, feed := c.do("GET", calendar.Path, "")
				if reaction == temper.Snapping {
					assert.Empty(t, plan.Days)
					assert.Contains(t, plan.Blocked, "snapped")
					assert.False(t, view.Next.Due.Before(until))
					for _, words := range []string{view.Next.Reason, row.Reason, plan.Nails[0].Why, strings.ReplaceAll(string(feed), "\r\n ", "")} {
						assert.Contains(t, words, "no trim before "+short(until))
					}
				}
				card := ask[contract.Card](c, "GET", sat+"/card", "", 200)
				assert.NotContains(t, card.How, "calm")
			})
		}
	}
}

// What nobody told is told nowhere: a book without a mood states none.
func TestNoMoodIsToldThatNobodySaid(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	sat := at + "/sittings/" + uuid.NewString()
	ask[contract.Bench](
		c,
		"POST",
		sat+"/events",
		told(
			`"kind":"started","tool":"large_plier"`,
			`"kind":"cut","nail":"LH3","mm":0.5`,
			`"kind":"done","nail":"LH3"`,
			`"kind":"ended"`,
		),
		200,
	)
	ask[contract.DogView](c, "POST", at+"/sittings", c.planned(d), http.StatusCreated)
	for _, path := range []string{at, at + "/plan", sat + "/card", sat + "/bench", "/api/due"} {
		_, text := c.do("GET", path, "")
		assert.NotContains(t, strings.ToLower(string(text)), "calm throughout", path)
		assert.NotContains(t, string(text), `"calm"`, path)
		assert.NotContains(t, string(text), "without trouble", path)
	}
}

// What is seen at arrival goes into the state.
func TestTheArrivalMovesWhatIsBelieved(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	ask[contract.DogView](c, "POST", at+"/sittings", c.planned(d), http.StatusCreated)
	left := func() (sum float64) {
		for _, bar := range ask[contract.DogView](c, "GET", at, "", 200).Rank.Bars {
			if bar.ToFloorMm != nil {
				sum += *bar.ToFloorMm
			}
		}
		return sum
	}
	c.now = c.now.AddDate(0, 0, 3)
	before := left()
	sat := at + "/sittings/" + uuid.NewString() + "/events"
	seen := func(touching string) string {
		return fmt.Sprintf(
			`{"events":[{"id":"s","at":"2026-11-27T09:00:00Z","kind":"started","tool":"large_plier"},{"id":"a","at":"2026-11-27T09:00:00Z","kind":"arrival","arrival":{"touching":%q}}]}`,
			touching,
		)
	}
	p := ask[contract.Problem](c, "POST", sat, seen("many"), 400)
	assert.Contains(t, fmt.Sprint(p.Errors), "touching")
	b := ask[contract.Bench](c, "POST", sat, seen("most"), 200)
	assert.Equal(t, "most", string(*b.Arrival.Touching))
	ask[contract.Bench](
		c,
		"POST",
		sat,
		`{"events":[{"id":"u","at":"2026-11-27T09:01:00Z","kind":"reaction","nail":"LF3","reaction":"uneasy"}]}`,
		200,
	)
	assert.Less(t, left(), before-1, "with the first that is told of a nail it is a trim")
	_, text := c.do("POST", sat, strings.ReplaceAll(seen("some"), `"id":"a"`, `"id":"again"`))
	assert.Contains(t, string(text), "already")
}

// short is a day as sentences hold it.
func short(d date.Date) string { return d.At(12, 0, time.UTC).Format("Mon 2 Jan") }
