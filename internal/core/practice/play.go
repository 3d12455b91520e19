package practice

import (
	"fmt"
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
)

// Move is what a person does with a nail: looks, cuts, or stops. Exactly one of them.
type Move struct {
	Look quick.Landmark `json:"look,omitempty"`
	MM   float64        `json:"mm,omitempty"` // how thick the slice is meant to be
	Stop bool           `json:"stop,omitempty"`
}

// Step is a move with what came of it, and what the advice was before it.
type Step struct {
	Move
	Seen   float64      // by a look: how far from the tip the quick seems to end, mm
	Face   quick.Face   // that a cut showed
	Drawn  uint64       // and how its end is drawn
	Advice verdict.Step // at the person's own end point, by all that was seen until then
	Risk   float64      // that a cut bled, by all that was seen until then
}

// Game is a nail as far as it was played.
type Game struct {
	Exercise
	Code   nail.Code
	Colour nail.Colour
	Weight float64   // of its dog, kg
	Before float64   // its length at first, mm
	Claw   claw.Claw // at its length now
	Steps  []Step
	Over   bool // stopped, or it bled
	Bled   bool
	Left   float64 // spare, mm: hidden until it is over
	Early  int     // slices that the advice would have gone on with
	Late   int     // cuts that were taken against the advice to stop
}

// Blade is where a cut would run: so thick, from the underside's edge to the ridge's or the other way.
type Blade struct {
	MM   float64
	Line [2]claw.Point
}

// Whole is the nail as it was at first, over the floor, which it does not touch.
func (g Game) Whole() claw.Stance { return g.Claw.WithLength(g.Before).AtGap(hangs) }

// Hung is what is left of it, where it was.
func (g Game) Hung() claw.Stance { return g.Claw.AtCoatHeight(g.Whole().CoatHeight()) }

// Blades are the cuts that are offered, straight across the nail, the thinnest first: thinner on a toy's.
func (g Game) Blades() (all []Blade) {
	size, before := verdict.Size(g.Claw.Depth), 0.0
	var steps, thick []float64
	for _, mm := range offered {
		mm = math.Max(leastCut, math.Round(mm*size*20)/20)
		steps, thick, before = append(steps, mm-before), append(thick, mm), mm
	}
	for i, line := range g.Hung().Slivers(claw.Square, squareAt*g.Claw.Length, steps) {
		all = append(all, Blade{thick[i], line})
	}
	return all
}

// table is a nail being played: as it truly is, and as it is known.
type table struct {
	drawn
	terms  verdict.Terms
	worked verdict.Worked
}

func (r Room) table(n Exercise) *table {
	d := r.draw(n)
	form := d.dog.Nails[0].Form
	return &table{
		drawn: d, terms: r.Terms,
		worked: verdict.Worked{Belief: d.known.Belief(0, form, state.Work{}), Depth: form.Depth},
	}
}

func (t *table) advice() verdict.Step { return verdict.Next(t.worked, t.terms) }

// look tells where the quick seems to end by a landmark, mm from the tip as it is now.
func (t *table) look(l quick.Landmark) float64 {
	n := t.dog.Nails[0]
	sd := l.Number(0, "", 0).SD
	seen := max(0, n.Spare+sd*t.r.NormFloat64())
	t.worked.Belief.See(quick.Seen{Mark: l, Spare: seen + t.worked.Belief.Removed()})
	t.worked.Reads = true
	return seen
}

// cut takes a slice, and tells what the end then shows.
func (t *table) cut(mm float64) quick.Face {
	face := t.dog.Cut(0, mm)
	t.worked.Cuts++
	t.worked.Last = face
	t.worked.Belief.Cut(mm, face)
	return face
}

// Play is what comes of some moves, one after the other; the same moves always come to the same. It returns
// fault.Fields for what is no nail and no move.
func (r Room) Play(n Exercise, moves []Move) (Game, error) {
	f := n.Check()
	if len(moves) > MostMoves {
		f.Add("moves", say.Of(moves2, say.Args{"moves": say.Count(len(moves))}), fault.AtMost(MostMoves))
	}
	if err := f.Err(); err != nil {
		return Game{}, err
	}
	t := r.table(n)
	g := Game{
		Exercise: n,
		Code:     t.dog.Nails[0].Code,
		Colour:   t.dog.Nails[0].Colour,
		Weight:   t.dog.Where.Weight,
		Before:   t.dog.Nails[0].Length,
	}
	looked := map[quick.Landmark]bool{}
	for i, m := range moves {
		if g.Over {
			f.Add(fmt.Sprintf("moves[%d]", i), say.Of(afterTheEnd), say.Of(mustNotBeThereThe))
			return Game{}, f
		}
		if m.check(&f, i, g.Colour, looked); f.Err() != nil {
			return Game{}, f
		}
		s := Step{Move: m, Advice: t.advice()}
		switch {
		case m.Stop:
			g.Over = true
		case m.Look != "":
			looked[m.Look] = true
			s.Seen = t.look(m.Look)
		default:
			s.Risk = verdict.Risk(t.worked.Belief, m.MM)
			if s.Advice.Action == verdict.Stop {
				g.Late++
			}
			s.Face, s.Drawn = t.cut(m.MM), n.horn(i)
			g.Bled = s.Face == quick.Blood
			g.Over = g.Bled
		}
		g.Steps = append(g.Steps, s)
	}
	now := t.dog.Nails[0]
	g.Claw, g.Left = now.Form.WithLength(now.Length), now.Spare
	if g.Over && !g.Bled {
		g.Early = t.more()
	}
	return g, nil
}

func (m Move) check(f *fault.Fields, i int, c nail.Colour, looked map[quick.Landmark]bool) {
	name := fmt.Sprintf("moves[%d]", i)
	count := 0
	for _, is := range []bool{m.Look != "", m.MM != 0, m.Stop} {
		if is {
			count++
		}
	}
	through := m.Look == quick.SeenThrough || m.Look == quick.ByTorch
	switch {
	case count != 1:
		f.Add(name, say.Of(thingsAtOnce, say.Args{"count": say.Count(count)}), say.Of(mustBeALookA))
	case m.Look != "" && !through && m.Look != quick.Groove:
		f.Add(
			name+".look",
			string(m.Look),
			fault.AnyOf([]quick.Landmark{quick.Groove, quick.SeenThrough, quick.ByTorch}),
		)
	case through && c != nail.Light:
		f.Add(name+".look", string(m.Look), say.Of(mustBeGrooveNothingShines))
	case looked[m.Look]:
		f.Add(name+".look", string(m.Look), say.Of(mustBeLookedAtOnce))
	case m.MM != 0:
		f.Range(name+".mm", m.MM, leastCut, mostCut, fault.MM)
	}
}

// more is how many slices the advice would still take, whoever stopped before.
func (t *table) more() (slices int) {
	for range MostMoves {
		switch s := t.advice(); s.Action {
		case verdict.Sliver:
			slices++
			if t.cut(s.MM) == quick.Blood {
				return slices
			}
		case verdict.Ask:
			if t.worked.Reads {
				return slices
			}
			t.look(quick.Groove)
		case verdict.Stop:
			return slices
		}
	}
	return slices
}

// Outcome is how a nail ended.
type Outcome struct {
	Cuts int
	Bled bool
	Left float64 // mm; of one that did not bleed
}

// Advised is the same nail by the program's own advice.
func (r Room) Advised(n Exercise) Outcome {
	t := r.table(n)
	t.more()
	return t.outcome()
}

// Unasked is the same nail by a hand that takes slices of so many mm, of a nail 7 mm deep, until the sign of its end
// point shows, and asks nobody.
func (r Room) Unasked(n Exercise, mm float64) Outcome {
	t := r.table(n)
	size := verdict.Size(t.worked.Depth)
	for range MostMoves {
		face := t.cut(mm * size)
		if face.Ends() || face.FirstSign() && r.Terms.Stop == quick.AtFirstSign {
			break
		}
	}
	return t.outcome()
}

func (t *table) outcome() Outcome {
	bled := t.worked.Last == quick.Blood
	o := Outcome{Cuts: t.worked.Cuts, Bled: bled}
	if !bled {
		o.Left = t.dog.Nails[0].Spare
	}
	return o
}

// Outcome is how this game ended.
func (g Game) Outcome() Outcome {
	o := Outcome{Bled: g.Bled}
	for _, s := range g.Steps {
		if s.Face != "" {
			o.Cuts++
		}
	}
	if !g.Bled {
		o.Left = g.Left
	}
	return o
}
