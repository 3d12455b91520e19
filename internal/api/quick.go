package api

import (
	"context"
	"fmt"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words"
)

func (handlers) CalcQuick(
	ctx context.Context,
	r contract.CalcQuickRequestObject,
) (contract.CalcQuickResponseObject, error) {
	w := speaks(ctx)
	in := r.Body
	n := quick.Evidence{Length: in.LengthMm, Depth: in.DepthMm, Colour: nail.Colour(in.Colour)}
	if in.Prior != nil {
		n.Prior = &quick.Spare{Mean: in.Prior.MeanMm, SD: in.Prior.SdMm}
		n.Gamma = orZero(in.Prior.Shape) == contract.Gamma
	}
	if in.FaceScale != nil {
		var s quick.Scales
		if len(in.FaceScale) != len(s) {
			return nil, fault.Fields{
				{
					Name:  "face_scale",
					Value: fmt.Sprintf("%d weights", len(in.FaceScale)),
					Want:  say.Of(mustBeWeights, say.Args{"s": say.Count(len(s))}),
				},
			}
		}
		copy(s[:], in.FaceScale)
		n.Scales = &s
	}
	for _, l := range in.Landmarks {
		n.Landmarks = append(n.Landmarks, quick.Seen{Mark: l.Kind, Spare: l.SpareMm})
	}
	for _, s := range in.Steps {
		n.Steps = append(n.Steps, quick.Step{Cut: s.RemovedMm, Face: s.Face})
	}
	largest := kit.LargestCut(kit.PractisedHand)
	if in.LargestCutMm != nil {
		largest = *in.LargestCutMm
	}
	var f fault.Fields
	f.Range("risk_limit", in.RiskLimit, 0.0001, 0.5, "(a chance)")
	f.Range("largest_cut_mm", largest, kit.LeastLargest, kit.MostLargest, fault.MM)
	b, last, err := n.Belief()
	if err := append(f, n.Check()...).Err(); err != nil {
		return nil, err
	}
	if err != nil {
		return nil, err
	}
	step := verdict.Next(
		verdict.Worked{
			Belief: b,
			Depth:  n.Depth,
			Cuts:   len(n.Steps),
			Last:   last,
			Known:  n.Prior != nil,
			Reads:  len(n.Landmarks) > 0,
		},
		verdict.Terms{Stop: in.Stop, Limit: verdict.RiskLimit(in.RiskLimit), Most: largest},
	)
	faces := b.Faces()
	out := contract.CalcQuick200JSONResponse{
		Spare:     contract.SpareRange{MedianMm: b.Quantile(0.5), P05Mm: b.Quantile(0.05), P95Mm: b.Quantile(0.95)},
		RemovedMm: b.Removed(), FaceScale: faces[:], Advice: advice(w, step),
	}
	for _, cut := range append([]float64{quick.Touch}, verdict.Thicknesses()...) {
		out.Risks = append(out.Risks, contract.CutRisk{CutMm: cut, Risk: b.Risk(cut)})
	}
	return out, nil
}

func advice(w words.Words, s verdict.Step) contract.QuickAdvice {
	out := contract.QuickAdvice{
		Action:  contract.QuickAdviceActionStop,
		Because: w.Say(s.Because),
		Voice:   contract.Number,
		Plan:    cuttingPlan(w, verdict.Verdict{}),
	}
	switch s.Action {
	case verdict.Sliver:
		out.Action, out.CutMm, out.Risk = contract.QuickAdviceActionCut, s.MM, s.Risk
		out.Plan = cuttingPlan(w, verdict.Verdict{Kind: verdict.Trim, Step: s})
	case verdict.Ask:
		out.Action = contract.QuickAdviceActionAsk
	case verdict.Stop:
	}
	if s.Eye {
		out.Voice = contract.Eye
	}
	return out
}
