package practice

import (
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/hand"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// Prices are what a play weighs, in seconds or what is worth as much: a cut with its look, a millimetre of spare left
// beyond what its school leaves, blood.
type Prices struct{ Cut, LeftMM, Blood float64 }

// BestPlay is the best play on a nail, by dynamic programming backwards from all that may come off (Bellman 1957,
// Dynamic Programming): it knows how the faces show, how far a hand is off and what the spare may be. It goes by what
// came off so far and by the last face: earlier faces are forgotten, so the very best may be a little better still.
type BestPlay struct {
	Spare  quick.Spare // as it is believed before the first cut
	Colour nail.Colour
	Scale  float64        // of its faces' places: its depth over that of a nail 7 mm deep
	Stop   quick.EndPoint // at whose sign it stops, whatever that is worth
	Rest   float64        // mm that may stay without a price
	Thick  []float64      // of the cuts, mm, the thinnest first
	Prices
	Step   float64 // mm between two amounts that are told apart
	Hidden float64 // and between two spares
	Scales int     // how many kinds of dogs, by how early they show
}

// moves are what may be done once so much is off and that face showed: to stop, at a price, or one of the cuts. This is
// all that a play which goes by these two knows, so that the best of it is that of a Markov decision process.
type moves struct {
	stop [][]float64
	cuts [][][]oneMove
}

// oneMove is a cut that may be taken: what it costs at once, blood among it, and how likely each face shows then.
type oneMove struct {
	mm, cost float64
	to       int // off by then
	shows    []float64
}

// solved is the best play: what each place costs, and the thickness to take there, 0 to stop.
func (m moves) solved() (value, choice [][]float64) {
	states := len(m.stop)
	value, choice = make([][]float64, states), make([][]float64, states)
	for r := states - 1; r >= 0; r-- {
		value[r], choice[r] = append([]float64(nil), m.stop[r]...), make([]float64, len(m.stop[r]))
		for f, cuts := range m.cuts[r] {
			for _, c := range cuts {
				cost := c.cost
				for g, p := range c.shows {
					cost += p * value[c.to][g]
				}
				if cost < value[r][f] {
					value[r][f], choice[r][f] = cost, c.mm
				}
			}
		}
	}
	return value, choice
}

// faces are those that may have shown: none at first, blood the last.
func (p BestPlay) faces() []quick.Face { return append([]quick.Face{""}, quick.Faces(p.Colour)...) }

// shows are the chances of each face by kind of dog and by how much is left, from the deepest cut on.
func (p BestPlay) shows(faces []quick.Face, scales []float64) func(scale int, left float64) []float64 {
	deepest := p.Thick[len(p.Thick)-1] * 2
	from, to := -int(math.Ceil(deepest/p.Step)), int(math.Ceil(playsTo/p.Step))+1
	table := make([][][]float64, len(scales))
	for s, scale := range scales {
		table[s] = make([][]float64, to-from+1)
		for i := range table[s] {
			left, chances := float64(from+i)*p.Step, make([]float64, len(faces))
			for u := range drawsShown {
				face := quick.DrawFace(p.Colour, left, scale*p.Scale, (float64(u)+0.5)/drawsShown)
				if left <= 0 {
					face = quick.Blood
				}
				for f, one := range faces {
					if one == face {
						chances[f] += 1.0 / drawsShown
					}
				}
			}
			table[s][i] = chances
		}
	}
	return func(scale int, left float64) []float64 {
		return table[scale][max(0, min(to-from, int(math.Round(left/p.Step))-from))]
	}
}

// moves are those on the nail.
func (p BestPlay) moves() (m moves) {
	faces, states := p.faces(), int(playsTo/p.Step)
	var scales []float64
	for k := range p.Scales {
		scales = append(scales, quick.DrawScale((float64(k)+0.5)/float64(p.Scales)))
	}
	show := p.shows(faces, scales)
	type hidden struct {
		left, chance float64
		scale        int
	}
	m.stop, m.cuts = make([][]float64, states), make([][][]oneMove, states)
	for r := range states {
		m.stop[r], m.cuts[r] = make([]float64, len(faces)), make([][]oneMove, len(faces))
		off := float64(r) * p.Step
		left := distuv.Normal{
			Mu:    p.Spare.Mean - off,
			Sigma: math.Sqrt(p.Spare.SD*p.Spare.SD + 0.05*off),
		} // what each cut was off by is in it
		for f := range faces[:len(faces)-1] {
			var all []hidden
			sum := 0.0
			for x := p.Hidden / 2; x < playsTo; x += p.Hidden {
				for s := range scales {
					chance := left.Prob(x)
					if f > 0 {
						chance *= show(s, x)[f]
					}
					all, sum = append(all, hidden{x, chance, s}), sum+chance
				}
			}
			for _, h := range all {
				m.stop[r][f] += h.chance / sum * math.Max(0, h.left-p.Rest) * p.LeftMM
			}
			if ended := faces[f].Ends() || faces[f].FirstSign() && p.Stop == quick.AtFirstSign; sum < never || ended {
				continue
			}
			for _, mm := range p.Thick {
				c := oneMove{
					mm:    mm,
					cost:  p.Cut,
					to:    r + int(math.Round(mm/p.Step)),
					shows: make([]float64, len(faces)),
				}
				if c.to >= states {
					break
				}
				sd := hand.Slices{}.SD(mm)
				for _, h := range all {
					if h.chance < hardly*sum {
						continue
					}
					for z, weight := range gauss {
						weight *= h.chance / sum
						for g, chance := range show(h.scale, h.left-math.Max(0.02, mm+float64(z-1)*1.22*math.Sqrt2*sd)) {
							if faces[g] == quick.Blood {
								c.cost += weight * chance * p.Blood
							} else {
								c.shows[g] += weight * chance
							}
						}
					}
				}
				m.cuts[r][f] = append(m.cuts[r][f], c)
			}
		}
	}
	return m
}

// gauss are the weights of three points of a normal (Gauss-Hermite).
var gauss = [3]float64{1.0 / 6, 2.0 / 3, 1.0 / 6}

// Choose is the thickness to take after so many mm have come off and that face, 0 to stop.
func (p BestPlay) Choose() func(off float64, last quick.Face) float64 {
	faces := p.faces()
	_, choice := p.moves().solved()
	return func(off float64, last quick.Face) float64 {
		for f, face := range faces {
			if r := int(math.Round(off / p.Step)); face == last && r < len(choice) {
				return choice[r][f]
			}
		}
		return 0
	}
}

// Best is what the best play would have done before each of some moves that came to an end, mm, 0 to stop: at the
// person's own end point, with blood worth what their care says, by the looks that were taken until then. Cuts are as
// they are offered.
func (r Room) Best(n Exercise, moves []Move) ([]float64, error) {
	g, err := r.Play(n, moves)
	if err != nil || !g.Over {
		return nil, err
	}
	t := r.table(n)
	depth := g.Claw.Depth
	p := BestPlay{
		Colour: g.Colour,
		Scale:  depth / quick.SignsDepth,
		Stop:   r.Terms.Stop,
		Rest:   verdict.Leaves(depth, 0, r.Terms.Stop),
		Prices: Prices{priceCut, priceLeftMM, priceBlood},
		Step:   0.1,
		Hidden: 0.1,
		Scales: 5,
	}
	if r.Terms.Limit <= verdict.Careful {
		p.Blood = priceBloodCareful
	}
	for _, b := range g.Blades() {
		p.Thick = append(p.Thick, b.MM)
	}
	seen := t.worked.Belief.Clone() // by looks alone
	var choose func(float64, quick.Face) float64
	best, off, last := make([]float64, len(g.Steps)), 0.0, quick.Face("")
	for i, s := range g.Steps {
		if choose == nil {
			p.Spare = seen.Start()
			choose = p.Choose()
		}
		best[i] = choose(off, last)
		switch {
		case s.Look != "":
			seen.See(quick.Seen{Mark: s.Look, Spare: s.Seen + off})
			choose = nil
		case s.MM > 0:
			off, last = off+s.MM, s.Face
		}
	}
	return best, nil
}
