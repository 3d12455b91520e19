package api

import (
	"context"
	"fmt"
	"io"
	"time"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/bench"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words"
)

func (h handlers) GetBench(
	ctx context.Context,
	r contract.GetBenchRequestObject,
) (contract.GetBenchResponseObject, error) {
	b, err := h.book.Bench(ctx, r.DogId, r.SittingId)
	if err != nil {
		return nil, err
	}
	w := speaks(ctx)
	out := benchOf(w, b) // an answer to a tap has no ranks: it does not change what was before it
	out.RankBefore, out.RankAfter = new(rank(b.Before)), new(rank(b.After))
	return contract.GetBench200JSONResponse{BenchJSONResponse: out}, nil
}

func (h handlers) TellEvents(
	ctx context.Context,
	r contract.TellEventsRequestObject,
) (contract.TellEventsResponseObject, error) {
	var events []bench.Event
	for _, in := range r.Body.Events {
		e := bench.Event{
			ID:       in.Id,
			At:       in.At.UTC(),
			Kind:     in.Kind,
			Press:    orZero(in.Press),
			Nail:     in.Nail,
			Paw:      in.Paw,
			Colour:   orZero(in.Colour),
			Pass:     orZero(in.Pass),
			MM:       orZero(in.Mm),
			Measure:  orZero(in.Measure),
			By:       orZero(in.By),
			SD:       orZero(in.SdMm),
			Landmark: orZero(in.Landmark),
			Face:     orZero(in.Face),
			End:      state.Ended(orZero(in.End)),
			Of:       orZero(in.Of),
			Reaction: orZero(in.Reaction),
			Tool:     orZero(in.Tool),
			Note:     orZero(in.Note),
			Helper:   orZero(in.Helper),
			Ticks:    in.Ticks,
			Minutes:  in.Minutes,
			Calm:     in.CalmMinutes,
			Sure:     orZero(in.Sure),
			Arrival:  arrivalOf(in.Arrival),
		}
		if in.ItemId != nil {
			e.Item = in.ItemId.String()
		}
		events = append(events, e)
	}
	b, err := h.book.Tell(ctx, r.DogId, r.SittingId, events)
	if err != nil {
		return nil, err
	}
	w := speaks(ctx)
	return tellAnswer(benchOf(w, b)), nil
}

// beat is how often a stream without news says that it is there.
const beat = 20 * time.Second

// StreamChanges tells, as server-sent events, whenever something was told of a sitting.
func (h handlers) StreamChanges(
	ctx context.Context,
	r contract.StreamChangesRequestObject,
) (contract.StreamChangesResponseObject, error) {
	body, events := io.Pipe()
	changes := h.book.Watch(ctx, r.SittingId)
	go func() {
		tick := time.NewTicker(beat)
		defer tick.Stop()
		_, err := fmt.Fprint(events, ": linked\n\n")
		for err == nil {
			select {
			case <-changes:
				_, err = fmt.Fprint(events, "data: changed\n\n")
			case <-tick.C:
				_, err = fmt.Fprint(events, ": still here\n\n")
			case <-ctx.Done(): // whoever listened has gone
				_ = events.Close()
				return
			}
		}
		_ = events.CloseWithError(err)
	}()
	return contract.StreamChanges200TexteventStreamResponse{Body: body}, nil
}

func benchOf(w words.Words, b book.Bench) contract.BenchJSONResponse {
	out := contract.BenchJSONResponse{
		SittingId:      b.ID,
		DogId:          b.Dog.ID,
		Name:           b.Dog.Name,
		Started:        &b.State.Start,
		Ended:          b.State.Ended,
		Helper:         b.State.Helper,
		Tool:           b.State.Tool,
		ItemId:         idOf(b.State.Item),
		Note:           b.State.Note,
		Stop:           b.Hand.Stop,
		RiskLimit:      float64(b.Hand.Limit),
		Events:         len(b.Log),
		ContactSeconds: kit.ContactTime,
		CoolingSeconds: kit.CoolingTime,
		HoldSeconds:    bench.BloodHold.Seconds(),
		StopsSeconds:   bench.BloodStops.Seconds(),
		Stopping:       quick.Stopping(),
		TouchMm:        b.Touch,
		Nails:          []contract.BenchNail{},
		On:             b.On,
		Praise:         w.Say(b.State.Praise()),
		Remedy:         w.Say(b.Remedy),
		Cautions:       cautions(w, b.Cautions),
		Mind:           w.All(kit.Cautions(b.State.Tool)),
	}
	out.People = list(b.Log.People())
	out.Passes = []contract.PassWords{}
	for _, p := range kit.Passes(b.State.Tool) {
		out.Passes = append(out.Passes, contract.PassWords{Pass: p, Words: w.Say(p.Say())})
	}
	out.Holds, out.Reward = holds(w, b.Holds), w.Say(b.Reward)
	out.Support = lines(w, []say.Line{{Key: sitting.Support}})[0]
	out.CalmMinutes, out.LastNote, out.Smooth = b.Plan.Tolerance.Calm, b.LastNote, list(b.State.Smooth)
	out.Eye = given(w.Say(b.Hand.Slices.EyeSays()))
	out.ReadDry, out.Left, out.LeftOn = w.Say(sitting.ReadDry(b.State.Ticks)), list(b.Left), dated(b.LeftOn)
	if len(out.Passes) > 0 {
		out.Speed = &b.Speed
	}
	if last, is := b.Log.Last(); is {
		out.Last = &contract.LastEvent{Id: last.UndoneBy(), Kind: last.Kind, Nail: last.Nail}
	}
	out.Arrival, out.Calmly = arrivalIn(b.State.Arrival), b.State.OnlyCalm()
	if a := b.State.Answer(); a.Key != "" {
		said, answer := b.State.Said, answerIn(a)
		answer.Paw, answer.Told = &said[len(said)-1].Paw, of(len(said))
		out.Answer = &answer
	}
	for _, a := range temper.FirstAnswers() {
		out.FirstAnswers = append(out.FirstAnswers, answerIn(a))
	}
	for _, n := range b.Nails {
		one := benchNail(w, n)
		one.StopAt, one.PressTo, one.GoesOn = b.SignTo(n), n.PressTo(), b.GoesOn()
		out.Nails = append(out.Nails, one)
	}
	return out
}

func answerIn(a temper.Answer) contract.ReactionAnswer {
	return contract.ReactionAnswer{Key: contract.ReactionAnswerKey(a.Key), LeavePaw: a.Paw, Ends: a.Ends}
}

func arrivalOf(in *contract.Arrival) *record.Arrival {
	if in == nil {
		return nil
	}
	return &record.Arrival{
		Touching: orZero(in.Touching),
		Clicks:   orZero(in.Clicks),
		Limps:    orZero(in.Limps),
		Sore:     orZero(in.Sore),
	}
}

func arrivalIn(a *record.Arrival) *contract.Arrival {
	if a == nil {
		return nil
	}
	return &contract.Arrival{
		Touching: given(a.Touching),
		Clicks:   given(a.Clicks),
		Limps:    given(a.Limps),
		Sore:     given(a.Sore),
	}
}

func benchAdvice(w words.Words, n bench.WorkedNail) contract.BenchAdvice {
	v := n.Verdict
	out := contract.BenchAdvice{
		Kind:    v.Kind,
		Action:  contract.BenchAdviceAction(v.Action),
		CutMm:   v.MM,
		Plan:    cuttingPlan(w, v),
		LeftMm:  v.Left,
		Because: w.Say(v.Because),
		Eye:     v.Eye,
		Risk:    v.Risk,
		Chance:  w.Say(verdict.Chance(v.Risk)),
	}
	if v.Action == verdict.Sliver && v.Touch {
		out.Action = contract.BenchAdviceActionTouch
	}
	return out
}

// cuttingPlan is the plan of a nail; an empty one where it is not trimmed.
func cuttingPlan(w words.Words, v verdict.Verdict) contract.CuttingPlan {
	out := contract.CuttingPlan{CutsMm: []float64{}, Runs: []contract.CutRun{}}
	if v.Kind != verdict.Trim {
		return out
	}
	p := v.Plan
	out.CutsMm, out.Likely, out.MostMm = list(p.Cuts), p.Likely, p.MostMM()
	out.ThinMm, out.Chance = given(p.Thin), w.Say(verdict.Chance(p.Chance))
	for _, run := range p.Runs() {
		out.Runs = append(out.Runs, contract.CutRun{Cuts: run.Cuts, Mm: run.MM})
	}
	return out
}

func benchNail(w words.Words, n bench.WorkedNail) contract.BenchNail {
	work := n.Work
	out := contract.BenchNail{
		Code:      n.Plan.Code,
		Colour:    n.Colour,
		State:     n.Plan.State,
		Today:     n.Today,
		LengthMm:  n.Length,
		PlannedMm: list(n.Plan.Cuts()),
		Cuts:      []contract.BenchCut{},
		RemovedMm: work.Off(),
		Blood:     work.Blood,
		Stopped:   work.Stopped,
		Bleeding:  work.Bleeding,
		Forced:    work.Forced,
		Skipped:   work.Skipped,
		Done:      work.Done,
		Reaction:  given(work.Reaction),
		Faces:     n.Faces,
		Advice:    benchAdvice(w, n),
		Spare: contract.SpareRange{
			MedianMm: n.Belief.Quantile(0.5),
			P05Mm:    n.Belief.Quantile(0.05),
			P95Mm:    n.Belief.Quantile(0.95),
		},
		Landmarks: []quick.Landmark{},
		Known:     n.Known,
		Pace:      n.Pace,
		ThinMm:    n.Thin,
		Asks:      given(n.Asks()),
		Landmark:  n.Landmark(),
		Edged:     work.Edged,
		Ground:    work.Second != "",
	}
	places := n.Pictures()
	out.LandmarkMm = places[:]
	for _, c := range work.Cuts {
		out.Cuts = append(out.Cuts, contract.BenchCut{Id: c.ID, Mm: c.MM, Touch: c.Touch, Face: given(c.Face)})
	}
	for _, l := range work.Landmarks {
		out.Landmarks = append(out.Landmarks, l.Mark)
	}
	return out
}
