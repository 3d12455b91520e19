package practice

import (
	"math"

	"fribbet/internal/core/date"
)

// Done is a nail that somebody did: on which day, and whether it went well.
type Done struct {
	On   date.Date
	Well bool
	Bled bool
}

// Well tells whether a nail went well: it did not bleed, nothing was cut against the advice, and hardly anything was
// left.
func (g Game) Well() bool { return g.Over && !g.Bled && g.Late == 0 && g.Early <= mostEarly }

// Progress is where somebody stands with one kind of nail.
type Progress struct {
	Kind
	Lately int       // nails of the last that count
	Well   int       // of them, went well
	Passed bool      // good enough
	Again  date.Date // when it is to be practised again so that it is not forgotten; zero before it was passed
}

// Stands is where somebody stands with a kind by the nails of it that they did, the earliest first. It is passed once
// the last twenty are good enough, and not passed any more when they are not. From then on each day of practice is a
// repetition of SM-2 (Wozniak 1990, Optimization of learning, chapter 3.2: the intervals and the easiness factor), its
// quality the share of that day's nails that went well.
func Stands(kind Kind, done []Done) Progress {
	s := Progress{Kind: kind}
	last := done[max(0, len(done)-counts):]
	bled := 0
	for _, d := range last {
		s.Lately++
		if d.Well {
			s.Well++
		}
		if d.Bled {
			bled++
		}
	}
	s.Passed = s.Lately == counts && float64(s.Well) >= goodEnough*counts && bled <= mostBled
	if !s.Passed {
		return s
	}
	r := repetition{easiness: firstEasiness}
	for from := 0; from < len(done); {
		until, well := from, 0
		for until < len(done) && done[until].On == done[from].On {
			if done[until].Well {
				well++
			}
			until++
		}
		r.repeat(int(math.Round(5 * float64(well) / float64(until-from))))
		s.Again = done[from].On.AddDays(r.interval)
		from = until
	}
	return s
}

// Again is when a card is to be shown again, by the times that it was answered, the earliest first: each is a
// repetition of SM-2, well or not. The zero date: it never was.
func Again(said []Done) (on date.Date) {
	r := repetition{easiness: firstEasiness}
	for _, d := range said {
		quality := 1
		if d.Well {
			quality = 5
		}
		r.repeat(quality)
		on = d.On.AddDays(r.interval)
	}
	return on
}

// repetition is what SM-2 knows of a thing that is to be remembered.
type repetition struct {
	easiness float64
	times    int // in a row that it was remembered
	interval int // days until the next
}

// repeat takes a repetition of a quality from 0, a blackout, to 5, perfect.
func (r *repetition) repeat(quality int) {
	off := float64(5 - quality)
	r.easiness = math.Max(leastEasiness, r.easiness+0.1-off*(0.08+off*0.02))
	if quality < 3 { // begins anew, as easy as it has become
		r.times, r.interval = 0, 1
		return
	}
	switch r.times++; r.times {
	case 1:
		r.interval = 1
	case 2:
		r.interval = 6
	default:
		r.interval = int(math.Ceil(float64(r.interval) * r.easiness))
	}
}

// Next is what to practise: what is forgotten soonest and due by that day, else the first that was not passed, else
// nothing more today.
func Next(all []Progress, today date.Date) (Kind, bool) {
	best := -1
	for i, s := range all {
		if s.Passed && !s.Again.After(today) && (best < 0 || s.Again.Before(all[best].Again)) {
			best = i
		}
	}
	for i := 0; best < 0 && i < len(all); i++ {
		if !all[i].Passed {
			best = i
		}
	}
	if best < 0 {
		return "", false
	}
	return all[best].Kind, true
}
