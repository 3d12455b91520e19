package api

import (
	"cmp"
	"context"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/round"
	"fribbet/internal/words"
)

func (h handlers) GetRoundDay(
	ctx context.Context,
	r contract.GetRoundDayRequestObject,
) (contract.GetRoundDayResponseObject, error) {
	w := speaks(ctx)
	d, err := h.book.Round(ctx, r.On)
	if err != nil {
		return nil, err
	}
	week, err := h.book.Loads(ctx, d.On)
	if err != nil {
		return nil, err
	}
	out := contract.GetRoundDay200JSONResponse{
		On:    d.On,
		Today: h.book.Today(),
		Now:   d.Now,
		Open:  d.Open,
		Asks:  w.All(d.Asks),
		Ways:  []contract.RoundWay{},
		Gaps:  []contract.RoundGap{},
		Week:  []contract.RoundLoad{},
	}
	if d.Open {
		out.Hours = of(workingHours(d.Hours))
	}
	if out.Visits, err = h.visits(w, d.Visits); err != nil {
		return nil, err
	}
	for _, way := range d.Ways {
		one, err := roundWay(w, way)
		if err != nil {
			return nil, err
		}
		out.Ways = append(out.Ways, one)
	}
	for _, g := range d.Gaps {
		gap := contract.RoundGap{From: g.From, To: g.To, Fits: []contract.GapFit{}}
		for _, f := range g.Fits {
			dog, err := roundDog(w, f.Dog, f.Row)
			if err != nil {
				return nil, err
			}
			gap.Fits = append(gap.Fits, contract.GapFit{Dog: dog, Start: f.Start})
		}
		out.Gaps = append(out.Gaps, gap)
	}
	for _, one := range week {
		load := roundLoad(w, one)
		if out.Week = append(out.Week, load); one.On == d.On {
			out.Load = load
		}
	}
	return out, nil
}

func (h handlers) GetCalls(
	ctx context.Context,
	r contract.GetCallsRequestObject,
) (contract.GetCallsResponseObject, error) {
	w := speaks(ctx)
	calls, err := h.book.Calls(ctx, orZero(r.Params.From), orZero(r.Params.Offset), atMost(r.Params.Limit))
	if err != nil {
		return nil, err
	}
	out := contract.GetCalls200JSONResponse{
		From:    calls.From,
		Until:   calls.Until,
		All:     calls.All,
		Recount: recount(calls.Recount),
	}
	if out.Calls, err = h.calls(w, calls.Now); err != nil {
		return nil, err
	}
	for i := range calls.Later {
		calls.Later[i].Row.Due = nil // who waits is named, not pictured
	}
	out.Waits, err = h.calls(w, calls.Later)
	return out, err
}

func (h handlers) calls(w words.Words, all []book.Call) ([]contract.CallRow, error) {
	out := []contract.CallRow{}
	for _, c := range all {
		dog, err := roundDog(w, c.Dog, c.Row)
		if err != nil {
			return nil, err
		}
		row := contract.CallRow{Dog: dog, Offers: h.offers(w, c.Offers)}
		if c.Owner != nil {
			row.Reach, row.Address = of(contract.CallRowReach(c.Owner.Reach)), &c.Owner.Address
		}
		out = append(out, row)
	}
	return out, nil
}

func (h handlers) KeepVisit(
	ctx context.Context,
	r contract.KeepVisitRequestObject,
) (contract.KeepVisitResponseObject, error) {
	w := speaks(ctx)
	v := book.KeptVisit{
		ID:       r.VisitId,
		On:       r.Body.On,
		Start:    r.Body.Start,
		Minutes:  orZero(r.Body.Minutes),
		State:    r.Body.State,
		Sequence: orZero(r.Body.Sequence),
		Note:     orZero(r.Body.Note),
		OffBy:    orZero(r.Body.OffBy),
	}
	v.Dog.DogID = r.Body.DogId
	keep := func() (book.Visit, error) { return h.book.KeepVisit(ctx, v, orZero(r.Body.Anyway)) }
	if orZero(r.Body.Ask) {
		keep = func() (book.Visit, error) { return h.book.TryVisit(ctx, v) }
	}
	kept, err := keep()
	if err != nil {
		return nil, err
	}
	out, err := h.visits(w, []book.Visit{kept})
	if err != nil {
		return nil, err
	}
	return contract.KeepVisit200JSONResponse(out[0]), nil
}

func (h handlers) RepeatVisit(
	ctx context.Context,
	r contract.RepeatVisitRequestObject,
) (contract.RepeatVisitResponseObject, error) {
	w := speaks(ctx)
	days, err := h.book.RepeatVisit(ctx, r.VisitId, round.Repeat{EveryWeeks: r.Body.EveryWeeks, Times: r.Body.Times})
	out := contract.RepeatVisit200JSONResponse{Days: []contract.RepeatedDay{}}
	for _, d := range days {
		out.Days = append(out.Days, contract.RepeatedDay{On: d.On, Kept: d.Kept != nil, Why: given(w.Say(d.Why))})
	}
	return out, err
}

func (h handlers) FindOnTelephone(
	ctx context.Context,
	r contract.FindOnTelephoneRequestObject,
) (contract.FindOnTelephoneResponseObject, error) {
	found, err := h.book.Find(ctx, r.Params.Search)
	out := contract.FindOnTelephone200JSONResponse{Dogs: []contract.FoundDog{}}
	for _, f := range found {
		one := contract.FoundDog{DogId: f.DogID, Name: f.Name, Owner: f.OwnerName}
		if v := f.Next; v != nil {
			one.Next = &contract.NextPlace{On: v.On, Start: v.Start, InDays: v.On.Sub(h.book.Today())}
		}
		out.Dogs = append(out.Dogs, one)
	}
	return out, err
}

func (h handlers) GetDogVisits(
	ctx context.Context,
	r contract.GetDogVisitsRequestObject,
) (contract.GetDogVisitsResponseObject, error) {
	w := speaks(ctx)
	d, err := h.book.DogVisits(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	dog, err := roundDog(w, d.Dog, d.Row)
	if err != nil {
		return nil, err
	}
	visits, err := h.visits(w, d.Visits)
	return contract.GetDogVisits200JSONResponse{Dog: dog, Visits: visits, Offers: h.offers(w, d.Offers)}, err
}

func (h handlers) NotNow(ctx context.Context, r contract.NotNowRequestObject) (contract.NotNowResponseObject, error) {
	return contract.NotNow204Response{}, h.book.NotNow(ctx, r.DogId, r.Body.Weeks)
}

func (h handlers) GetWaiting(
	ctx context.Context,
	_ contract.GetWaitingRequestObject,
) (contract.GetWaitingResponseObject, error) {
	waiting, err := h.book.Waiting(ctx)
	if err != nil {
		return nil, err
	}
	out := contract.GetWaiting200JSONResponse{Waiting: []contract.WaitingDog{}}
	w := speaks(ctx)
	for _, one := range waiting {
		dog, err := roundDog(w, one.Dog, one.Waiting.Dog)
		if err != nil {
			return nil, err
		}
		waits := contract.WaitingDog{Dog: dog, On: one.On, Note: one.Note, ToldAt: one.Told}
		if one.Place != nil {
			waits.Place = &h.offers(w, []round.Offer{*one.Place})[0]
		}
		out.Waiting = append(out.Waiting, waits)
	}
	return out, nil
}

func (h handlers) WaitForDay(
	ctx context.Context,
	r contract.WaitForDayRequestObject,
) (contract.WaitForDayResponseObject, error) {
	return contract.WaitForDay204Response{}, h.book.Wait(ctx, r.DogId, r.On, orZero(r.Body.Note))
}

func (h handlers) WaitNoMore(
	ctx context.Context,
	r contract.WaitNoMoreRequestObject,
) (contract.WaitNoMoreResponseObject, error) {
	return contract.WaitNoMore204Response{}, h.book.WaitNoMore(ctx, r.DogId, r.On)
}

func (h handlers) GiveBack(
	ctx context.Context,
	r contract.GiveBackRequestObject,
) (contract.GiveBackResponseObject, error) {
	return contract.GiveBack204Response{}, h.book.GiveBack(ctx, r.Body.What, r.Body.Id)
}

func (h handlers) visits(w words.Words, all []book.Visit) ([]contract.Visit, error) {
	out := []contract.Visit{}
	for _, v := range all {
		dog, err := roundDog(w, v.Dog, v.Kept.Dog)
		if err != nil {
			return nil, err
		}
		one := contract.Visit{
			Id:        v.Kept.ID,
			Dog:       dog,
			On:        v.On,
			Start:     v.Start,
			Ends:      int(v.Ends()),
			Minutes:   v.Kept.Minutes,
			State:     v.State,
			Sequence:  v.Kept.Sequence,
			Standing:  contract.VisitStanding(v.Standing),
			SittingId: v.Kept.Sitting,
			Note:      given(v.Kept.Note),
			OffBy:     given(v.Kept.OffBy),
		}
		if !v.Breaks.Nothing() {
			one.Breaks = of(w.Say(v.Breaks))
		}
		if v.Tell != "" {
			one.Tell = &v.Tell
		}
		if r := v.Runs; r != nil {
			one.Starts = &struct {
				High   int  `json:"high"`
				Late   bool `json:"late"`
				Likely int  `json:"likely"`
				Low    int  `json:"low"`
				Waits  bool `json:"waits"`
			}{int(r.Starts.High), r.Late, int(r.Starts.Value), int(r.Starts.Low), r.Waits}
		}
		out = append(out, one)
	}
	return out, nil
}

func (h handlers) offers(w words.Words, all []round.Offer) []contract.Offer {
	out := []contract.Offer{}
	for _, o := range all {
		out = append(
			out,
			contract.Offer{
				On:      o.On,
				Start:   o.Start,
				InDays:  o.On.Sub(h.book.Today()),
				Minutes: o.Dog.Minutes,
				Reasons: w.All(o.Reasons),
			},
		)
	}
	return out
}

func roundDog(w words.Words, d round.Dog, row book.RoundDog) (contract.RoundDog, error) {
	out := contract.RoundDog{
		DogId:   row.DogID,
		Name:    row.Name,
		OwnerId: row.OwnerID,
		Owner:   row.OwnerName,
		Takes:   minutes(d.Takes),
		Minutes: d.Minutes,
		Help: cmp.Or(
			d.Help,
			round.NoHelp,
		),
		Hard:    d.Hard,
		Nails:   d.Nails,
		Due:     dated(d.Window.Due),
		Touches: dated(d.Window.Touches),
	}
	if row.Due == nil {
		return out, nil
	}
	turn, err := book.DueRow{DogID: row.DogID, Kept: *row.Due}.Turn()
	out.Reason, out.Rank, out.Cautions = of(w.Say(turn.Reason)), of(smallRank(turn.Glance)), cautions(w, turn.Cautions)
	return out, err
}

func roundWay(w words.Words, way round.Way) (out contract.RoundWay, err error) {
	out = contract.RoundWay{SavesMinutes: way.Saves, Words: w.Say(way.Words)}
	if out.VisitId, err = uuid.Parse(way.ID); err != nil {
		return out, err
	}
	if way.To > 0 {
		out.To = &way.To
	}
	out.DogId, err = uuid.Parse(way.Dog.ID)
	return out, err
}

func roundLoad(w words.Words, d book.DayLoad) contract.RoundLoad {
	out := contract.RoundLoad{
		On:              d.On,
		Open:            d.Open,
		Dogs:            d.Load.Dogs,
		Minutes:         d.Load.Minutes,
		Nails:           d.Load.Nails,
		Hard:            d.Load.Hard,
		GrindingMinutes: d.Load.Grinding,
		Over:            w.All(d.Load.Over),
		Prepare:         w.All(d.Prepare),
		Bars:            []contract.ClockStretch{},
	}
	if d.Open {
		out.Hours = of(workingHours(d.Hours))
	}
	for _, v := range d.Visits {
		if v.State.Takes() {
			out.Bars = append(out.Bars, contract.ClockStretch{From: v.Start, To: v.Ends()})
		}
	}
	return out
}
