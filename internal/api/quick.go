package api

import (
	"context"
	"fmt"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

func (handlers) CalcQuick(_ context.Context, r contract.CalcQuickRequestObject) (contract.CalcQuickResponseObject, error) {
	in := r.Body
	n := quick.Nail{Length: in.LengthMm, Depth: in.DepthMm, Colour: nail.Colour(in.Colour), Limit: quick.Limit(in.RiskLimit)}
	if in.Prior != nil {
		n.Prior = &quick.Spare{Mean: in.Prior.MeanMm, SD: in.Prior.SdMm}
		n.Gamma = orZero(in.Prior.Shape) == contract.Gamma
	}
	if in.FaceScale != nil {
		var s quick.Scales
		if len(in.FaceScale) != len(s) {
			return nil, fault.Fields{{Name: "face_scale", Value: fmt.Sprintf("%d weights", len(in.FaceScale)), Want: fmt.Sprintf("must be %d weights", len(s))}}
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
	b, last, err := n.Belief()
	if err != nil {
		return nil, err
	}
	faces := b.Faces()
	out := contract.CalcQuick200JSONResponse{
		Spare:     contract.SpareRange{MedianMm: b.Quantile(0.5), P05Mm: b.Quantile(0.05), P95Mm: b.Quantile(0.95)},
		RemovedMm: b.Removed(), FaceScale: faces[:], Advice: advice(b.Advise(last, in.Stop, n.Limit)),
	}
	for _, cut := range append([]float64{quick.Touch}, quick.Cuts...) {
		out.Risks = append(out.Risks, contract.CutRisk{CutMm: cut, Risk: b.Risk(cut)})
	}
	return out, nil
}

func advice(a quick.Advice) contract.QuickAdvice {
	return contract.QuickAdvice{Action: a.Action, CutMm: a.Cut, Because: a.Because, Voice: a.Voice, Risk: a.Risk}
}
