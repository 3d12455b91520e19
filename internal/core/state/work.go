package state

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/quick"
)

// Slice is one cut, or one touch of a grinder, with what the end showed then; empty where nobody told it.
type Slice struct {
	MM    float64
	Touch bool
	Face  quick.Face
}

// Work is what was told of one nail at one sitting of its quick and of what came off.
type Work struct {
	Landmarks []quick.Seen
	Cuts      []Slice
	EndFace   quick.Face // where the last cut's own face was not told
	Blood     bool
}

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
	p := s.joint(&s.Leaves[i])
	length, _ := p.moments(lengthOf)
	mean, variance := p.moments(spareOf)
	sd := math.Sqrt(variance)
	mean = math.Max(leastPrior, mean)
	reach := math.Max(length, math.Max(w.Removed()+0.5, mean+reachSDs*sd))
	b := quick.NewBelief(reach, form.Depth, s.Nails[i].Colour, quick.Gamma{Mean: mean, SD: sd}, s.Faces)
	for _, l := range w.Landmarks {
		b.See(l)
	}
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
			b.CutMilder(c.MM)
		default:
			b.CutUnread(c.MM)
		}
	}
	return b
}

// Work takes what was told of a nail's quick and of what came off it, and returns the grid that it
// was worked on.
func (s *State) Work(i int, form claw.Claw, w Work) *quick.Belief {
	b := s.Belief(i, form, w)
	if w.none() {
		return b
	}
	s.see(i, spareOf, func(float64, float64) (float64, float64) { return b.Moments() })
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
	l := &s.Leaves[i]
	for _, c := range w.Cuts {
		sd := ClipperSD
		if c.Touch {
			sd = grinderSD
		}
		l.B[Length] -= c.MM
		l.B[Spare] -= c.MM
		for _, a := range []int{Length, Spare} {
			for _, b := range []int{Length, Spare} {
				l.C[a][b] += sd * sd
			}
		}
	}
}

// unsure makes a spare no surer than sd, mm.
func (s *State) unsure(i int, sd float64) {
	p := s.joint(&s.Leaves[i])
	if _, variance := p.moments(spareOf); variance < sd*sd {
		s.Leaves[i].C[Spare][Spare] += sd*sd - variance
	}
}
