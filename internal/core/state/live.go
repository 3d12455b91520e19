package state

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
)

// Alone is what is known of a nail that nobody has worked or looked at since it came into the book.
type Alone struct {
	Is     bool     `json:",omitzero"`
	Done   *float64 `json:",omitzero"` // weeks before that that somebody trimmed it; nil when nobody knows
	Beside float64  `json:",omitzero"` // weeks that it has been in the book since
}

// Live lets weeks pass as a dog's nails live them; where is the dog at their start. It is Grow, but:
//   - a nail that nobody worked or looked at is as long as that dog's nails get, for all one knows: it keeps its
//     prior instead of growing for ever;
//   - far past the floor horn wears or breaks, and takes spare with it;
//   - the quick follows a very long spare faster, and spare is never more than a share of the length;
//   - real nails keep less to what they did than the model's own, so that many measurements never make one surer
//     than it can be.
//
// The sds are what a linear normal state can say of them: the means decide where the limits are.
func (s *State) Live(where growth.Where, weeks float64) {
	if weeks <= 0 {
		return
	}
	for i := range s.Nails {
		if s.Alone[i].Is {
			s.alone(i, where, weeks)
			continue
		}
		before := s.Leaves[i]
		s.growNail(i, where, weeks)
		s.Wears[i] = false
		if !s.beyond(i, where) {
			continue
		}
		s.Leaves[i] = before
		for left := weeks; left > 0; left -= stepWeeks {
			step := math.Min(left, stepWeeks)
			s.growNail(i, where, step/2)
			s.wear(i, where, step)
			s.growNail(i, where, step/2)
			s.follow(i, step)
		}
	}
	for i := range s.Nails {
		if !s.Alone[i].Is {
			s.Leaves[i].C[Own][Own] += ownMore * ownMore * weeks
			s.Leaves[i].C[Spare][Spare] += spareMore * spareMore * weeks
		}
		s.bound(i)
	}
}

// alone is a nail's prior on a later day, when it has been left alone for so many weeks more: of a toe somewhat
// longer, and known worse, than when it came into the book, since horn wears at the floor, nobody knows how soon.
func (s *State) alone(i int, where growth.Where, weeks float64) {
	a := &s.Alone[i]
	a.Beside += weeks
	where.Age += weeks
	f := claw.SizeFactor(where.Weight)
	done := a.Done
	switch {
	case done != nil:
		since := *done + a.Beside
		done = &since
	case a.Beside >= fresh: // somebody would have said so
		done = &a.Beside
	}
	l := priorLeaf(where, s.Nails[i], f, done)
	if !s.Nails[i].Code.Dewclaw() {
		longer := math.Min(alonePast, alonePastWeek*a.Beside) * f
		l.B[Length] += longer
		l.B[Spare] += aloneSpare * longer
		l.C[Length][Length] += alonePastShare * longer * alonePastShare * longer
		l.C[Spare][Spare] += alonePastShare * longer * alonePastShare * longer * alonePastShare * alonePastShare
	}
	s.Leaves[i] = l
}

// beyond tells whether a nail is, or may well be, where growing as Grow has it is wrong.
func (s *State) beyond(i int, where growth.Where) bool {
	_, share, _ := s.past(i, where)
	return share > leastShare || s.Spare(i).Mean > s.Mean[Rest]+longSpare
}

// past is how far a toe's nail has grown beyond where horn begins to wear or break, mm on the mean, where less than
// that counts as none; the share of what is believed of it that is beyond; and the variance of what a straight line of
// that slope leaves out (statistical linearization: Gelb 1974, Applied Optimal Estimation, ch. 6).
func (s *State) past(i int, where growth.Where) (mean, share, rest float64) {
	if s.Nails[i].Code.Dewclaw() {
		return 0, 0, 0
	}
	left := s.ToFloor(i)
	m, sd := -left.Mean-wearPast*claw.SizeFactor(where.Weight), left.SD
	z := m / sd
	share = math.Erfc(-z/math.Sqrt2) / 2
	density := math.Exp(-z*z/2) / math.Sqrt(2*math.Pi)
	mean = m*share + sd*density
	square := (m*m+sd*sd)*share + m*sd*density
	return mean, share, math.Max(0, square-mean*mean-share*share*sd*sd)
}

// wear takes what the floor wears or breaks off a nail far past it: more, the farther it is, so that where it stands
// gets surer rather than less sure.
func (s *State) wear(i int, where growth.Where, weeks float64) {
	past, share, rest := s.past(i, where)
	if share <= leastShare {
		return
	}
	s.Wears[i] = true
	worn := math.Max(leastWorn, s.Rate(i, where).Mean) * weeks / (wearReach * claw.SizeFactor(where.Weight))
	// by the trapezoid rule, which leaves a nail that wears as fast as it grows where it is
	goes := math.Min(1, 2*worn/(2+worn))
	line := goes * share // length −= line·(length − floor) + what makes its mean right, and spare as much
	off := goes * past
	l := &s.Leaves[i]
	before := *l
	for k := range shared {
		l.A[Length][k] -= line * (before.A[Length][k] - before.A[Floor][k])
		l.A[Spare][k] -= line * (before.A[Length][k] - before.A[Floor][k])
		off -= line * (before.A[Length][k] - before.A[Floor][k]) * s.Mean[k]
	}
	l.B[Length] -= off
	l.B[Spare] -= off
	l.C = sandwich([own][own]float64{
		Own:    {Own: 1},
		Length: {Length: 1 - line, Floor: line},
		Spare:  {Length: -line, Spare: 1, Floor: line},
		Floor:  {Floor: 1},
	}, before.C)
	noise := wearShare*goes*past*wearShare*goes*past/weeks + goes*goes*rest
	for _, a := range []int{Length, Spare} {
		for _, b := range []int{Length, Spare} {
			l.C[a][b] += noise
		}
	}
}

// follow lets the quick follow a very long spare faster: beyond longSpare over where it rests.
func (s *State) follow(i int, weeks float64) {
	over := s.Spare(i).Mean - s.Mean[Rest] - longSpare
	if over <= 0 {
		return
	}
	goes := 1 - math.Exp(-longPull*quick.UsualFollow(1).Pull*weeks)
	l := &s.Leaves[i]
	for k := range shared {
		l.A[Spare][k] *= 1 - goes
	}
	l.A[Spare][Rest] += goes
	l.B[Spare] = (1-goes)*l.B[Spare] + goes*longSpare
	for k := range own {
		l.C[Spare][k] *= 1 - goes
		l.C[k][Spare] *= 1 - goes
	}
}

// bound keeps a spare to what one can be of a nail so long.
func (s *State) bound(i int) {
	if over := s.Spare(i).Mean - MostSpare*math.Max(0, s.Length(i).Mean); over > 0 {
		s.Leaves[i].B[Spare] -= over
	}
}
