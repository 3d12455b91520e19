package state

// Truth is a dog that a state could be: the shared numbers, and each nail's.
type Truth struct {
	Shared [shared]float64
	Nails  [][own]float64
}

// Draw draws one dog from the state; normal gives standard normal numbers.
func (s *State) Draw(normal func() float64) Truth {
	t := Truth{Shared: s.Mean, Nails: make([][own]float64, len(s.Nails))}
	root := cholesky(s.Cov)
	var z [shared]float64
	for i := range z {
		z[i] = normal()
	}
	for i := range shared {
		for k := range i + 1 {
			t.Shared[i] += root[i][k] * z[k]
		}
	}
	for n, l := range s.Leaves {
		t.Nails[n] = l.draw(t.Shared, normal)
	}
	return t
}

// draw draws a nail given the shared numbers. Its four numbers' root is that of a larger matrix
// with nothing in its last place.
func (l *Leaf) draw(given [shared]float64, normal func() float64) (y [own]float64) {
	var wide [shared][shared]float64
	for i := range own {
		copy(wide[i][:], l.C[i][:])
	}
	wide[shared-1][shared-1] = 1
	root := cholesky(wide)
	var z [own]float64
	for i := range z {
		z[i] = normal()
	}
	for i := range own {
		y[i] = l.B[i]
		for k := range shared {
			y[i] += l.A[i][k] * given[k]
		}
		for k := range i + 1 {
			y[i] += root[i][k] * z[k]
		}
	}
	return y
}
