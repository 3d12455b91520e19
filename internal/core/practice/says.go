package practice

import "fribbet/internal/core/say"

// What is said of a nail that is done.
const (
	JustRight say.Key = "practice.just_right" // stopped where the advice would have
	TooEarly  say.Key = "practice.too_early"
	TooMany   say.Key = "practice.too_many" // cuts, and it did not bleed
	BledLate  say.Key = "practice.bled_late"
	BledCold  say.Key = "practice.bled_cold" // without a sign before
)

// What is said of a nail's underside, and of a dog's feet.
const (
	line1 say.Key = "practice.line_1"
	line2 say.Key = "practice.line_2"
	line3 say.Key = "practice.line_3"
	line4 say.Key = "practice.line_4"
	line5 say.Key = "practice.line_5"

	footLF   say.Key = "practice.foot_lf"
	footRF   say.Key = "practice.foot_rf"
	footLH   say.Key = "practice.foot_lh"
	footRH   say.Key = "practice.foot_rh"
	footNone say.Key = "practice.foot_none"

	whyGroove say.Key = "practice.why_groove"
	whyFoot   say.Key = "practice.why_foot"
	whyNoFoot say.Key = "practice.why_no_foot"
)

// Says is how the nail went beside the advice at the person's own end point.
func (g Game) Says() []say.Line {
	switch {
	case !g.Over:
		return nil
	case g.Bled && g.Late > 0:
		return []say.Line{{Key: BledLate, Args: say.Args{"Late": say.Count(g.Late)}}}
	case g.Bled:
		return []say.Line{{Key: BledCold}}
	case g.Late > 0:
		return []say.Line{{Key: TooMany, Args: say.Args{"Late": say.Count(g.Late), "Left": say.Length(g.Left)}}}
	case g.Early > 0:
		return []say.Line{{Key: TooEarly, Args: say.Args{"Early": say.Count(g.Early), "Left": say.Length(g.Left)}}}
	default:
		return []say.Line{{Key: JustRight, Args: say.Args{"Left": say.Length(g.Left)}}}
	}
}
