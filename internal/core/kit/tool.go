// Package kit is what a nail is done with: which cutter, which grit, and when each piece is
// to be sharpened, changed, charged or bought.
package kit

// Tool is what a nail is shortened or smoothed with.
type Tool string

const (
	SmallScissor   Tool = "small_scissor"
	SmallPlier     Tool = "small_plier"
	LargePlier     Tool = "large_plier"
	Guillotine     Tool = "guillotine"
	Household      Tool = "household_clipper"
	GrinderBand    Tool = "grinder_band"
	GrinderDiamond Tool = "grinder_diamond"
	File           Tool = "file"
	ScratchBoard   Tool = "scratch_board"
)

// Tools lists them: cutters, grinders, then what is rubbed.
func Tools() []Tool {
	return []Tool{
		SmallScissor,
		SmallPlier,
		LargePlier,
		Guillotine,
		Household,
		GrinderBand,
		GrinderDiamond,
		File,
		ScratchBoard,
	}
}

// Work is the kind of work that a tool does: a dog may take one kind and not another.
type Work string

const (
	Clipping Work = "clipping"
	Grinding Work = "grinding"
	Rubbing  Work = "rubbing"
)

// Work is the kind of work that the tool does.
func (t Tool) Work() Work {
	switch t {
	case GrinderBand, GrinderDiamond:
		return Grinding
	case File, ScratchBoard:
		return Rubbing
	default:
		return Clipping
	}
}

// UsualClipper is what a dog of this weight in kg is clipped with when nobody has said.
func UsualClipper(weight float64) Tool {
	if weight < pliersSplit {
		return SmallPlier
	}
	return LargePlier
}
