package api

import (
	"fmt"
	"net/http"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/verdict"
)

// stopsOf are the nails that a plan works, day by day.
func stopsOf(p contract.Plan) (days [][]contract.Stop) {
	for _, day := range p.Days {
		days = append(days, day.Stops)
	}
	return days
}

// Every place that names a nail, a date or an amount says what the verdict says: what can wait is left on the day of
// the sitting, a nail that decides the date is worked then, what was trimmed today is left and asked nothing, the list
// and the dog's page tell one date, and no nail is believed to have more spare than its share of the length.
func TestOneVerdictEverywhere(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	c := newClient(t)
	var dogs []contract.Dog
	for i, kg := range []float64{2, 6, 12, 22, 34, 60} {
		dogs = append(
			dogs,
			c.addDog(
				fmt.Sprintf(
					`{"name":"Moss %d","age_years":4,"weights":[{"kg":%g}],"pavement_km_week":%d,"dates":%q}`,
					i,
					kg,
					3*i,
					[]string{"floor", "calendar"}[i%2],
				),
			),
		)
		for ago := 84; ago > 0; ago -= 14 + 7*(i%2) {
			c.done(dogs[i], ago, "1,0.5")
		}
	}
	for _, d := range dogs {
		at := "/api/dogs/" + d.Id.String()
		plan := func() contract.Plan { return ask[contract.Plan](c, "GET", at+"/plan?helper=true", "", 200) }
		kinds := func() map[nail.Code]verdict.Kind {
			all := map[nail.Code]verdict.Kind{}
			for _, n := range plan().Nails {
				all[n.Code] = n.Kind
			}
			return all
		}
		was := c.now
		for range 3 {
			view := ask[contract.DogView](c, "GET", at, "", 200)
			require.NotNil(t, view.Next, d.Name)
			list := ask[contract.DueList](c, "GET", "/api/due?search="+d.Name[len("Moss "):], "", 200)
			i := slices.IndexFunc(list.Dogs, func(row contract.DueRow) bool { return row.DogId == d.Id })
			require.GreaterOrEqual(t, i, 0)
			assert.Equal(t, view.Next.Due, *list.Dogs[i].Due, "one date")
			assert.Equal(t, view.Next.Reason, list.Dogs[i].Reason, "one reason")
			for _, bar := range view.Rank.Bars {
				assert.LessOrEqual(t, bar.Spare.Mm, 0.6*bar.Length.Mm+1e-6, bar.Code)
			}
			if on := view.Next.Due; on.After(date.Of(c.now)) {
				c.now = c.now.AddDate(0, 0, on.Sub(date.Of(c.now)))
			}
			then := kinds()
			visit := ask[contract.DogVisits](c, "GET", at+"/visits", "", 200).Dog
			assert.Equal(t, &view.Next.Due, visit.Due, "the week's date")
			assert.Len(t, stopsOf(plan())[0], visit.Nails, "%s: as many nails as Ready would work that day", d.Name)
			worked := 0
			for _, n := range view.Next.PerNail {
				if n.CanWait {
					assert.Equal(t, verdict.Leave, then[n.Code], "%s %s can wait", d.Name, n.Code)
				}
				if kind := then[n.Code]; slices.Contains(view.Next.Nails, n.Code) &&
					(kind == verdict.Trim || kind == verdict.AskFirst) {
					worked++
				}
			}
			if view.Next.Rule != due.Ceiling {
				assert.Positive(t, worked, "%s on %s: %s, and Ready leaves it", d.Name, view.Next.Due, view.Next.Reason)
			}
			for _, n := range plan().Nails {
				assert.LessOrEqual(t, n.Plan.MostMm, 0.6*40.0, n.Code)
				assert.Equal(t, n.Kind == verdict.Trim, len(n.Plan.CutsMm) > 0, n.Code)
			}
			ask[contract.DogView](c, "POST", at+"/sittings", c.planned(d), http.StatusCreated)
			for code, kind := range kinds() {
				if then[code] == verdict.Trim {
					assert.Equal(t, verdict.Leave, kind, "%s %s was trimmed an hour ago", d.Name, code)
				}
			}
			c.now = c.now.Add(24 * time.Hour)
		}
		c.now = was
	}
}
