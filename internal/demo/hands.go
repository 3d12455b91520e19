package demo

import (
	"math"
	"math/rand/v2"
	"slices"
	"strings"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

// hands are the groomer's, at work on one dog whose nails truly are as nobody in the demonstration
// knows: its advice is the program's own, from what was told of the dog so far.
type hands struct {
	scenario
	truth *virtual.Dog
	feet  feet.Feet
	day   date.Date
	noise *rand.Rand
}

// mostCuts is what a patient hand takes off one nail at a sitting.
const mostCuts = 40

// world is how the demonstration's dogs and hands differ from the model: a cut is off by a seventh.
var world = virtual.World{CutShare: 0.15}

// begin draws a dog's true nails, as somebody trimmed them a while ago.
func (s scenario) begin(d dog.Dog, day date.Date, noise *rand.Rand) *hands {
	d.Entered = day // as the book will fold it: nothing is known before the first sitting
	h := &hands{scenario: s, feet: feet.FeetAfter(d, nil), day: day, noise: noise}
	h.truth = s.draw(d, day, noise)
	return h
}

func (s scenario) draw(d dog.Dog, day date.Date, noise *rand.Rand) *virtual.Dog {
	var nails []state.Traits
	for _, n := range d.Nails {
		nails = append(nails, state.Traits{Code: n.Code, Colour: s.colourOf(n.Code), Shape: n.Shape})
	}
	ago := 4.0
	truth := virtual.Draw(noise, world, d.Where(day), nails, &ago)
	for i := range truth.Nails {
		n := &truth.Nails[i]
		if n.Code.Dewclaw() {
			n.Length = math.Min(n.Length, 1.2*n.Form.Length)
		}
		if s.overgrown > 1 && !n.Code.Dewclaw() { // horn and quick alike: long quicks
			n.Length += (s.overgrown - 1) * n.Form.Length
			n.Floor = n.Form.Length + 0.2*noise.NormFloat64()
		}
	}
	return truth
}

// colourOf is what a nail truly is: of a dog with both, those that are told and every third.
func (s scenario) colourOf(c nail.Code) nail.Colour {
	switch {
	case contains(s.light, c), s.colour == nail.Mixed && int(c.Digit)%3 == 0:
		return nail.Light
	case s.colour == nail.Mixed || s.colour == nail.Unknown:
		return nail.Dark
	default:
		return s.colour
	}
}

// within keeps the nails to what nails do: no quick draws back into the toe.
func (h *hands) within() {
	for i := range h.truth.Nails {
		n := &h.truth.Nails[i]
		n.Spare = math.Min(n.Spare, math.Max(0, n.Length-rhythm.LeastQuick(n.Form)))
	}
}

// sit works the dog on a day, and writes down what a groomer would.
func (h *hands) sit(number int, day date.Date) record.Sitting {
	h.truth.Grow(float64(day.Sub(h.day)) / 7)
	h.within()
	h.day, h.truth.Where = day, h.feet.Where(day)
	sitting := record.Sitting{On: day}
	last := number == h.sittings-1
	if last {
		sitting.Note = h.lastNote
	}
	terms := outlook.Terms{
		Margin: quick.Margin,
		Hand:   verdict.For(quick.Full, kit.PractisedHand, false, h.feet.Quicked()),
	}
	tool := h.tool
	if number < h.before { // what was overgrown was clipped first
		tool = kit.LargePlier
	}
	if tool.Work() == kit.Grinding {
		terms.Hand.Touch = quick.Touch
	}
	helped := h.calmHelped && number%2 == 0
	plan := map[nail.Code]outlook.Planned{}
	for _, p := range outlook.Plan(h.feet, day, terms) {
		plan[p.Code] = p
	}
	if h.arrives {
		sitting.Arrival = &record.Arrival{Touching: h.touching()}
	}
	for at, n := range order(h.feet.Nails, number) {
		skipped := number >= h.sittings-h.skipFor && contains(h.skipLast, n.Code)
		r := h.record(plan[n.Code], terms, tool, skipped || h.enough > 0 && at >= h.enough)
		if h.enough > 0 && at == h.enough {
			r.Reaction = h.temper
		}
		if helped {
			r.Reaction = temper.Calm
		}
		if h.arrives && n.Code.Digit == 3 {
			before := h.truth.Measured(h.at(n.Code))
			before.MM += r.Removed() // as it was before the cuts
			r.LengthBefore = &before
		}
		r.TookForce = last && at == 0 && h.blunt
		sitting.Records = append(sitting.Records, r)
		if h.enough > 0 && at == h.enough {
			break
		}
	}
	h.time(&sitting, h.noise)
	sitting.Helper = sitting.Helper || helped
	h.feet = h.feet.And(sitting)
	return sitting
}

// touching is how many nails touch the floor as the dog comes in.
func (h *hands) touching() record.Touching {
	toes, down := 0, 0
	for i, n := range h.truth.Nails {
		if n.Code.Dewclaw() {
			continue
		}
		if toes++; h.truth.Feel(i) == measure.Touches {
			down++
		}
	}
	switch {
	case down == 0:
		return record.None
	case 2*down > toes:
		return record.Most
	default:
		return record.Some
	}
}

// record works one nail by the verdict's plan, a look after each cut.
func (h *hands) record(p outlook.Planned, terms outlook.Terms, tool kit.Tool, skipped bool) record.NailRecord {
	r := record.NailRecord{
		Code:     p.Code,
		Tool:     tool,
		Item:     pieceFor(tool),
		Reaction: h.mood(h.noise),
		Stop:     quick.AtFirstSign,
	} // where its plans end
	i := h.at(p.Code)
	if h.untouch != "" && strings.HasPrefix(p.Code.String(), h.untouch) {
		r.Reaction = h.temper
		return r
	}
	if skipped {
		return r
	}
	v := p.Verdict
	if v.Kind == verdict.AskFirst {
		truth := h.truth.Nails[i]
		seen := math.Max(0, math.Min(truth.Spare+0.5*h.noise.NormFloat64(), truth.Length))
		seen = math.Round(seen*10) / 10
		r.Landmarks, r.Sure = []quick.Seen{{Mark: quick.Groove, Spare: seen}}, true
		under := h.feet.Work(h.day)
		told, _ := outlook.Told(&under, r, terms)
		v = verdict.Of(told, terms.Margin, terms.Hand)
	}
	if v.Kind == verdict.Veterinarian && p.Code.Dewclaw() &&
		!contains(h.torn, p.Code) { // a veterinarian was there, and it was done together
		v = verdict.Verdict{
			Kind: verdict.Trim,
			Step: verdict.Step{Plan: verdict.Plan{Cuts: slices.Repeat([]float64{0.5}, mostCuts)}},
		}
	}
	var end quick.Face
	grey := false
	for mm := v.Press(0, end, grey); mm > 0; mm = v.Press(len(r.Cuts), end, grey) {
		end = h.truth.Cut(i, mm)
		r.Cuts = append(r.Cuts, mm)
		grey = grey || end == quick.Grey
	}
	if end.FirstSign() && h.plan != "" { // a long quick is brought back: on to the dot, step by step
		r.Cuts, end = h.toTheDot(i, r, end, terms)
	}
	if r.Blood = end == quick.Blood; !r.Blood && !h.tally {
		r.EndFace = end
	}
	if h.rounded && len(r.Cuts) > 0 && !r.Blood {
		r.Ground = &record.Ground{Tool: kit.GrinderBand, Item: pieceFor(kit.GrinderBand)}
	}
	n := h.truth.Nails[i]
	if h.caliper && h.noise.Float64() < 0.5 {
		after := h.truth.Measured(i)
		after.MM = math.Round(after.MM*10) / 10
		r.LengthAfter = &after
	}
	if n.Colour == nail.Light && len(r.Cuts) > 0 && !r.Blood && !h.tally {
		seen := measure.Quick.Told(math.Max(0.2, math.Round((n.Spare+0.2*h.noise.NormFloat64())*5)/5), measure.Eye, 0)
		r.SpareLeft, r.Sure = &seen, true
	}
	if h.feelers && !n.Code.Dewclaw() {
		gap := h.truth.Feel(i).Number()
		r.GapAfter = &gap
	}
	return r
}

// toTheDot goes on where the first sign shows, one cut at a time, for as long as the verdict says so.
func (h *hands) toTheDot(i int, r record.NailRecord, end quick.Face, terms outlook.Terms) ([]float64, quick.Face) {
	for {
		r.EndFace = end
		under := h.feet.Work(h.day)
		told, _ := outlook.Told(&under, r, terms)
		v := verdict.Of(told, terms.Margin, terms.Hand)
		if v.Action != verdict.Sliver {
			return r.Cuts, end
		}
		end = h.truth.Cut(i, v.MM)
		r.Cuts = append(r.Cuts, v.MM)
	}
}

func (h *hands) at(c nail.Code) int {
	for i, n := range h.truth.Nails {
		if n.Code == c {
			return i
		}
	}
	return -1
}
