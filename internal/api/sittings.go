package api

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words"
)

func (h handlers) GetPlan(
	ctx context.Context,
	r contract.GetPlanRequestObject,
) (contract.GetPlanResponseObject, error) {
	helper := r.Params.Helper != nil && *r.Params.Helper
	p, err := h.book.Plan(ctx, r.DogId, helper)
	if err != nil {
		return nil, err
	}
	w := speaks(ctx)
	handling := p.Dog.Handling
	out := contract.GetPlan200JSONResponse{
		DogId:       p.Dog.ID,
		Name:        p.Dog.Name,
		Today:       h.book.Today(),
		Tool:        p.Tool,
		Cautions:    cautions(w, p.Cautions),
		Helper:      helper,
		Helping:     handling.Helper,
		Blocked:     w.Say(p.Blocked),
		NobodyHelps: p.Helpless,
		Alone:       p.Alone,
		Calmer:      calmer(p.Calmer),
		Gently:      p.Gently,
		Support:     lines(w, []say.Line{{Key: sitting.Support}})[0],
		Limits:      []contract.Limit{limit(w, p.Tolerance.Nails), limit(w, p.Tolerance.Minutes)},
		CalmMinutes: p.Tolerance.Calm,
		Eye:         given(w.Say(p.Eye)),
		Days:        []contract.PlanDay{},
		Left:        []contract.LeftNail{},
		Holds:       []contract.Hold{},
		Checklist:   []contract.Thing{},
		SeeTo:       []contract.SeeTo{},
	}
	readings := make([]feet.Reading, len(p.Nails))
	for i, n := range p.Nails {
		readings[i] = n.Reading
		out.Nails = append(
			out.Nails,
			contract.PlannedNail{
				Code:     n.Code,
				Kind:     n.Kind,
				Plan:     cuttingPlan(w, n.Verdict),
				UntoldMm: verdict.Least(n.Claw.Depth, verdict.Terms{}),
				Why:      w.Say(n.Why),
			},
		)
	}
	out.Rank = rank(readings)
	for _, d := range p.Days {
		out.Days = append(out.Days, planDay(w, d))
	}
	for _, l := range p.Left {
		out.Left = append(out.Left, contract.LeftNail{Code: l.Code, Why: w.Say(l.Why), Whose: l.Whose})
	}
	if len(p.Days) > 0 {
		out.Holds = holds(w, p.Holds)
	}
	for _, t := range p.Checklist {
		out.Checklist = append(
			out.Checklist,
			contract.Thing{
				Key:     t.Key,
				Words:   w.Say(t.Words),
				Why:     w.Say(t.Why),
				Trouble: w.Say(t.Trouble),
				Missed:  t.Missed,
			},
		)
	}
	for _, piece := range p.SeeTo {
		out.SeeTo = append(
			out.SeeTo,
			contract.SeeTo{Kind: piece.Item.Kind, Name: piece.Item.Name, Words: w.Say(piece.State.Words)},
		)
	}
	for _, tool := range kit.Tools() {
		out.ToolCautions = append(out.ToolCautions, contract.ToolCautions{Tool: tool, Words: w.All(kit.Cautions(tool))})
	}
	return out, nil
}

func holds(w words.Words, all []sitting.Hold) []contract.Hold {
	out := []contract.Hold{}
	for _, one := range all {
		said := lines(w, []say.Line{one.Place, one.Limb, one.Pull, one.Hands})
		out = append(out, contract.Hold{
			Paw:        one.Paw,
			Position:   one.Position,
			LeftHanded: one.LeftHanded,
			Place:      said[0],
			Limb:       said[1],
			Pull:       said[2],
			Hands:      said[3],
			Safety:     lines(w, one.Safety),
		})
	}
	return out
}

func planDay(w words.Words, d sitting.Day) contract.PlanDay {
	out := contract.PlanDay{On: d.On, Minutes: minutes(d.Minutes)}
	for _, s := range d.Stops {
		var then *kit.Tool
		if s.Then != nil {
			then = &s.Then.Tool
		}
		out.Stops = append(out.Stops, contract.Stop{
			ThenTool: then,
			Code:     s.Code,
			Why:      w.Say(s.Why),
			Urgent:   s.Urgency.Urgent(),
			Tool:     s.Tool.Tool,
			ItemId:   pieceID(s.Tool.Piece),
			Grit:     given(s.Tool.Grit),
			Speed:    given(s.Tool.Speed),
		})
	}
	return out
}

func minutes(e estimate.Estimate) contract.Minutes {
	return contract.Minutes{Minutes: e.Value, Low: e.Low, High: e.High, Source: e.Source}
}

func limit(w words.Words, l temper.Cap) contract.Limit {
	return contract.Limit{Most: finite(l.Most), Words: w.Say(l.Words), Source: l.Source}
}

func pieceID(p *kit.Piece) *uuid.UUID {
	if p == nil {
		return nil
	}
	return idOf(p.ID)
}

// idOf is the id that the core carries as text; nothing where it carries none.
func idOf(text string) *uuid.UUID {
	id, err := uuid.Parse(text)
	if err != nil {
		return nil
	}
	return &id
}

func (h handlers) GetAdvice(
	ctx context.Context,
	r contract.GetAdviceRequestObject,
) (contract.GetAdviceResponseObject, error) {
	w := speaks(ctx)
	options, err := h.book.Advice(ctx, r.DogId, r.Code, r.Params.Purpose)
	if err != nil {
		return nil, err
	}
	out := contract.GetAdvice200JSONResponse{Code: r.Code, Purpose: r.Params.Purpose}
	for _, o := range options {
		one := contract.ToolOption{
			Tool:     o.Tool,
			ItemId:   pieceID(o.Piece),
			Owned:    o.Piece != nil,
			For:      w.All(o.For),
			Against:  w.All(o.Against),
			Disputed: w.All(o.Disputed),
			Out:      w.Say(o.Out),
			Grit:     given(o.Grit),
			GrainUm:  given(kit.Grain(o.Grit)),
			Speed:    given(o.Speed),
		}
		if o.Piece != nil {
			one.Name = o.Piece.Item.Name
		}
		out.Options = append(out.Options, one)
	}
	return out, nil
}

func (h handlers) RecordSitting(
	ctx context.Context,
	r contract.RecordSittingRequestObject,
) (contract.RecordSittingResponseObject, error) {
	w := speaks(ctx)
	if err := h.book.Record(ctx, r.DogId, sittingOf(*r.Body), record.HowFar(orZero(r.Body.HowFar))); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.RecordSitting201JSONResponse(h.view(w, v)), nil
}

func sittingOf(in contract.SittingInput) book.Sitting {
	s := book.Sitting{ID: in.Id, Sitting: record.Sitting{
		On:      orZero(in.On),
		Note:    orZero(in.Note),
		Minutes: in.Minutes,
		Calm:    in.CalmMinutes,
		Helper:  orZero(in.Helper),
		Ticks:   in.Ticks,
		Arrival: arrivalOf(in.Arrival),
	}}
	for _, one := range in.Records {
		with := orZero(one.Means)
		r := record.NailRecord{
			Code: one.Code,
			LengthBefore: read(
				measure.Length,
				one.LengthBeforeMm,
				with.LengthBefore,
			),
			LengthAfter: read(measure.Length, one.LengthAfterMm, with.LengthAfter),
			GapBefore: read(
				measure.Gap,
				one.GapBeforeMm,
				with.GapBefore,
			),
			GapAfter:  read(measure.Gap, one.GapAfterMm, with.GapAfter),
			SpareLeft: read(measure.Quick, one.SpareLeftMm, with.SpareLeft),
			Cuts:      one.CutsMm,
			Tool:      one.Tool,
			Reaction:  orZero(one.Reaction),
			Blood:     one.Blood,
			TookForce: orZero(one.TookForce),
			Sure:      orZero(one.Sure),
			Assumed:   orZero(one.Assumed),
		}
		if g := one.Ground; g != nil {
			r.Ground = &record.Ground{Tool: g.Tool, Touches: g.TouchesMm}
			if g.ItemId != nil {
				r.Ground.Item = g.ItemId.String()
			}
		}
		if one.ItemId != nil {
			r.Item = one.ItemId.String()
		}
		s.Records = append(s.Records, r)
	}
	return s
}

func (h handlers) WithdrawSitting(
	ctx context.Context,
	r contract.WithdrawSittingRequestObject,
) (contract.WithdrawSittingResponseObject, error) {
	w := speaks(ctx)
	if err := h.book.Withdraw(ctx, r.DogId, r.SittingId); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.WithdrawSitting200JSONResponse(h.view(w, v)), nil
}

func calmer(all []temper.Calmer) []contract.Calmer {
	share := func(s temper.Share) contract.CalmShare {
		low, high := s.Range()
		return contract.CalmShare{Calm: s.Calm, Of: s.Of, Low: low, High: high}
	}
	out := []contract.Calmer{}
	for _, c := range all {
		out = append(out, contract.Calmer{What: c.What, More: c.More, With: share(c.With), Without: share(c.Without)})
	}
	return out
}

func moods(all []book.SittingSummary) []contract.Mood {
	out := []contract.Mood{}
	for _, s := range all {
		m := s.Mood
		if m == nil {
			continue
		}
		one := contract.Mood{On: m.On, Minutes: m.Minutes, CalmMinutes: m.Calm, Paws: []contract.PawMood{}}
		for _, p := range m.Paws {
			one.Paws = append(
				one.Paws,
				contract.PawMood{Paw: p.Paw, Nails: p.Nails, Strain: p.Worst.Strain(), Worst: given(p.Worst)},
			)
		}
		out = append(out, one)
	}
	return out
}
