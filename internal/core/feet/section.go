package feet

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
)

// Section is one nail in side view on a day, with what each school of cut would do to it.
type Section struct {
	Reading
	Stance                claw.Stance
	Quick                 float64         // arc length of the quick's likeliest end, mm
	QuickShort, QuickLong float64         // the same at the ends of its range
	Days                  float64         // until it touches if nobody cuts it; +Inf when it never does
	RateFrom              estimate.Source // where its growth is known from: assumed for its size, or learnt
	TurnPerDay            float64         // how far growth turns the nail about its arc's centre in a day, radians
	// the last length that somebody read, less what came off after it; of no day when nobody did
	Measured Measured
	Cuts     []SchoolCut
	Slivers  [][2]claw.Point // where slivers run that come off one after the other, as they were asked for
}

// SchoolCut is a school's cut with what it means for this nail's next weeks.
type SchoolCut struct {
	claw.Cut
	Days float64 // until it touches again, at its own rate; +Inf when it never does
}

// Section reads one nail; the cuts keep margin mm from the quick and come off in slivers of the
// given thickness, mm. It is false when the dog does not have the nail.
func (f Feet) Section(code nail.Code, day date.Date, margin, sliver float64) (Section, bool) {
	for i, r := range f.On(day) {
		if r.Code == code {
			s := r.section(margin, sliver)
			s.RateFrom, s.Measured = f.Growth(day).Source, f.toes[i].Measured
			return s, true
		}
	}
	return Section{}, false
}

func (r Reading) section(margin, sliver float64) Section {
	stance := r.Claw.AtGap(dewclawStands)
	if !r.Code.Dewclaw() {
		stance = r.Stance()
	}
	s := Section{
		Reading: r, Stance: stance,
		Quick:      r.Length.Value - r.Spare.Value,
		QuickShort: r.Length.Value - r.Spare.High, QuickLong: r.Length.Value - r.Spare.Low,
		Days: r.Days(), TurnPerDay: r.Rate.Mean / 7 / r.Claw.Radius,
	}
	for _, cut := range s.Stance.Cuts(s.Quick, margin, sliver) {
		days := cut.ToFloor / r.Rate.Mean * 7
		if r.Code.Dewclaw() {
			days = math.Inf(1)
		}
		s.Cuts = append(s.Cuts, SchoolCut{cut, days})
	}
	return s
}
