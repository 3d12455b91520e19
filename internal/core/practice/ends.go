package practice

import (
	"cmp"
	"fmt"
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
)

// End is a cut end that is to be named.
type End struct {
	Colour nail.Colour
	Face   quick.Face
	Drawn  uint64 // how it is drawn
}

// Ends are those of a drill; the same seed shows the same.
func (r Room) Ends(seed int) []End {
	chance := r.Chance(uint64(seed), endsStream) //nolint:gosec // never negative
	ends := make([]End, EndsAsked)
	for i := range ends {
		e := End{Colour: nail.Dark, Drawn: Exercise{Seed: seed}.horn(i)}
		if chance.Float64() < lightShare {
			e.Colour = nail.Light
		}
		faces := quick.Faces(e.Colour)
		e.Face = faces[int(chance.Float64()*float64(len(faces)-1))] // nobody need be taught to know blood
		ends[i] = e
	}
	return ends
}

// Mixed is an end that was taken for another.
type Mixed struct {
	Showed, Said quick.Face
	Times        int
}

// Named is how a drill went.
type Named struct {
	Asked, Right int
	Mixed        []Mixed // the pairs that were mixed up, the most often first
}

// Name marks what was said of a drill's ends, in their order, as far as it went.
func (r Room) Name(seed int, said []quick.Face) (Named, error) {
	var f fault.Fields
	f.Range("seed", float64(seed), 1, MostSeed, fault.None)
	if len(said) > EndsAsked {
		f.Add("said", say.Of(ends2, say.Args{"said": say.Count(len(said))}), fault.AtMost(EndsAsked))
	}
	if err := f.Err(); err != nil {
		return Named{}, err
	}
	out := Named{Asked: len(said)}
	times := map[[2]quick.Face]int{}
	for i, e := range r.Ends(seed)[:len(said)] {
		switch {
		case !slices.Contains(quick.Faces(e.Colour), said[i]):
			f.Add(fmt.Sprintf("said[%d]", i), string(said[i]), fault.AnyOf(quick.Faces(e.Colour)))
			return Named{}, f
		case said[i] == e.Face:
			out.Right++
		default:
			times[[2]quick.Face{e.Face, said[i]}]++
		}
	}
	out.Mixed = mixed(times)
	return out, nil
}

// Eye is how a drill's ends were read: of those that were neither white nor bleeding, how many were taken for a milder
// face.
func (r Room) Eye(seed int, said []quick.Face) (eye hand.Eye) {
	for i, e := range r.Ends(seed)[:min(len(said), EndsAsked)] {
		faces := quick.Faces(e.Colour)
		showed, named := slices.Index(faces, e.Face), slices.Index(faces, said[i])
		if showed == 0 || named < 0 {
			continue
		}
		eye.Asked++
		if named < showed {
			eye.Milder++
		}
	}
	return eye
}

// Together adds up some drills.
func Together(all []Named) (out Named) {
	times := map[[2]quick.Face]int{}
	for _, one := range all {
		out.Asked, out.Right = out.Asked+one.Asked, out.Right+one.Right
		for _, m := range one.Mixed {
			times[[2]quick.Face{m.Showed, m.Said}] += m.Times
		}
	}
	out.Mixed = mixed(times)
	return out
}

func mixed(times map[[2]quick.Face]int) (all []Mixed) {
	for pair, n := range times {
		all = append(all, Mixed{pair[0], pair[1], n})
	}
	slices.SortFunc(all, func(a, b Mixed) int {
		return cmp.Or(b.Times-a.Times, cmp.Compare(a.Showed, b.Showed), cmp.Compare(a.Said, b.Said))
	})
	return all
}
