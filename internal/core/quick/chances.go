package quick

import (
	"math"
	"sync"
)

// shown is all that the chances of faces depend on along the grid of spares.
type shown struct {
	light bool
	depth float64 // ridge to underside, over that of the nail the signs are told for
	part  float64 // of a step by which what came off falls beside the grid, from 0 to 1
	// milder is the share of ends that whoever looks takes for the next milder face.
	milder float64
}

func (s shown) signs() []sign {
	if s.light {
		return lightSigns
	}
	return darkSigns // an unknown or mixed one is read the careful way
}

// chances are how likely a face shows a sign or a worse one, for every spare left that a step of the
// grid can tell from all or nothing, sign by sign and face scale by face scale.
type chances struct {
	reach [][len(scales)][]float64 // from the spare left at lowest on
}

// known are the chances that were worked out last: the nails of one dog ask for few.
var known = struct {
	sync.Mutex
	chances map[shown]*chances
}{chances: map[shown]*chances{}}

func (s shown) chances() *chances {
	known.Lock()
	defer known.Unlock()
	if c := known.chances[s]; c != nil {
		return c
	}
	if len(known.chances) >= mostKnown {
		clear(known.chances)
	}
	c := s.workOut()
	known.chances[s] = c
	return c
}

// workOut works the chances out. Along the grid each sign's exponential grows by one factor from
// step to step, so that none has to be worked out inside the loop. Widths differ from sign to sign,
// so a milder sign or worse is never less likely than a worse one.
func (s shown) workOut() *chances {
	c := &chances{reach: make([][len(scales)][]float64, len(s.signs()))}
	for scale := range scales {
		var worse []float64
		for place, sign := range s.signs() {
			left := gridStep * (lowest - s.part)
			odds := math.Exp((left - sign.at*scales[scale]*s.depth) / sign.width)
			factor := math.Exp(gridStep / sign.width)
			reach := make([]float64, 0, 2*len(worse)+200)
			for i := 0; odds < longOdds || i < len(worse); i++ {
				here := 1 / (1 + odds)
				if i < len(worse) {
					here = math.Max(here, worse[i])
				}
				reach = append(reach, here)
				odds *= factor
			}
			c.reach[place][scale], worse = reach, reach
		}
		c.takenForMilder(scale, s.milder)
	}
	return c
}

// takenForMilder makes the chances those of an eye that takes a share of the ends for the next milder face: then a face
// shows its sign or a worse one a little more rarely than the horn does. Nobody takes blood for anything else.
func (c *chances) takenForMilder(scale int, share float64) {
	for place := len(c.reach) - 1; place > 0 && share > 0; place-- {
		here, worse := c.reach[place][scale], c.reach[place-1][scale]
		for i := range here {
			beside := 0.0
			if i < len(worse) {
				beside = worse[i]
			}
			here[i] -= share * (here[i] - beside)
		}
	}
}

// join multiplies what is believed of the spares left, from a step of the grid on, by the chance that a
// face shows a sign from the worst of these places to the mildest, the place after the last being none
// of them. What lies beyond p is as it was in that case, and none at all in any other. sum is what is
// believed of all spares together, and is brought up to date.
func (c *chances) join(worst, mildest, scale, from int, p []float64, sum *float64) {
	surely, worse := 0, []float64(nil)
	if worst > 0 {
		surely, worse = c.stretch(worst-1, scale, from, len(p))
	}
	if mildest == len(c.reach) {
		before := add(p)
		clear(p[:surely])
		for i, chance := range worse {
			p[surely+i] -= p[surely+i] * chance
		}
		*sum = math.Max(0, *sum-before) + add(p)
		return
	}
	sure, reach := c.stretch(mildest, scale, from, len(p))
	if worst > 0 { // surely worse, and so none of these
		clear(p[:sure])
	}
	for i, chance := range reach {
		if i < len(worse) {
			chance -= worse[i]
		}
		p[sure+i] *= chance
	}
	some := sure + len(reach)
	clear(p[some:])
	*sum = add(p[:some])
}

// press is a plan of cuts in steps of the grid, and as thick as they are from the first light grey on; grey is its
// place among the signs, -1 where it changes nothing.
type press struct {
	cuts, thin []int
	grey       int
}

// press is the chance that a nail with so many steps of the grid left bleeds at a face scale: see PressBleeds.
func (c *chances) press(scale, left int, p press) float64 {
	bleeds, white := 0.0, 1.0
	for k, cut := range p.cuts {
		left -= cut
		bleeds += white * c.at(0, scale, left)
		first := c.at(firstSign, scale, left)
		if p.grey < 0 {
			white *= 1 - first
		} else {
			greyish := c.at(p.grey, scale, left)
			onward, thinner := white*(greyish-first), left
			for _, cut := range p.thin[k+1:] {
				if onward < negligible {
					break
				}
				thinner -= cut
				bleeds += onward * c.at(0, scale, thinner)
				onward *= 1 - c.at(firstSign, scale, thinner)
			}
			white *= 1 - greyish
		}
		if white < negligible {
			break
		}
	}
	return bleeds
}

// at is the chance that a face shows the sign at this place or a worse one with so many steps of the grid left.
func (c *chances) at(place, scale, left int) float64 {
	reach := c.reach[place][scale]
	switch i := left - lowest; {
	case i < 0 || place == 0 && left <= 0:
		return 1
	case i >= len(reach):
		return 0
	default:
		return reach[i]
	}
}

// add adds up in four sums side by side, so that one need not wait for the last.
func add(p []float64) float64 {
	var a, b, c, d float64
	for ; len(p) >= 4; p = p[4:] {
		a, b, c, d = a+p[0], b+p[1], c+p[2], d+p[3]
	}
	for _, one := range p {
		a += one
	}
	return a + b + (c + d)
}

// stretch is how many of n spares left, from a step of the grid on, surely show the sign at this
// place or a worse one, and the chances of those after them; of any others there is none.
func (c *chances) stretch(place, scale, from, n int) (int, []float64) {
	reach := c.reach[place][scale]
	surely := min(n, max(0, lowest-from))
	first := min(len(reach), max(0, from+surely-lowest))
	return surely, reach[first:min(len(reach), first+n-surely)]
}
