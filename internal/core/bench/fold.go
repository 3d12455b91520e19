package bench

import (
	"slices"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
)

// Progress is what a log comes to.
type Progress struct {
	Start   time.Time
	Ended   bool
	End     time.Time
	Minutes *float64  // that it took, as it was told; nil is what the clock says
	Calm    *float64  // the same
	Sign    time.Time // the first reaction that was not calm; zero when there was none
	Helper  bool
	Ticks   []string
	Tool    kit.Tool // in the hand
	Item    string
	Stop    quick.EndPoint // at which sign the hand stops
	Hand    hand.Slices    // how its slices come out
	Held    dog.Position
	Hour    *int // of the day at which it began
	Note    string
	Smooth  []nail.Paw      // that a finger went round
	Said    []temper.Said   // how it took it, as it was told, in order
	Calmly  bool            // it was calm throughout, as was told at the end
	Arrival *record.Arrival // what was seen before the first cut; nil where nobody looked
	Nails   []NailState     // in the order in which they were first taken up
}

// NailState is what was done to one nail.
type NailState struct {
	Code      nail.Code
	Cuts      []Slice
	Landmarks []quick.Seen
	Measures  map[Measure]measure.Number
	Tool      kit.Tool // of its first cut; the one in the hand when it was taken up, before that
	Item      string
	Second    kit.Tool    // of its second pass: it was clipped, then ground; empty when it was not
	SecondBy  string      // the piece of kit
	Colour    nail.Colour // as it was told here; empty when nobody did
	Unclear   bool        // where its quick ends nobody could tell
	Edged     bool        // a sliver off sides and top
	Forced    bool
	Blood     bool
	Stopped   bool // the blood
	Bleeding  bool // it did not stop
	Reaction  temper.Reaction
	Skipped   bool
	Done      bool
	Ended     state.Ended // what was said of its end, where no face was told
	Assumed   bool        // its cuts are a plan's, as it was accepted
}

// Slice is one cut, or one touch of a grinder.
type Slice struct {
	ID    string // of its event
	MM    float64
	Touch bool
	Face  quick.Face // empty when nobody told it
}

// Nail is the state of one nail; nil when nothing was told of it.
func (s *Progress) Nail(code nail.Code) *NailState {
	for i := range s.Nails {
		if s.Nails[i].Code == code {
			return &s.Nails[i]
		}
	}
	return nil
}

// LastFace is what the last cut showed; empty when nothing was cut or nobody told it.
func (n NailState) LastFace() quick.Face {
	if n.Blood {
		return quick.Blood
	}
	if len(n.Cuts) == 0 {
		return ""
	}
	return n.Cuts[len(n.Cuts)-1].Face
}

// clipped tells whether a clipper took something off, and it did not bleed.
func (n NailState) clipped() bool { return len(n.Cuts) > 0 && !n.Cuts[0].Touch && !n.Blood }

// Fold works the log through. An event that was undone is as if it had never been, and with a
// cut goes what it showed.
func (l Log) Fold() Progress {
	gone := l.gone()
	var s Progress
	for _, e := range l {
		if e.Kind != Undone && !gone.counts(e) {
			s.take(e)
		}
	}
	return s
}

// groundByNone tells whether something is told to be ground while a clipper was in the hand.
func (l Log) groundByNone() bool {
	gone := l.gone()
	var tool kit.Tool
	for _, e := range l {
		switch {
		case gone.counts(e):
		case e.Kind == Started || e.Kind == Took:
			tool = e.Tool
		case (e.Kind == Touched || e.Kind == Rounded) && tool.Work() == kit.Clipping:
			return true
		}
	}
	return false
}

func (s *Progress) take(e Event) {
	switch e.Kind {
	case Started:
		s.Start, s.Helper, s.Ticks, s.Tool, s.Item, s.Stop = e.At, e.Helper, e.Ticks, e.Tool, e.Item, e.Stop
		s.Held, s.Hour = e.Held, e.Hour
		if e.Hand != nil {
			s.Hand = *e.Hand
		}
	case Took:
		s.Tool, s.Item = e.Tool, e.Item
	case Noted:
		s.Note = e.Note
	case Smoothed:
		if !slices.Contains(s.Smooth, *e.Paw) {
			s.Smooth = append(s.Smooth, *e.Paw)
		}
	case Rounded:
		for i := range s.Nails {
			n := &s.Nails[i]
			if (e.Paw != nil && n.Code.Paw == *e.Paw || e.Nail != nil && n.Code == *e.Nail) && n.clipped() {
				n.Second, n.SecondBy = s.Tool, s.Item
			}
		}
	case Ended:
		s.Ended, s.End, s.Minutes, s.Calm = true, e.At, e.Minutes, e.Calm
		s.Calmly = e.Reaction == temper.Calm
	case Arrived:
		s.Arrival = e.Arrival
	}
	if !e.needsNail() {
		return
	}
	n := s.Nail(*e.Nail)
	if n == nil {
		s.Nails = append(
			s.Nails,
			NailState{Code: *e.Nail, Tool: s.Tool, Item: s.Item, Measures: map[Measure]measure.Number{}},
		)
		n = &s.Nails[len(s.Nails)-1]
	}
	if n.take(e, s); e.Kind != Reacted {
		return
	}
	s.Said = append(s.Said, temper.Said{Paw: e.Nail.Paw, Reaction: e.Reaction})
	if e.Reaction != temper.Calm && s.Sign.IsZero() {
		s.Sign = e.At
	}
}

func (n *NailState) take(e Event, s *Progress) {
	switch e.Kind {
	case Edged:
		n.Edged = true
	case Coloured:
		n.Colour = e.Colour
	case Unclear:
		n.Unclear = true
	case Cut, Touched:
		if !e.Pass.Shortens() { // sides and top: noted, and nothing comes off the length
			n.Edged = true
			return
		}
		switch {
		case len(n.Cuts) == 0:
			n.Tool, n.Item = s.Tool, s.Item
		case e.Kind == Touched && n.clipped(): // taken up again with the grinder
			n.Second, n.SecondBy, n.Done = s.Tool, s.Item, false
		}
		n.Cuts = append(n.Cuts, Slice{ID: e.ID, MM: e.MM, Touch: e.Kind == Touched})
		n.Skipped = false
	case Showed:
		if at := slices.IndexFunc(n.Cuts, func(c Slice) bool { return c.ID == e.Of }); at >= 0 {
			n.Cuts[at].Face = e.Face
			n.Blood = n.Blood || e.Face == quick.Blood
		}
	case Measured:
		n.Measures[e.Measure] = e.Number()
	case Seen:
		seen := e.Number()
		n.Landmarks = append(n.Landmarks, quick.Seen{Mark: e.Landmark, Spare: seen.MM, By: seen.By, SD: seen.SD})
	case Forced:
		n.Forced = true
	case Bled:
		n.Blood = true
	case Stopped:
		n.Stopped, n.Bleeding = true, false
	case Bleeding:
		n.Bleeding = true
	case Reacted:
		n.Reaction = temper.Worst(n.Reaction, e.Reaction) // that it calmed down does not undo what it did
	case Skipped:
		n.Skipped = true
	case Done:
		n.Done = true
		if e.End != "" || e.Assumed || n.Second == "" { // a second pass says nothing of how the first was told
			n.Ended, n.Assumed = e.End, e.Assumed
		}
	}
}

// Sitting is what the log comes to as a sitting on a day: what the lists read.
func (s Progress) Sitting(on date.Date) record.Sitting {
	out := record.Sitting{
		On:      on,
		Note:    s.Note,
		Helper:  s.Helper,
		Ticks:   s.Ticks,
		Smooth:  s.Smooth,
		Held:    s.Held,
		Hour:    s.Hour,
		Arrival: s.Arrival,
	}
	switch took := s.End.Sub(s.Start); {
	case s.Minutes != nil || s.Calm != nil:
		out.Minutes, out.Calm = s.Minutes, s.Calm
	case s.Ended && took > 0 && took < longest:
		out.Minutes = minutesBetween(s.Start, s.End)
		if !s.Sign.IsZero() {
			out.Calm = minutesBetween(s.Start, s.Sign)
		}
	}
	for _, n := range s.Nails {
		r := n.record()
		if len(r.Cuts) > 0 {
			r.Stop, r.Hand = s.Stop, s.Hand
		}
		if s.Calmly && r.Reaction == temper.Untold {
			r.Reaction = temper.Calm
		}
		out.Records = append(out.Records, r)
	}
	return out
}

// Off is what came off by the cuts as they were told, mm.
func (n NailState) Off() float64 { return n.record().Removed() }

// record is what was done to the nail as the lists read it.
func (n NailState) record() record.NailRecord {
	r := record.NailRecord{
		Code:         n.Code,
		Tool:         n.Tool,
		Item:         n.Item,
		TookForce:    n.Forced,
		Reaction:     n.Reaction,
		Blood:        n.Blood,
		Colour:       n.Colour,
		Edged:        n.Edged,
		LengthBefore: n.measure(LengthBefore),
		LengthAfter:  n.measure(LengthAfter),
		GapBefore:    n.measure(GapBefore),
		GapAfter:     n.measure(GapAfter),
		SpareLeft:    n.measure(SpareLeft),
	}
	r.Landmarks = n.Landmarks
	if n.Second != "" {
		r.Ground = &record.Ground{Tool: n.Second, Item: n.SecondBy}
	}
	for i, c := range n.Cuts {
		if c.Touch && r.Ground != nil {
			r.Ground.Touches = append(r.Ground.Touches, c.MM)
			continue
		}
		r.Cuts = append(r.Cuts, c.MM)
		if c.Face != "" {
			r.Faces = append(append(r.Faces, make([]quick.Face, i-len(r.Faces))...), c.Face)
		}
	}
	if n.Blood && len(r.Cuts) == 0 {
		r.Cuts = []float64{record.Sliver} // it was cut before anybody could tell: a usual one
	}
	if !n.Blood {
		r.EndFace = n.LastFace()
	}
	if r.Assumed = n.Assumed; r.EndFace == "" && !n.Blood {
		r.Ended = n.Ended
	}
	return r
}

func (n NailState) measure(m Measure) *measure.Number {
	if read, is := n.Measures[m]; is {
		return &read
	}
	return nil
}

// minutesBetween is to a tenth of a minute: nobody's stopwatch is truer.
func minutesBetween(from, to time.Time) *float64 {
	minutes := float64(to.Sub(from).Round(6*time.Second)) / float64(time.Minute)
	return &minutes
}

// Praise says what the dog did well: the paws that it gave calmly, as far as somebody said so; nothing where nobody
// said how it took it.
func (s Progress) Praise() say.Line {
	worst := map[nail.Paw]temper.Reaction{}
	for _, r := range s.Sitting(date.Date{}).Records {
		if len(r.Cuts) > 0 {
			worst[r.Code.Paw] = temper.Worst(worst[r.Code.Paw], r.Reaction)
		}
	}
	var calm []nail.Paw
	hard := false
	for _, paw := range nail.Paws() {
		if worst[paw] == temper.Calm {
			calm = append(calm, paw)
		}
	}
	for _, said := range s.Said {
		hard = hard || said.Reaction.Strain() > temper.Uneasy.Strain()
	}
	switch {
	case len(calm) > 0 && len(calm) == len(worst) && !hard:
		return say.Of(calmThroughoutTheBestTreat)
	case len(calm) > 0:
		return say.Of(calmOnPraiseThat, say.Args{"paws": nail.SaidPaws(calm...)})
	case hard:
		return say.Of(itWasHardAndIt)
	default:
		return say.Line{}
	}
}

// OnlyCalm tells whether nothing but calm was told of how it took it, or nothing at all.
func (s Progress) OnlyCalm() bool {
	return !slices.ContainsFunc(s.Said, func(one temper.Said) bool { return one.Reaction != temper.Calm })
}

// Answer is what the last reaction asks for; none once the sitting has ended.
func (s Progress) Answer() temper.Answer {
	if s.Ended {
		return temper.Answer{}
	}
	return temper.AnswerTo(s.Said)
}
