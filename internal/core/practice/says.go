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
