package api

import (
	"context"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

func (h handlers) CreateDog(
	ctx context.Context,
	r contract.CreateDogRequestObject,
) (contract.CreateDogResponseObject, error) {
	made, err := h.book.AddDog(ctx, changes(*r.Body))
	if err != nil {
		return nil, err
	}
	return contract.CreateDog201JSONResponse(h.dog(made)), nil
}

func (h handlers) ChangeDog(
	ctx context.Context,
	r contract.ChangeDogRequestObject,
) (contract.ChangeDogResponseObject, error) {
	if r.Body.Version == nil {
		return nil, fault.Fields{{Name: "version", Value: "nothing", Want: say.Of(mustBeTheVersionOf)}}
	}
	changed, err := h.book.ChangeDog(ctx, r.DogId, *r.Body.Version, changes(*r.Body))
	if err != nil {
		return nil, err
	}
	return contract.ChangeDog200JSONResponse(h.dog(changed)), nil
}

func (h handlers) GetDog(ctx context.Context, r contract.GetDogRequestObject) (contract.GetDogResponseObject, error) {
	w := speaks(ctx)
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.GetDog200JSONResponse(h.view(w, v)), nil
}

// atMost is how many rows a list tells at once.
func atMost(limit *int) int {
	const usual = 25
	if limit == nil {
		return usual
	}
	return *limit
}

func (h handlers) GetDue(ctx context.Context, r contract.GetDueRequestObject) (contract.GetDueResponseObject, error) {
	const weeksAhead = 6
	found, err := h.book.DueList(ctx, book.Find{
		Name:   orZero(r.Params.Search),
		Open:   orZero(r.Params.Open),
		Offset: orZero(r.Params.Offset),
		Limit:  atMost(r.Params.Limit),
	})
	if err != nil {
		return nil, err
	}
	list := contract.DueList{
		Today: h.book.Today(),
		All:   found.All,
		Found: found.Found,
		Late:  found.Late,
		Moved: []contract.MovedDate{},
	}
	w := speaks(ctx)
	for _, m := range found.Moved {
		list.Moved = append(
			list.Moved,
			contract.MovedDate{
				DogId:   m.DogID,
				Name:    m.Name,
				Was:     m.Was,
				Now:     m.Now,
				Because: w.Say(say.Read(m.Why)),
				MovedBy: lines(w, []say.Line{m.By})[0],
			},
		)
	}
	list.Recount = recount(found.Recount)
	for week := range weeksAhead {
		list.Weeks = append(list.Weeks, h.book.Today().AddDays(7*week))
	}
	rows, err := h.dueRows(w, found.Rows)
	return dueAnswer{list, rows}, err
}

// recount is how far dates have been worked out again; nil where they are.
func recount(p *book.Progress) *contract.Recount {
	if p == nil {
		return nil
	}
	return &contract.Recount{Done: p.Done, All: p.All}
}

func (h handlers) SeenMoved(
	ctx context.Context,
	_ contract.SeenMovedRequestObject,
) (contract.SeenMovedResponseObject, error) {
	return contract.SeenMoved204Response{}, h.book.SeenMoved(ctx)
}

// dueRow is a row as it is sent.
func (h handlers) dueRow(w words.Words, kept book.DueRow) (contract.DueRow, error) {
	r, err := kept.Turn()
	if err != nil {
		return contract.DueRow{}, err
	}
	row := contract.DueRow{
		DogId:    kept.DogID,
		Name:     kept.Name,
		Task:     contract.DueRowTaskTrim,
		Standing: contract.DueRowStanding(r.Standing),
		Reason:   w.Say(r.Reason),
		Waits:    w.Say(r.Waits),
		Rank:     smallRank(r.Glance),
		Cautions: cautions(w, r.Cautions),
		Due:      dated(r.On),
		Cautious: dated(r.Cautious),
	}
	if kept.Open != uuid.Nil {
		row.OpenSitting = &kept.Open
	}
	if r.Train {
		row.Task = contract.DueRowTaskLadder
	}
	if row.Due != nil {
		row.DueInDays = of(r.On.Sub(h.book.Today()))
	}
	if row.Cautious != nil {
		row.CautiousInDays = of(r.Cautious.Sub(h.book.Today()))
	}
	if r.Look != nil {
		row.Look = &contract.WantedLook{
			On:     r.Look.On,
			InDays: r.Look.On.Sub(h.book.Today()),
			Words:  w.Say(r.Look.Words),
		}
	}
	if r.Why != nil {
		row.Why = of(why(w, *r.Why))
	}
	return row, nil
}

func (h handlers) view(w words.Words, v book.View) contract.DogView {
	out := contract.DogView{
		Dog:          h.dog(v.Dog),
		WhyNone:      w.Say(v.WhyNone),
		Rank:         rank(v.Readings),
		Cautions:     cautions(w, v.Cautions),
		Growth:       growthOf(w, v.Growth, v.Outliers),
		Plan:         quickPlan(w, v.Plan),
		Moods:        moods(v.Sittings),
		Calmer:       calmer(v.Calmer),
		Sittings:     []contract.SittingSummary{},
		OpenSitting:  v.Open,
		TrainingPaws: []nail.Paw{},
		FirstSteps:   []contract.FirstStep{},
	}
	for _, f := range v.FirstSteps {
		out.FirstSteps = append(
			out.FirstSteps,
			contract.FirstStep{Way: contract.FirstStepWay(f.Way), Words: w.Say(f.Words), Why: w.Say(f.Why)},
		)
	}
	if v.Next != nil {
		n := next(w, v.Next.Next, w.Say(v.Next.Reason), v.Next.Why)
		out.Needs = needs(v.Needs)
		out.Next, out.NextInDays = &n, of(v.Next.Due.Sub(h.book.Today()))
	}
	if first, training := v.Training.First(h.book.Today()); training {
		out.Training = w.Say(first.Reason())
	}
	closed := v.Training.Paws()
	for _, paw := range nail.Paws() {
		if closed[paw] {
			out.TrainingPaws = append(out.TrainingPaws, paw)
		}
	}
	for _, s := range slices.Backward(v.Sittings) { // the latest first
		out.Sittings = append(out.Sittings, contract.SittingSummary{
			Id:            s.ID,
			On:            s.On,
			Nails:         s.Nails,
			RemovedMm:     s.Most,
			Blood:         list(s.Bled),
			WorstReaction: given(s.Worst),
			Arrival:       arrivalIn(s.Arrival),
			Note:          s.Note,
			Minutes:       s.Minutes,
			Helper:        s.Helper,
			Ticks:         list(s.Ticks),
		})
	}
	return out
}

func (h handlers) dog(d book.Dog) contract.Dog {
	out := contract.Dog{
		Id:              d.ID,
		Version:         d.Version,
		Name:            d.Name,
		BirthDate:       d.Birth.Date,
		BirthEstimated:  d.Birth.Estimated,
		AgeYears:        d.AgeYears(h.book.Today()),
		FootCoat:        d.FootCoat,
		PavementKmWeek:  d.Pavement,
		Rhythm:          d.Rhythm,
		WorkingWeekdays: d.Workdays,
		WishedGapMm:     d.WishedGap,
		School:          d.School,
		Handling:        handling(d.Handling),
		ShortQuicks:     d.Short,
		Dates:           &d.Dates,
		ComeOnce:        dated(d.Once),
		LastDoneWeeks:   d.LastDone,
		Walked:          []contract.Walked{},
	}
	for _, w := range d.Walked {
		out.Walked = append(out.Walked, contract.Walked{Until: w.Until, KmWeek: w.Km})
	}
	for _, w := range d.Weights {
		out.Weights = append(out.Weights, contract.Weight{On: &w.On, Kg: w.Kg})
	}
	for _, n := range d.Nails {
		out.Nails = append(out.Nails, contract.Nail{Code: n.Code, State: n.State, Colour: n.Colour, Shape: n.Shape})
	}
	return out
}

func changes(in contract.DogInput) dog.Changes {
	c := dog.Changes{
		Name:      in.Name,
		BirthDate: in.BirthDate,
		Estimated: in.BirthEstimated,
		AgeYears:  in.AgeYears,
		FootCoat:  in.FootCoat,
		Pavement:  in.PavementKmWeek,
		Since:     in.PavementSince,
		Short:     in.ShortQuicks,
		Rhythm:    in.Rhythm,
		Workdays:  in.WorkingWeekdays,
		Dates:     in.Dates,
		Once:      in.ComeOnce,
		WishedGap: in.WishedGapMm,
		School:    in.School,
		Colour:    in.NailColour,
		Takes:     in.TakesIt,
	}
	if in.LastDoneWeeks != nil {
		c.LastDone = &in.LastDoneWeeks
	}
	if in.Handling != nil {
		told := handlingOf(*in.Handling)
		c.Handling = &told
	}
	if in.Weights != nil { // an empty list is told, and refused; none at all leaves them as they are
		c.Weights = []dog.Weight{}
	}
	if in.Nails != nil {
		c.Nails = []dog.Nail{}
	}
	for _, w := range in.Weights {
		weighed := dog.Weight{Kg: w.Kg}
		if w.On != nil {
			weighed.On = *w.On
		}
		c.Weights = append(c.Weights, weighed)
	}
	for _, n := range in.Nails {
		c.Nails = append(c.Nails, dog.Nail{Code: n.Code, State: n.State, Colour: n.Colour, Shape: n.Shape})
	}
	return c
}

func handling(h dog.Handling) contract.Handling {
	var byPaw []contract.PawHeld
	for _, paw := range nail.Paws() {
		if position, is := h.ByPaw[paw]; is {
			byPaw = append(byPaw, contract.PawHeld{Paw: paw, Position: position})
		}
	}
	return contract.Handling{
		Order:         h.Order,
		OwnOrder:      list(h.OwnOrder),
		Position:      h.Position,
		ByPaw:         byPaw,
		Helper:        h.Helper,
		Muzzle:        h.Muzzle,
		Sore:          h.Sore,
		Noise:         h.Noise,
		MostNails:     h.MostNails,
		MostMinutes:   h.MostMinutes,
		LargestCutMm:  h.LargestCut,
		Way:           &h.Way,
		TipsMeanwhile: &h.TipsMeanwhile,
	}
}

func handlingOf(in contract.Handling) dog.Handling {
	var byPaw map[nail.Paw]dog.Position
	for _, one := range in.ByPaw {
		if byPaw == nil {
			byPaw = map[nail.Paw]dog.Position{}
		}
		byPaw[one.Paw] = one.Position
	}
	return dog.Handling{
		Order:         in.Order,
		OwnOrder:      in.OwnOrder,
		Position:      in.Position,
		ByPaw:         byPaw,
		Helper:        in.Helper,
		Muzzle:        in.Muzzle,
		Sore:          in.Sore,
		Noise:         in.Noise,
		MostNails:     in.MostNails,
		MostMinutes:   in.MostMinutes,
		LargestCut:    in.LargestCutMm,
		Way:           orZero(in.Way),
		TipsMeanwhile: orZero(in.TipsMeanwhile),
	}
}
