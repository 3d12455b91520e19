package hindsight

import (
	"math"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// What is said of where the program is wrong, and what would teach it.
const (
	foreFaster       say.Key = "hindsight.fore_faster"
	foreSlower       say.Key = "hindsight.fore_slower"
	hindMiddleFaster say.Key = "hindsight.hind_middle_faster"
	hindMiddleSlower say.Key = "hindsight.hind_middle_slower"
	hindOuterFaster  say.Key = "hindsight.hind_outer_faster"
	hindOuterSlower  say.Key = "hindsight.hind_outer_slower"
	dewclawsFaster   say.Key = "hindsight.dewclaws_faster"
	dewclawsSlower   say.Key = "hindsight.dewclaws_slower"
	bleedsMore       say.Key = "hindsight.bleeds_more"
	takesLonger      say.Key = "hindsight.takes_longer"
	takesLess        say.Key = "hindsight.takes_less"
	touchesEarlier   say.Key = "hindsight.touches_earlier"
	rangesTooNarrow  say.Key = "hindsight.ranges_too_narrow"

	measureBefore  say.Key = "hindsight.measure_before"
	tellEachEnd    say.Key = "hindsight.tell_each_end"
	timeTrims      say.Key = "hindsight.time_trims"
	lookOnArrival  say.Key = "hindsight.look_on_arrival"
	countTheSlices say.Key = "hindsight.count_the_slices"
)

var growsOtherwise = map[nail.Group][2]say.Key{
	nail.Fore: {foreFaster, foreSlower}, nail.HindMiddle: {hindMiddleFaster, hindMiddleSlower},
	nail.HindOuter: {hindOuterFaster, hindOuterSlower}, nail.Dewclaw: {dewclawsFaster, dewclawsSlower},
}

// Wrong is something that what was said is wrong in, and what would teach the program better.
type Wrong struct{ Says, Teach say.Line }

// Wrongs are what the report's cases are enough to say, the likeliest to harm first.
func (r Report) Wrongs() (all []Wrong) {
	add := func(teach, key say.Key, args say.Args) {
		all = append(all, Wrong{say.Line{Key: key, Args: args}, say.Of(teach)})
	}
	cuts, bled, expected := 0, 0, sum{}
	for _, b := range r.Cuts.Bins {
		cuts, bled = cuts+b.Cuts, bled+b.Bled
		expected.add(b.Sum)
	}
	if e := expected.expected(); !Few(cuts) && float64(bled) > e.High {
		add(
			tellEachEnd,
			bleedsMore,
			say.Args{"Bled": say.Count(bled), "Cuts": say.Count(cuts), "Most": say.Whole(e.High)},
		)
	}
	if early, dated := r.Dates.Before, r.Dates.All(); !Few(dated) && float64(early) > muchEarly*float64(dated) {
		add(lookOnArrival, touchesEarlier, say.Args{"Early": say.Count(early), "Dates": say.Count(dated)})
	}
	for _, group := range nail.Groups() {
		g := r.Growth[group]
		if g.Trims < enough || g.Said <= 0 {
			continue
		}
		n, off := float64(g.Trims), g.Was-g.Said
		se := math.Sqrt(math.Max(0, g.Was2-off*off/n) * n / (n - 1)) // of what was beyond what was said, added up
		share := off / g.Said
		if math.Abs(off) < surely*se || math.Abs(share) < muchFaster {
			continue
		}
		key := growsOtherwise[group][0]
		if share < 0 {
			key = growsOtherwise[group][1]
		}
		add(measureBefore, key, say.Args{"Share": say.Whole(math.Round(100 * math.Abs(share)))})
	}
	if r.Lengths.Seen >= enough && r.Lengths.Share.High < 90 {
		add(measureBefore, rangesTooNarrow, say.Args{"In": say.Count(r.Lengths.In90), "Of": say.Count(r.Lengths.Seen)})
	}
	if m := r.Minutes; m.Seen >= enough {
		n := float64(m.Seen)
		mean := m.Off / n
		se := math.Sqrt(math.Max(0, m.Off2/n-mean*mean) / (n - 1))
		if math.Abs(mean) > surely*se && math.Abs(math.Expm1(mean)) > muchLonger {
			key := takesLonger
			if mean < 0 {
				key = takesLess
			}
			add(timeTrims, key, say.Args{"Share": say.Whole(math.Round(100 * math.Abs(math.Expm1(mean))))})
		}
	}
	return all
}

// Teaches are what would let more be said: one press more, and what it would bring.
func (r Report) Teaches() (all []say.Line) {
	if r.LeftOut.Unlooked > 0 {
		all = append(all, say.Of(lookOnArrival))
	}
	if r.LeftOut.Assumed > 0 {
		all = append(all, say.Of(countTheSlices))
	}
	if Few(r.Lengths.Seen) {
		all = append(all, say.Of(measureBefore))
	}
	if Few(r.Minutes.Seen) {
		all = append(all, say.Of(timeTrims))
	}
	return all
}
