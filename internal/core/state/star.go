// Package state is what is known of a dog's nails at one moment: one joint normal of the numbers
// that its nails share and of each nail's own, so that length, spare, floor and growth move
// together and know how unsure they are. Given the shared numbers the nails are independent of
// each other: a star. Everything is one of three moves: grow, see, cut.
//
// The state is a linear normal one, so growing and seeing are the Kalman filter (Kalman 1960, J.
// Basic Eng. 82); what is not normal is seen by moment matching (Särkkä 2013, Bayesian Filtering
// and Smoothing, ch. 6).
package state

import "math"

// The shared numbers, z.
const (
	Growth     = iota // gross growth beside what is usual at the dog's age, mm a week
	WearFore          // what a km of pavement takes of a nail of the group, mm, for size factor 1
	WearMiddle        // the same of hind III and IV
	WearOuter         // and of hind II and V
	Rest              // the spare at which the quick neither grows nor draws back, mm
	shared
)

// The numbers of one nail, y.
const (
	Own    = iota // its own difference in growth, mm a week
	Length        // mm
	Spare         // horn in front of the quick, mm
	Floor         // the length at which it meets the floor, mm; never asked of a dewclaw
	own
)

const both = shared + own

// Normal is one number as it is known: mean and standard deviation.
type Normal struct{ Mean, SD float64 }

// Leaf is one nail given the shared numbers: y | z ~ N(A z + B, C).
type Leaf struct {
	A [own][shared]float64
	B [own]float64
	C [own][own]float64
}

// Hub is the shared numbers: z ~ N(Mean, Cov).
type Hub struct {
	Mean [shared]float64
	Cov  [shared][shared]float64
}

// pair is the joint normal of the shared numbers, which come first, and of one nail.
type pair struct {
	mean [both]float64
	cov  [both][both]float64
}

// joint puts a nail beside the shared numbers.
func (h *Hub) joint(l *Leaf) pair {
	var p pair
	copy(p.mean[:], h.Mean[:])
	for i := range shared {
		copy(p.cov[i][:], h.Cov[i][:])
	}
	for i := range own {
		p.mean[shared+i] = l.B[i]
		for k := range shared {
			p.mean[shared+i] += l.A[i][k] * h.Mean[k]
		}
		for j := range shared {
			sum := 0.0
			for k := range shared {
				sum += l.A[i][k] * h.Cov[k][j]
			}
			p.cov[shared+i][j], p.cov[j][shared+i] = sum, sum
		}
	}
	for i := range own {
		for j := range own {
			sum := l.C[i][j]
			for k := range shared {
				sum += p.cov[shared+i][k] * l.A[j][k]
			}
			p.cov[shared+i][shared+j] = sum
		}
	}
	return p
}

// moments are the mean and variance of a scalar of one nail and the shared numbers, as joint has them.
func (h *Hub) moments(l *Leaf, s scalar) (mean, variance float64) {
	var with [shared]float64 // what it comes to in the shared numbers
	copy(with[:], s[:shared])
	for i, w := range s[shared:] {
		if w == 0 {
			continue
		}
		mean += w * l.B[i]
		for k := range shared {
			with[k] += w * l.A[i][k]
		}
		for j, v := range s[shared:] {
			variance += w * v * l.C[i][j]
		}
	}
	for i, w := range with {
		mean += w * h.Mean[i]
		for j, v := range with {
			variance += w * v * h.Cov[i][j]
		}
	}
	return mean, math.Max(variance, leastVariance)
}

// split is the way back: the pair's shared numbers, and its nail given them.
func (h *Hub) split(p *pair, l *Leaf) {
	copy(h.Mean[:], p.mean[:shared])
	for i := range shared {
		for j := range shared {
			h.Cov[i][j] = (p.cov[i][j] + p.cov[j][i]) / 2
		}
	}
	root := cholesky(h.Cov)
	for i := range own {
		row := solve(root, p.cov[shared+i][:shared])
		l.A[i] = row
		l.B[i] = p.mean[shared+i]
		for k := range shared {
			l.B[i] -= row[k] * h.Mean[k]
		}
	}
	for i := range own {
		for j := range i + 1 {
			sum := (p.cov[shared+i][shared+j] + p.cov[shared+j][shared+i]) / 2
			for k := range shared {
				sum -= l.A[i][k] * p.cov[shared+j][k]
			}
			l.C[i][j], l.C[j][i] = sum, sum
		}
		l.C[i][i] = math.Max(l.C[i][i], 0)
	}
}

// scalar is a weighted sum of the shared numbers and of one nail's.
type scalar [both]float64

// of is a scalar of one nail's own numbers.
func of(weights map[int]float64) scalar {
	var s scalar
	for i, w := range weights {
		s[shared+i] = w
	}
	return s
}

// moments are the scalar's mean and variance.
func (p *pair) moments(s scalar) (mean, variance float64) {
	for i, w := range s {
		if w == 0 {
			continue
		}
		mean += w * p.mean[i]
		for j, v := range s {
			if v != 0 {
				variance += w * v * p.cov[i][j]
			}
		}
	}
	return mean, math.Max(variance, leastVariance)
}

// move makes mean and variance of a scalar what they are once something of it was seen, and moves
// everything along with it.
func (p *pair) move(s scalar, mean, variance float64) { p.moveBut(s, mean, variance, nil) }

// considered are the numbers that what is in doubt teaches nothing of: growth, wear, and a nail's own growth.
var considered = []int{Growth, WearFore, WearMiddle, WearOuter, shared + Own}

// consider is move, but for the considered numbers: their means and what is known of them by themselves stay.
func (p *pair) consider(s scalar, mean, variance float64) { p.moveBut(s, mean, variance, considered) }

func (p *pair) moveBut(s scalar, mean, variance float64, but []int) {
	before, spread := p.moments(s)
	var fixed [both]bool
	for _, i := range but {
		fixed[i] = true
	}
	var gain [both]float64
	for i := range both {
		for j, w := range s {
			if w != 0 {
				gain[i] += p.cov[i][j] * w
			}
		}
		gain[i] /= spread
	}
	for i := range both {
		if !fixed[i] {
			p.mean[i] += gain[i] * (mean - before)
		}
		for j := range both {
			if !fixed[i] || !fixed[j] {
				p.cov[i][j] += gain[i] * gain[j] * (variance - spread)
			}
		}
	}
}

// cholesky is the lower root of a covariance.
func cholesky(m [shared][shared]float64) (root [shared][shared]float64) {
	for i := range shared {
		for j := range i + 1 {
			sum := m[i][j]
			for k := range j {
				sum -= root[i][k] * root[j][k]
			}
			if i == j {
				root[i][i] = math.Sqrt(math.Max(sum, leastVariance))
			} else {
				root[i][j] = sum / root[j][j]
			}
		}
	}
	return root
}

// solve is the x for which root·rootᵀ·x is right.
func solve(root [shared][shared]float64, right []float64) (x [shared]float64) {
	copy(x[:], right)
	for i := range shared {
		for k := range i {
			x[i] -= root[i][k] * x[k]
		}
		x[i] /= root[i][i]
	}
	for i := shared - 1; i >= 0; i-- {
		for k := i + 1; k < shared; k++ {
			x[i] -= root[k][i] * x[k]
		}
		x[i] /= root[i][i]
	}
	return x
}
