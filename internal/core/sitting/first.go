package sitting

// FirstStep is one way to begin with a dog of which nobody has told anything here.
type FirstStep struct {
	Way   Way
	Words string
	Why   string
}

// Way is where a first step leads.
type Way string

const (
	ToLadder Way = "ladder"
	ToWalk   Way = "walk"
	ToNail   Way = "nail"
)

// FirstSteps are the ways to begin, the best first; none once anything was told of the dog's feet.
func (q Question) FirstSteps() []FirstStep {
	if !q.Feet.Known().IsZero() {
		return nil
	}
	walk := FirstStep{ToWalk, "Look at its feet", "Two minutes with a sheet of paper: which nails touch, and what colour they are. No cutter yet."}
	first := FirstStep{ToNail, "Straight to the first nail", "The very tip, then what the end shows decides."}
	if !q.Gently() {
		return []FirstStep{walk, first}
	}
	first.Words, first.Why = "A nail or two today", "Stop while it still goes well, and end on a treat."
	return []FirstStep{{ToLadder, "Begin the ladder", "It learns, a step a day, that paws are held and the tool is nothing. One bad day costs months."}, walk, first}
}
