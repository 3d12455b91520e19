package feet

import (
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

// Forecast is how the nails grow from a day on when nobody trims them.
type Forecast struct {
	Days     []int       // after the first day
	Readings [][]Reading // one list a day of Days, in the order of the dog's nails
	Touch    float64     // days until the first nail touches the floor; +Inf when none does
	Touching []nail.Code // the nails that do so on that day
}

// Forecast reads the nails from a day on.
func (f Feet) Forecast(from date.Date) Forecast {
	c := Forecast{Touch: math.Inf(1)}
	for day := 0; day <= forecastDays; day += forecastStep {
		c.Days = append(c.Days, day)
		c.Readings = append(c.Readings, f.On(from.AddDays(day)))
	}
	touches := func(r Reading) float64 { return math.Floor(r.Days()) }
	for _, r := range c.Readings[0] {
		c.Touch = math.Min(c.Touch, touches(r))
	}
	for _, r := range c.Readings[0] {
		if !math.IsInf(c.Touch, 1) && touches(r) == c.Touch && !slices.Contains(c.Touching, r.Code) {
			c.Touching = append(c.Touching, r.Code)
		}
	}
	return c
}
