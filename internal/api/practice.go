package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/verdict"
	"fribbet/internal/drawn"
	"fribbet/internal/words"
)

func (h handlers) Practise(
	ctx context.Context,
	r contract.PractiseRequestObject,
) (contract.PractiseResponseObject, error) {
	in := r.Body
	moves := make([]practice.Move, len(in.Moves))
	for i, m := range in.Moves {
		moves[i] = practice.Move{Look: quick.Landmark(orZero(m.Look)), MM: orZero(m.Mm), Stop: orZero(m.Stop)}
	}
	n := practice.Exercise{Kind: practice.Kind(in.Kind), Seed: in.Seed, Number: in.Number}
	g, err := h.book.Practise(ctx, orZero(in.Id), n, moves)
	if err != nil {
		return nil, err
	}
	var best []float64 // told once it is over
	if g.Over {
		if best, err = h.book.BestPlay(ctx, n, moves); err != nil {
			return nil, err
		}
	}
	w := speaks(ctx)
	stance := g.Hung()
	out := contract.Practise200JSONResponse{
		Code:     g.Code,
		Colour:   contract.PracticeGameColour(g.Colour),
		WeightKg: g.Weight,
		LengthMm: g.Claw.Length,
		Whole:    outline(g.Whole().Outline()),
		Outline:  outline(stance.Outline()),
		Steps:    []contract.PracticeStep{},
		Over:     g.Over,
		Bled:     g.Bled,
		Says:     lines(w, g.Says()),
	}
	if g.Over {
		out.Quick = of(outline(stance.Quick(g.Claw.Length - g.Left)))
		out.LeftMm, out.Early, out.Late = &g.Left, &g.Early, &g.Late
	}
	out.Blades = []contract.PracticeBlade{}
	for _, b := range g.Blades() {
		out.Blades = append(out.Blades, contract.PracticeBlade{Mm: b.MM, Line: outline(b.Line[:])})
	}
	for i, s := range g.Steps {
		step := practiceStep(w, g, s)
		if best != nil {
			step.BestMm = &best[i]
		}
		out.Steps = append(out.Steps, step)
	}
	return out, nil
}

// practiceStep is a step as it is seen: what its end showed stands in the picture alone until the nail is done.
func practiceStep(w words.Words, g practice.Game, s practice.Step) contract.PracticeStep {
	out := contract.PracticeStep{}
	switch {
	case s.Stop:
		out.Stop = of(true)
	case s.Look != "":
		out.Look, out.SeenMm = of(contract.PracticeStepLook(s.Look)), &s.Seen
	default:
		out.Mm, out.Picture = &s.MM, of(drawn.CutEnd(s.Face, g.Colour == nail.Light, s.Drawn))
	}
	if !g.Over {
		return out
	}
	if s.Face != "" {
		out.Face, out.Chance = of(s.Face), of(w.Say(verdict.Chance(s.Risk)))
	}
	out.Advice, out.Because = of(contract.PracticeStepAdvice(s.Advice.Action)), of(w.Say(s.Advice.Because))
	if s.Advice.MM > 0 {
		out.AdviceMm = &s.Advice.MM
	}
	return out
}

func (h handlers) NameEnds(
	ctx context.Context,
	r contract.NameEndsRequestObject,
) (contract.NameEndsResponseObject, error) {
	ends, named, err := h.book.NameEnds(ctx, orZero(r.Body.Id), r.Body.Seed, r.Body.Said)
	if err != nil {
		return nil, err
	}
	out := contract.NameEnds200JSONResponse{Ends: []contract.EndToName{}, Of: len(ends), Named: endsNamed(named)}
	for i, e := range ends[:min(len(ends), named.Asked+1)] {
		light := e.Colour == nail.Light
		faces := quick.Faces(e.Colour)
		one := contract.EndToName{
			Light:   light,
			Faces:   faces[:len(faces)-1],
			Picture: drawn.CutEnd(e.Face, light, e.Drawn),
		}
		if i < named.Asked {
			one.Face = of(e.Face)
		}
		out.Ends = append(out.Ends, one)
	}
	return out, nil
}

func (h handlers) AnswerScenes(
	ctx context.Context,
	r contract.AnswerScenesRequestObject,
) (contract.AnswerScenesResponseObject, error) {
	drill := practice.Drill(r.Body.Drill)
	scenes, right, err := h.book.AnswerScenes(drill, r.Body.Seed, r.Body.Chosen)
	if err != nil {
		return nil, err
	}
	w := speaks(ctx)
	out := contract.AnswerScenes200JSONResponse{Of: len(scenes), Right: right, Scenes: []contract.Scene{}}
	if drill.Clocked() {
		out.WithinS = of(practice.AnswerWithin)
	}
	for i, s := range scenes[:min(len(scenes), len(r.Body.Chosen)+1)] {
		one := contract.Scene{Key: s.Key, Sees: lines(w, []say.Line{s.Sees()})[0], Choices: []contract.Line{}}
		for _, c := range s.Choices {
			one.Choices = append(one.Choices, contract.Line{Key: string(c), Says: w.Say(say.Line{Key: c})})
		}
		if s.Shows != (practice.Dog{}) {
			one.Dog = &contract.SceneDog{
				Tail: contract.SceneDogTail(s.Shows.Tail), Mouth: contract.SceneDogMouth(s.Shows.Mouth),
				Eyes: contract.SceneDogEyes(s.Shows.Eyes), Body: contract.SceneDogBody(s.Shows.Body),
			}
		}
		switch {
		case s.Under != nil:
			one.Picture = of(drawn.Underside(s.Under.Length, s.Under.Depth, s.Under.Ends, s.Under.Lines, s.Under.Drawn))
		case s.Feet != nil:
			one.Picture = of(drawn.Feet(s.Feet))
		}
		if i < len(r.Body.Chosen) {
			one.Right, one.Why = of(s.Right), &lines(w, []say.Line{s.Why()})[0]
		}
		out.Scenes = append(out.Scenes, one)
	}
	return out, err
}

func (h handlers) GetPractice(
	ctx context.Context,
	_ contract.GetPracticeRequestObject,
) (contract.GetPracticeResponseObject, error) {
	so, err := h.book.PracticeSoFar(ctx)
	out := contract.GetPractice200JSONResponse{
		Kinds: []contract.PracticeSoFar{},
		Ends:  endsNamed(so.Ends),
		Eye: contract.EyeRead{
			Asked:  so.Eye.Asked,
			Milder: so.Eye.Milder,
			Needed: hand.EyeAsked,
			Cares:  so.Cares,
			Of100:  given(so.Eye.Of100()),
		},
		Own: contract.OwnSoFar{
			All:   so.Own.All,
			Now:   len(so.Own.Now),
			First: so.Own.First,
			Asked: so.Own.Asked,
			Right: so.Own.Right,
		},
	}
	if so.Next != "" {
		out.Next = of(contract.PracticeKind(so.Next))
	}
	for _, k := range so.Kinds {
		out.Kinds = append(out.Kinds, soFar(k))
	}
	return out, err
}

func (h handlers) CareByEye(
	ctx context.Context,
	r contract.CareByEyeRequestObject,
) (contract.CareByEyeResponseObject, error) {
	return contract.CareByEye204Response{}, h.book.CareByEye(ctx, r.Body.Cares)
}

func (h handlers) GetOwnEnds(
	ctx context.Context,
	_ contract.GetOwnEndsRequestObject,
) (contract.GetOwnEndsResponseObject, error) {
	own, err := h.book.OwnEnds(ctx)
	out := contract.GetOwnEnds200JSONResponse{Ends: []contract.OwnEnd{}}
	for _, o := range own.Now {
		out.Ends = append(
			out.Ends,
			contract.OwnEnd{
				PictureId: o.ID,
				Hash:      o.Hash,
				Name:      o.Dog,
				Code:      o.End.Code,
				On:        o.On,
				Mm:        o.MM,
				Faces:     o.Faces,
			},
		)
	}
	return out, err
}

func (h handlers) SayOfOwnEnd(
	ctx context.Context,
	r contract.SayOfOwnEndRequestObject,
) (contract.SayOfOwnEndResponseObject, error) {
	own, err := h.book.SayOfEnd(ctx, r.Body.Id, r.Body.PictureId, r.Body.Said)
	return contract.SayOfOwnEnd200JSONResponse{Showed: own.Showed}, err
}

func soFar(k book.Practised) contract.PracticeSoFar {
	tally := func(t practice.Tally) contract.PracticeTally {
		ranged := func(e estimate.Estimate) contract.PracticeRange {
			return contract.PracticeRange{Value: e.Value, Low: e.Low, High: e.High}
		}
		return contract.PracticeTally{
			Nails:  t.Nails,
			Bled:   t.Bled,
			Cuts:   t.Cuts,
			Per100: ranged(t.Per100),
			Left:   ranged(t.Left),
		}
	}
	out := contract.PracticeSoFar{
		Lately:  k.Lately,
		Well:    k.Well,
		Passed:  k.Passed,
		Kind:    contract.PracticeKind(k.Kind),
		Mine:    tally(k.Mine),
		Advised: tally(k.Advised),
		Unasked: tally(k.Unasked),
		Early:   k.Early,
		Late:    k.Late,
	}
	if !k.Again.IsZero() {
		out.Again = &k.Again
	}
	return out
}

func endsNamed(n practice.Named) contract.EndsNamed {
	out := contract.EndsNamed{Asked: n.Asked, Right: n.Right, Mixed: []contract.EndsMixed{}}
	for _, m := range n.Mixed {
		out.Mixed = append(out.Mixed, contract.EndsMixed{Showed: m.Showed, Said: m.Said, Times: m.Times})
	}
	return out
}

func (h handlers) GetPracticeTogether(
	ctx context.Context,
	r contract.GetPracticeTogetherRequestObject,
) (contract.GetPracticeTogetherResponseObject, error) {
	all, err := h.book.PractisedTogether(ctx, practice.Kind(r.Params.Kind), r.Params.Seed)
	if err != nil {
		return nil, err
	}
	w := speaks(ctx)
	out := contract.GetPracticeTogether200JSONResponse{Nails: make([]contract.PracticeDone, len(all))}
	for i, one := range all {
		out.Nails[i] = contract.PracticeDone{
			Who:    one.Who,
			Number: one.Number,
			Cuts:   one.Outcome().Cuts,
			Bled:   one.Bled,
			Early:  one.Early,
			Late:   one.Late,
			LeftMm: one.Left,
			Says:   lines(w, one.Says()),
		}
	}
	return out, err
}
