package state

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/quick"
)

// Slice is one cut, or one touch of a grinder, with what the end showed then; empty where nobody told it.
type Slice struct {
	MM    float64 // as far as is known; of a hand that was measured, as it cuts and not as it means to
	SD    float64 // how far off that may be; 0 is as far as most hands are
	Touch bool
	Face  quick.Face
}

// Work is what was told of one nail at one sitting of its quick and of what came off.
type Work struct {
	Landmarks []quick.Seen
	Cuts      []Slice
	EndFace   quick.Face // where the last cut's own face was not told
	Blood     bool
	Ended     Ended          // what was said of the end, where its face was not told
	Stop      quick.EndPoint // at which the hand stops; empty is the first sign
	Milder    float64        // share of the ends that whoever looked takes for the next milder face
	Assumed   bool           // nobody counted the amounts: they are a plan's, as it was accepted
}

// Ended is what was said of where a nail's work ended by whoever told no face.
type Ended string

const (
	Untold     Ended = ""
	AtSign     Ended = "sign"   // at the sign: said of the whole sitting, not seen nail by nail
	BeforeSign Ended = "before" // the tips only, or the plan's most
)

// Removed is what came off, mm.
func (w Work) Removed() float64 {
	sum := 0.0
	for _, c := range w.Cuts {
		sum += c.MM
	}
	return sum
}

// none tells whether nothing was told.
func (w Work) none() bool { return len(w.Landmarks) == 0 && len(w.Cuts) == 0 }

// end is what the last cut showed; empty where nobody told it.
func (w Work) end() quick.Face {
	switch {
	case w.Blood:
		return quick.Blood
	case w.EndFace != "":
		return w.EndFace
	case len(w.Cuts) > 0:
		return w.Cuts[len(w.Cuts)-1].Face
	default:
		return ""
	}
}

// Belief is the grid of a nail that is being worked: what its landmarks and faces say of the spare
// that it had before the first cut. The bench asks it what to do next.
func (s *State) Belief(i int, form claw.Claw, w Work) *quick.Belief {
	b := s.before(i, form, w)
	w.tell(b)
	return b
}

// before is that grid before the first cut.
func (s *State) before(i int, form claw.Claw, w Work) *quick.Belief {
	length, _ := s.moments(&s.Leaves[i], lengthOf)
	mean, variance := s.moments(&s.Leaves[i], spareOf)
	sd := math.Sqrt(variance)
	mean = math.Max(leastPrior, mean)
	reach := math.Max(length, math.Max(w.Removed()+0.5, mean+reachSDs*sd))
	b := quick.NewBelief(reach, form.Depth, s.Nails[i].Colour, quick.Gamma{Mean: mean, SD: sd}, s.Faces)
	b.ReadBy(w.Milder)
	for _, l := range w.Landmarks {
		b.See(l)
	}
	return b
}

// tell tells the grid the cuts. A face that was not told is one without blood, and of a nail that ended at a
// sign a milder one.
func (w Work) tell(b *quick.Belief) {
	end := w.end()
	early := end.FirstSign() || end.Ends()
	for k, c := range w.Cuts {
		face := c.Face
		if k == len(w.Cuts)-1 {
			face = end
		}
		switch {
		case face != "":
			b.Cut(c.MM, face)
		case early:
			b.CutMilder(c.MM, quick.AtFirstSign)
		default:
			b.CutUnread(c.MM)
		}
	}
}

// Work takes what was told of a nail's quick and of what came off it, and returns the grid that it
// was worked on.
func (s *State) Work(i int, form claw.Claw, w Work) *quick.Belief {
	b := s.before(i, form, w)
	if w.none() {
		return b
	}
	var sign *quick.Belief
	if doubtful := !w.Assumed && w.endUntold() && w.Ended != BeforeSign; doubtful {
		sign = b.Clone()
	}
	w.tell(b)
	switch {
	case w.Assumed && len(w.Cuts) > 0:
		s.assumed(i, form, w)
		return b
	case !w.endUntold():
		s.see(i, spareOf, func(float64, float64) (float64, float64) { return b.Moments() })
	case w.Ended == BeforeSign:
		s.consider(i, spareOf, func(float64, float64) (float64, float64) { return b.Moments() })
	default:
		s.consider(i, spareOf, func(float64, float64) (float64, float64) { return w.stopped(sign, b) })
	}
	s.WorkedOn[i] = true
	if w.quickSeen() {
		s.likeLight(i)
	}
	if w.faceTold() {
		s.Faces = b.Faces().CarryOver()
	}
	s.cut(i, w)
	s.unsure(i, workedSD*form.Depth/quick.SignsDepth)
	return b
}

// assumed takes a trim of which nobody counted the amounts: about so much came off, and where the end was
// told it says what is left. It teaches nothing of growth.
func (s *State) assumed(i int, form claw.Claw, w Work) {
	s.WorkedOn[i] = true
	if len(w.Landmarks) > 0 {
		seen := s.Belief(i, form, Work{Landmarks: w.Landmarks})
		s.see(i, spareOf, func(float64, float64) (float64, float64) { return seen.Moments() })
	}
	s.cut(i, w)
	if end := w.end(); end != "" {
		b := s.Belief(i, form, Work{Milder: w.Milder})
		b.Cut(0, end)
		s.consider(i, spareOf, func(float64, float64) (float64, float64) { return b.Moments() })
		s.Faces = b.Faces().CarryOver()
	}
	s.unsure(i, workedSD*form.Depth/quick.SignsDepth)
}

// endUntold tells whether something came off, and nobody told what the end showed.
func (w Work) endUntold() bool { return len(w.Cuts) > 0 && w.end() == "" }

// stopped is the spare before the first cut by two stories of an end that nobody told: the hand stopped
// because the sign showed, which is told to the grid as it was before the first cut, or it stopped anyway. Each counts
// by how likely it makes what was told.
func (w Work) stopped(sign, anyway *quick.Belief) (mean, variance float64) {
	last := len(w.Cuts) - 1
	for k, c := range w.Cuts {
		switch {
		case k == last:
			sign.CutToSign(c.MM, w.Stop)
		case c.Face != "":
			sign.Cut(c.MM, c.Face)
		default:
			sign.CutMilder(c.MM, w.Stop)
		}
	}
	share := untoldSign
	if w.Ended == AtSign {
		share = saidSign
	}
	at, other := share*sign.Evidence(), (1-share)*stopAnyway*anyway.Evidence()
	if !(at+other > 0) {
		return anyway.Moments()
	}
	at /= at + other
	mean1, variance1 := sign.Moments()
	mean2, variance2 := anyway.Moments()
	apart := mean1 - mean2
	return at*mean1 + (1-at)*mean2, at*variance1 + (1-at)*variance2 + at*(1-at)*apart*apart
}

// quickSeen tells whether the quick itself was seen, through the horn or by a torch.
func (w Work) quickSeen() bool {
	return slices.ContainsFunc(w.Landmarks, func(l quick.Seen) bool {
		return l.Mark == quick.SeenThrough || l.Mark == quick.ByTorch
	})
}

func (w Work) faceTold() bool {
	if w.end() != "" {
		return true
	}
	for _, c := range w.Cuts {
		if c.Face != "" {
			return true
		}
	}
	return false
}

// cut takes what came off from length and spare alike, with the same error.
func (s *State) cut(i int, w Work) {
	s.Alone[i] = Alone{}
	l := &s.Leaves[i]
	variance := 0.0
	for _, c := range w.Cuts {
		sd := c.SD
		switch {
		case c.Touch:
			sd = grinderSD
		case sd == 0:
			sd = hand.Slices{}.SD(c.MM)
		}
		variance += sd * sd
	}
	off := w.Removed()
	if w.Assumed {
		variance = math.Max(variance, assumedShare*off*assumedShare*off)
	}
	for _, a := range []int{Length, Spare} {
		l.B[a] -= off
		for _, b := range []int{Length, Spare} {
			l.C[a][b] += variance
		}
	}
}

// unsure makes a spare no surer than sd, mm.
func (s *State) unsure(i int, sd float64) {
	if _, variance := s.moments(&s.Leaves[i], spareOf); variance < sd*sd {
		s.Leaves[i].C[Spare][Spare] += sd*sd - variance
	}
}
