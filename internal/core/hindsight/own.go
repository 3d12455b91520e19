package hindsight

import (
	"math"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
)

// Learnt is what one dog's record says of what is usual.
type Learnt struct {
	Class    float64 // of its size: the weight under which it lies, kg; 0 is the heaviest
	Sittings int
	Usual    float64      // growth of most dogs of its age and size, mm a week
	Gross    state.Normal // its own, as it is learnt, mm a week
	Before   state.Normal // and as it was believed before anything was told
	Faces    quick.Scales // how its ends show
	Told     int          // sittings at which an end was told
	Hand     Taken        // what came off, beside what was meant to
}

// Kind is what a book's own record may set.
type Kind string

const (
	OwnGrowth Kind = "growth" // of dogs of one size, times that of most
	OwnFaces  Kind = "faces"  // how ends show, of all dogs
	OwnHand   Kind = "hand"   // how thick slices come out, times what they are meant to be
)

// Offer is what a book's own record would set, beside what is usual.
type Offer struct {
	Kind     Kind
	Class    float64 // kg under which the dogs lie; 0 is the heaviest, or all
	Dogs     int
	Sittings int
	// growth, mm a week of a grown dog; of faces, the spare at which the first sign shows on the mean, mm of a nail 7
	// mm deep; of the hand, how thick a millimetre is
	Before float64
	After  float64      // the same by the record
	Times  float64      // of growth, and of the hand
	Faces  quick.Scales // of faces
}

// Taken is how much came off nails whose length was measured before and after clipping, beside what their slices were
// meant to be, mm: of so many nails at so many trims.
type Taken struct {
	Trims, Nails                int
	Meant, Was                  float64 // added up
	Meant2, Was2, MeantTimesWas float64 // of each nail, squared and multiplied, added up
}

// TakenOff is what that is of a trim.
func TakenOff(s record.Sitting) (t Taken) {
	for _, r := range s.Records {
		if r.LengthBefore == nil || r.LengthAfter == nil || r.Assumed || len(r.Cuts) == 0 ||
			r.Tool.Work() != kit.Clipping {
			continue
		}
		meant, was := 0.0, r.LengthBefore.MM-r.LengthAfter.MM
		for _, mm := range r.Cuts {
			meant += mm
		}
		t.Trims, t.Nails, t.Meant, t.Was = 1, t.Nails+1, t.Meant+meant, t.Was+was
		t.Meant2, t.Was2, t.MeantTimesWas = t.Meant2+meant*meant, t.Was2+was*was, t.MeantTimesWas+meant*was
	}
	return t
}

// And adds both up.
func (t Taken) And(o Taken) Taken {
	return Taken{
		t.Trims + o.Trims,
		t.Nails + o.Nails,
		t.Meant + o.Meant,
		t.Was + o.Was,
		t.Meant2 + o.Meant2,
		t.Was2 + o.Was2,
		t.MeantTimesWas + o.MeantTimesWas,
	}
}

// From is the weight from which on dogs of its size are, kg; 0 for the lightest, and for all dogs.
func (o Offer) From() (from float64) {
	for _, c := range growth.SizeClasses() {
		if o.Kind != OwnGrowth || c.Under == o.Class {
			break
		}
		from = c.Under
	}
	return from
}

// OwnOf is what of these a book lets say is usual of a dog.
func OwnOf(d dog.Dog, set []Offer) (own dog.Own) {
	if len(set) == 0 || len(d.Weights) == 0 {
		return own
	}
	class := growth.ClassOf(d.Weights[len(d.Weights)-1].Kg).Under
	for _, o := range set {
		switch {
		case o.Kind == OwnFaces && o.Faces != (quick.Scales{}):
			own.Faces = &o.Faces
		case o.Kind == OwnGrowth && o.Class == class:
			own.Growth = o.Times
		}
	}
	return own
}

// OwnTimes is how thick slices come out by what of these a book lets say so; 0: as they are meant.
func OwnTimes(set []Offer) float64 {
	for _, o := range set {
		if o.Kind == OwnHand {
			return o.Times
		}
	}
	return 0
}

// Offers are what a book's dogs' records are enough for, where they differ from what is usual, growth by size first.
// Growth is a normal over dogs around that of their size, itself a normal around what is usual (Gelman et al., Bayesian
// Data Analysis, section 5.4); faces are the mean of what is believed of each dog, one step of expectation and
// maximisation from what is usual (Dempster, Laird & Rubin 1977).
func Offers(all []Learnt) (out []Offer) {
	for _, class := range growth.SizeClasses() {
		if o, enough := growthOf(class, all); enough {
			out = append(out, o)
		}
	}
	if o, enough := facesOf(all); enough {
		out = append(out, o)
	}
	if o, enough := handOf(all); enough {
		out = append(out, o)
	}
	return out
}

// growthOf is the growth of dogs of one size.
func growthOf(class growth.SizeClass, all []Learnt) (o Offer, enough bool) {
	o = Offer{Kind: OwnGrowth, Class: class.Under}
	sum, weights, usual := 0.0, 0.0, 0.0
	for _, l := range all {
		if l.Class != class.Under {
			continue
		}
		o.Sittings += l.Sittings
		said, before := 1/(l.Gross.SD*l.Gross.SD), 1/(l.Before.SD*l.Before.SD)
		gained := said - before
		if gained <= 0.01*before { // it says nothing of its own
			continue
		}
		off := (l.Gross.Mean*said-l.Before.Mean*before)/gained - l.Usual // by its record alone
		weight := 1 / (betweenDogs*betweenDogs + 1/gained)
		sum, weights, usual, o.Dogs = sum+weight*off, weights+weight, usual+l.Usual, o.Dogs+1
	}
	if o.Sittings < ownSittings || o.Dogs < ownDogs {
		return o, false
	}
	usual /= float64(o.Dogs)
	off := sum / (weights + 1/(classSD*classSD*usual*usual))
	o.Times = math.Round(100*math.Min(MostTimes, math.Max(LeastTimes, 1+off/usual))) / 100
	o.Before = growth.Usual(growth.Where{Age: grownAge, Weight: class.UsualWeight})
	o.After = o.Before * o.Times
	return o, math.Abs(o.Times-1) >= worthTimes
}

// facesOf is how ends show.
func facesOf(all []Learnt) (o Offer, enough bool) {
	o, faces := Offer{Kind: OwnFaces}, quick.UsualScales()
	o.Before = faces.SignAt()
	for i := range faces {
		faces[i] *= usualCounts
	}
	for _, l := range all {
		if l.Told == 0 {
			continue
		}
		o.Sittings, o.Dogs = o.Sittings+l.Told, o.Dogs+1
		for i := range faces {
			faces[i] += l.Faces[i]
		}
	}
	for i := range faces {
		faces[i] /= usualCounts + float64(o.Dogs)
	}
	o.Faces, o.After = faces, faces.SignAt()
	return o, o.Sittings >= ownSittings && o.Dogs >= ownDogs && math.Abs(o.After-o.Before) >= worthMM
}

// handOf is how thick slices come out: a ratio of sums (Cochran 1977, Sampling Techniques, section 6.4), joined with
// what is known of most hands as a normal with another (Gelman et al., section 2.5).
func handOf(all []Learnt) (o Offer, enough bool) {
	o = Offer{Kind: OwnHand, Before: 1}
	var sum Taken
	for _, l := range all {
		if l.Hand.Nails > 0 {
			o.Dogs++
		}
		sum = sum.And(l.Hand)
	}
	o.Sittings = sum.Trims
	if sum.Trims < ownSittings || sum.Nails < 2 || sum.Meant <= 0 {
		return o, false
	}
	n, ratio := float64(sum.Nails), sum.Was/sum.Meant
	off := math.Max(0, sum.Was2-2*ratio*sum.MeantTimesWas+ratio*ratio*sum.Meant2) / (n - 1) // mm² of a nail
	variance := n * off / (sum.Meant * sum.Meant)
	times := (ratio*handSD*handSD + variance) / (handSD*handSD + variance)
	o.Times = math.Round(100*math.Min(MostTimes, math.Max(LeastTimes, times))) / 100
	o.After = o.Times
	return o, math.Abs(o.Times-1) >= worthTimes
}
