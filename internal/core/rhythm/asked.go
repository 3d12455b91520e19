package rhythm

import (
	"fribbet/internal/core/claw"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
)

// Asked is one nail at one interval, of which nothing else is known: what the open calculator is asked.
type Asked struct {
	Rate   float64 // net growth, mm a week
	Spare  float64 // after the trim, mm
	Weight float64 // of the dog, kg
	Weeks  float64 // from one trim to the next
}

// Moves is what the quick does in that interval.
type Moves struct {
	Quick     float64 // how far it grows; below 0 it draws back, mm
	Week      float64 // the same a week
	Spare     float64 // before the next trim, mm
	BreakEven float64 // weeks at which it neither grows nor draws back; 0 where there is none
}

// Check returns the fields that cannot be, under the contract's names.
func (a Asked) Check() fault.Fields {
	var f fault.Fields
	f.Range("net_mm_week", a.Rate, 0.01, mostRate, fault.MMWeek)
	f.Range("spare_after_trim_mm", a.Spare, 0, claw.MostLength, fault.MM)
	f.Range("weight_kg", a.Weight, growth.LeastWeight, growth.MostWeight, fault.KG)
	f.Range("interval_weeks", a.Weeks, 0.1, mostInterval, fault.Weeks)
	return f
}

// Moves works it out by the usual habit of a quick in a dog of that size (section E). It returns
// fault.Fields when it cannot be.
func (a Asked) Moves() (Moves, error) {
	if err := a.Check().Err(); err != nil {
		return Moves{}, err
	}
	d := quick.Drift{Rate: a.Rate, Follow: quick.UsualFollow(claw.SizeFactor(a.Weight))}
	moved := d.Move(a.Spare, a.Weeks)
	return Moves{
		Quick: moved, Week: moved / a.Weeks,
		Spare: d.After(quick.Spare{Mean: a.Spare}, a.Weeks).Mean, BreakEven: d.BreakEven(a.Spare),
	}, nil
}
