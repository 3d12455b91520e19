package round

import (
	"cmp"
	"fribbet/internal/core/say"
	"math"
	"slices"
)

// Way is one way to ease a day that runs late. Somebody has to agree to it; nothing of it happens by itself.
type Way struct {
	Visit
	To    Clock   // where it would move that day; 0: it stays where it is
	Saves float64 // minutes that owners wait, all of them together
	Words say.Line
}

// Ways are what can be done about a day on which somebody waits: a light dog first, nails that can wait, another time
// that day; what saves the most first.
func (w Week) Ways(visits []Visit, now Clock) []Way {
	runs := w.Running(visits, now)
	if !slices.ContainsFunc(runs, func(r Runs) bool { return r.Waits }) {
		return nil
	}
	wait := waits(runs)
	var all []Way
	try := func(way Way, then []Visit) {
		if way.Saves = wait - waits(w.Running(then, now)); way.Saves >= leastWay {
			way.Words = say.Of(
				aboutMinutesLessWaiting,
				say.Args{"way": way.Words, "saves": say.Count(math.Round(way.Saves))},
			)
			all = append(all, way)
		}
	}
	for i, v := range visits {
		if v.State == Here || v.State == Offered || v.State == Agreed {
			w.shortened(visits, i, try)
		}
		if v.State == Offered || v.State == Agreed {
			w.lightFirst(visits, i, try)
			w.anotherTime(visits, i, now, try)
		}
	}
	slices.SortStableFunc(all, func(a, b Way) int { return cmp.Compare(b.Saves, a.Saves) })
	named := map[string]bool{}
	all = slices.DeleteFunc(all, func(way Way) bool { // of what can be done with a dog, the best
		before := named[way.ID]
		named[way.ID] = true
		return before
	})
	return all[:min(len(all), mostWays)]
}

// waits are the minutes that owners wait past their time, all of them together.
func waits(runs []Runs) (minutes float64) {
	for _, r := range runs {
		minutes += math.Max(0, r.Starts.Value-float64(r.Start))
	}
	return minutes
}

// shortened leaves a dog's nails that can wait.
func (w Week) shortened(visits []Visit, i int, try func(Way, []Visit)) {
	v := visits[i]
	if v.Dog.CanWait == 0 || v.Dog.CanWait == v.Dog.Nails {
		return
	}
	then := slices.Clone(visits)
	share := float64(v.Dog.Nails-v.Dog.CanWait) / float64(v.Dog.Nails)
	then[i].Dog.Takes.Value = math.Max(leastCut, share*v.Dog.Takes.Value)
	try(
		Way{
			Visit: v,
			Words: say.Of(
				leaveOfSNailsFor,
				say.Args{
					"canWait": say.Count(v.Dog.CanWait),
					"name":    say.Name(v.Dog.Name),
					"nails":   say.Whole(v.Dog.Nails),
				},
			),
		},
		then,
	)
}

// lightFirst takes a dog before one in front of it that takes longer. A hard dog does not come last for it.
func (w Week) lightFirst(visits []Visit, i int, try func(Way, []Visit)) {
	for j := i - 1; j >= 0; j-- {
		before := visits[j]
		if before.State != Offered && before.State != Agreed || before.Dog.Hard && i == len(visits)-1 {
			continue
		}
		if before.Dog.Takes.Value > visits[i].Dog.Takes.Value {
			then := slices.Insert(slices.Delete(slices.Clone(visits), i, i+1), j, visits[i])
			try(
				Way{
					Visit: visits[i],
					Words: say.Of(
						takeBeforeItTakesMinutes,
						say.Args{
							"name":    say.Name(visits[i].Dog.Name),
							"before":  say.Name(before.Dog.Name),
							"minutes": say.Round(visits[i].Dog.Takes.Value),
						},
					),
				},
				then,
			)
		}
	}
}

// anotherTime moves a visit, whose owner is not on the way yet, to a free place later that day.
func (w Week) anotherTime(visits []Visit, i int, now Clock, try func(Way, []Visit)) {
	v := visits[i]
	if v.Start < now+onTheWay {
		return
	}
	others := slices.Delete(slices.Clone(visits), i, i+1)
	hours, _ := w.On(v.On)
	for _, gap := range w.Free(v.On, others) {
		for _, start := range w.starts(gap, v.Dog, hours) {
			moved := v
			moved.Start = start
			if start <= v.Start || !w.Breaks(moved).Nothing() || !w.Clash(moved, others).Nothing() {
				continue
			}
			then := slices.Clone(others)
			at := len(then)
			for k := len(then) - 1; k >= 0 && then[k].Start > start; k-- {
				at = k
			}
			try(
				Way{
					Visit: v,
					To:    start,
					Words: say.Of(
						askWhetherMayComeAt,
						say.Args{"name": say.Name(v.Dog.Name), "at": start.Say(), "instead": v.Start.Say()},
					),
				},
				slices.Insert(then, at, moved),
			)
			break
		}
	}
}
