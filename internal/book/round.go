package book

import (
	"cmp"
	"context"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// Fit is a dog that would fit into a gap.
type Fit struct {
	round.Offer
	Row store.RoundDog
}

// Day is a day of the round.
type Day struct {
	On     date.Date
	Hours  round.Hours // none when it is closed
	Open   bool
	Now    round.Clock // today's; on other days its beginning, or its end when it has gone by
	Visits []Visit
	Asks   []say.Line  // of people, in words
	Ways   []round.Way // to ease it, where somebody waits
	Gaps   []Gap
}

// DayLoad is what a day asks of the hands and of the kit.
type DayLoad struct {
	On      date.Date
	Hours   round.Hours // none when it is closed
	Open    bool
	Visits  []Visit
	Load    round.Load
	Prepare []say.Line // what is to be done to the kit for it
}

// Gap is a free stretch of a day, with who would fit.
type Gap struct {
	round.Stretch
	Fits []Fit
}

// mostFits is how many dogs a gap names, and mostCandidates how many are looked at for a week.
const (
	mostFits       = 3
	mostCandidates = 300
)

// Round is a day of the round as it stands.
func (b *Book) Round(ctx context.Context, on date.Date) (Day, error) {
	if err := b.within(on); err != nil {
		return Day{}, err
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return Day{}, err
	}
	kept, err := b.store.Visits(ctx, on, on)
	if err != nil {
		return Day{}, err
	}
	d := Day{On: on, Now: b.clock(on)}
	if d.Visits, err = b.visits(ctx, kept); err != nil {
		return Day{}, err
	}
	there := plain(d.Visits)
	d.Hours, d.Open = w.Week.On(on)
	for i, standing := range round.Standings(there, on.Before(b.Today())) {
		d.Visits[i].Standing = standing
		if standing == round.Next || standing == round.ToCome {
			d.Visits[i].Breaks = w.Week.Breaks(there[i])
		}
	}
	if on == b.Today() {
		runs := w.Week.Running(there, d.Now)
		for i := range d.Visits {
			if k := slices.IndexFunc(runs, func(r round.Runs) bool { return r.ID == there[i].ID }); k >= 0 {
				d.Visits[i].Runs = &runs[k]
			}
		}
		d.Ways = w.Week.Since(b.Today(), d.Now).Ways(there, d.Now)
	}
	d.Asks = d.Hours.Asks(there)
	if err := b.toTell(ctx, d.Visits); err != nil {
		return Day{}, err
	}
	if d.Open && !on.Before(b.Today()) {
		d.Gaps, err = b.gaps(ctx, w.Week.Since(b.Today(), d.Now), d, there)
	}
	return d, err
}

// gaps are what is free of a day, with the dogs that would gain most by it.
func (b *Book) gaps(ctx context.Context, w round.Week, d Day, there []round.Visit) ([]Gap, error) {
	dogs, rows, err := b.candidates(ctx, d.On.AddDays(7))
	if err != nil {
		return nil, err
	}
	gaps := []Gap{}
	for _, free := range w.Free(d.On, there) {
		if free.Minutes() < round.LeastGap {
			continue
		}
		g := Gap{Stretch: free}
		for _, one := range dogs {
			if o, is := w.Within(one, there, d.On, free); is {
				g.Fits = append(g.Fits, Fit{o, rows[one.ID]})
			}
		}
		slices.SortStableFunc(g.Fits, func(x, y Fit) int { return cmp.Compare(y.Saves, x.Saves) })
		g.Fits = g.Fits[:min(mostFits, len(g.Fits))]
		gaps = append(gaps, g)
	}
	return gaps, nil
}

// Loads are the loads of the week in which a day lies.
func (b *Book) Loads(ctx context.Context, on date.Date) ([]DayLoad, error) {
	if err := b.within(on); err != nil {
		return nil, err
	}
	monday, today := on.Monday(), b.Today()
	from, sunday := monday, monday.AddDays(6)
	if today.Before(from) {
		from = today // what wears the blades until then
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return nil, err
	}
	kept, err := b.store.Visits(ctx, from, sunday)
	if err != nil {
		return nil, err
	}
	all, err := b.visits(ctx, kept)
	if err != nil {
		return nil, err
	}
	pieces, err := b.pieces(ctx)
	if err != nil {
		return nil, err
	}
	var days []DayLoad
	earlier := kit.Needs{}
	for day := from; !day.After(sunday); day = day.AddDays(1) {
		d := DayLoad{On: day}
		for _, v := range all {
			if v.Visit.On == day {
				d.Visits = append(d.Visits, v)
			}
		}
		d.Hours, d.Open = w.Week.On(day)
		d.Load = w.Limits.Load(plain(d.Visits))
		if !day.Before(today) {
			asks := round.Ahead(plain(d.Visits))
			d.Prepare = kit.Prepare(pieces, earlier, asks, day == today)
			earlier.Add(asks)
		}
		if !day.Before(monday) {
			days = append(days, d)
		}
	}
	return days, nil
}

// offersEach is how many places are offered.
const offersEach = 3

// Places are looked for from a week before a dog's date on, for four weeks.
const (
	offersBefore = 7
	offersDays   = 28
)
