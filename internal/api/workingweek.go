package api

import (
	"cmp"
	"context"
	"slices"
	"strings"
	"time"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

func (h handlers) GetWorkingWeek(
	ctx context.Context,
	_ contract.GetWorkingWeekRequestObject,
) (contract.GetWorkingWeekResponseObject, error) {
	w, err := h.book.WorkingWeek(ctx)
	return contract.GetWorkingWeek200JSONResponse{
		WorkingWeekJSONResponse: contract.WorkingWeekJSONResponse(workingWeek(speaks(ctx), w)),
	}, err
}

func (h handlers) ChangeWorkingWeek(
	ctx context.Context,
	r contract.ChangeWorkingWeekRequestObject,
) (contract.ChangeWorkingWeekResponseObject, error) {
	told, err := workingWeekOf(*r.Body)
	if err != nil {
		return nil, err
	}
	if err := h.book.ChangeWorkingWeek(ctx, told); err != nil {
		return nil, err
	}
	w, err := h.book.WorkingWeek(ctx)
	return contract.ChangeWorkingWeek200JSONResponse{
		WorkingWeekJSONResponse: contract.WorkingWeekJSONResponse(workingWeek(speaks(ctx), w)),
	}, err
}

func workingWeek(says words.Words, w book.WorkingWeek) contract.WorkingWeek {
	out := contract.WorkingWeek{
		Version:       w.Version,
		AroundMinutes: w.Week.Around,
		Days:          []contract.WorkingDay{},
		Exceptions:    []contract.WorkingException{},
	}
	for _, name := range date.EveryDay.Names() {
		if hours, is := w.Week.Days[weekday(contract.Weekday(name))]; is {
			out.Days = append(
				out.Days,
				contract.WorkingDay{Weekday: contract.Weekday(name), Hours: workingHours(hours)},
			)
		}
	}
	for _, kind := range round.MessageKinds() {
		out.Texts = append(
			out.Texts,
			contract.MessageText{Kind: kind, Text: cmp.Or(w.Texts[kind], book.UsualText(says, kind))},
		)
	}
	out.Remind = &w.Remind
	for on, hours := range w.Week.Except {
		out.Exceptions = append(out.Exceptions, contract.WorkingException{On: on, Hours: workingHours(hours)})
	}
	slices.SortFunc(out.Exceptions, func(a, b contract.WorkingException) int { return a.On.Sub(b.On) })
	for _, limit := range []struct {
		told int
		out  **int
	}{{w.Limits.Minutes, &out.MostMinutes}, {w.Limits.Dogs, &out.MostDogs}, {w.Limits.Hard, &out.MostHard}} {
		if limit.told > 0 {
			*limit.out = &limit.told
		}
	}
	return out
}

func workingWeekOf(in contract.WorkingWeek) (book.WorkingWeek, error) {
	w := book.WorkingWeek{
		Version: in.Version,
		Limits:  round.Limits{Minutes: orZero(in.MostMinutes), Dogs: orZero(in.MostDogs), Hard: orZero(in.MostHard)},
		Week: round.Week{
			Around: in.AroundMinutes,
			Days:   map[time.Weekday]round.Hours{},
			Except: map[date.Date]round.Hours{},
		},
	}
	w.Remind = orZero(in.Remind)
	for _, t := range in.Texts {
		if !book.Usual(t.Kind, t.Text) {
			if w.Texts == nil {
				w.Texts = map[round.MessageKind]string{}
			}
			w.Texts[t.Kind] = t.Text
		}
	}
	var f fault.Fields
	for _, d := range in.Days {
		if _, twice := w.Week.Days[weekday(d.Weekday)]; twice {
			f.Add("days", string(d.Weekday), say.Of(mustNameEachWeekdayOnce))
		}
		w.Week.Days[weekday(d.Weekday)] = hoursOf(d.Hours)
	}
	for _, e := range in.Exceptions {
		if _, twice := w.Week.Except[e.On]; twice {
			f.Add("exceptions", e.On.String(), say.Of(mustNameEachDayOnce))
		}
		w.Week.Except[e.On] = hoursOf(e.Hours)
	}
	return w, f.Err()
}

func workingHours(h round.Hours) contract.WorkingHours {
	out := contract.WorkingHours{From: h.From, To: h.To, Place: &h.Place, Helper: []contract.ClockStretch{}}
	if h.Break.Minutes() > 0 {
		out.Break = &contract.ClockStretch{From: h.Break.From, To: h.Break.To}
	}
	for _, s := range h.Helper {
		out.Helper = append(out.Helper, contract.ClockStretch{From: s.From, To: s.To})
	}
	return out
}

func hoursOf(in contract.WorkingHours) round.Hours {
	h := round.Hours{Stretch: round.Stretch{From: in.From, To: in.To}, Place: strings.TrimSpace(orZero(in.Place))}
	if in.Break != nil {
		h.Break = round.Stretch{From: in.Break.From, To: in.Break.To}
	}
	for _, s := range in.Helper {
		h.Helper = append(h.Helper, round.Stretch{From: s.From, To: s.To})
	}
	return h
}

var weekdays = map[contract.Weekday]time.Weekday{
	contract.Mon: time.Monday, contract.Tue: time.Tuesday, contract.Wed: time.Wednesday, contract.Thu: time.Thursday,
	contract.Fri: time.Friday, contract.Sat: time.Saturday, contract.Sun: time.Sunday,
}

func weekday(name contract.Weekday) time.Weekday { return weekdays[name] }
