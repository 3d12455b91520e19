package ladder

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
	"fribbet/internal/words/wordstest"
)

var begun = date.MustParse("2026-03-02")

// took is tries day after day, a word a day, a letter a try: c calm, u uneasy, p pulling, f fighting, s snapping.
func took(days ...string) []Try {
	letters := map[rune]temper.Reaction{
		'c': temper.Calm,
		'u': temper.Uneasy,
		'p': temper.Pulling,
		'f': temper.Fighting,
		's': temper.Snapping,
	}
	var tries []Try
	for i, day := range days {
		for _, letter := range day {
			tries = append(tries, Try{On: begun.AddDays(i), Reaction: letters[letter]})
		}
	}
	return tries
}

func stands(kind Kind, days ...string) Progress {
	return Ladder{Kind: kind, Started: begun}.StandingOn(begun.AddDays(len(days)-1), took(days...))
}

// Common practice, no source: up when calm on repeated tries, stay when unsure, down when afraid.
func TestUpStayDown(t *testing.T) {
	for name, c := range map[string]struct {
		days   []string
		step   int
		streak int
		ended  bool
	}{
		"nothing tried yet":              {[]string{""}, 0, 0, false},
		"calm once is not repeatedly":    {[]string{"c"}, 0, 1, false},
		"calm on repeated tries":         {[]string{"ccc"}, 1, 0, true},
		"unsure begins the count anew":   {[]string{"ccucc"}, 0, 2, false},
		"and stays on the step":          {[]string{"ccc", "u"}, 1, 0, false},
		"afraid goes down":               {[]string{"ccc", "p"}, 0, 0, false},
		"too much ends the day as well":  {[]string{"ccc", "ccc", "f"}, 1, 0, true},
		"nothing is below the first":     {[]string{"s"}, 0, 0, true},
		"one step a day, however calm":   {[]string{"cccccc"}, 1, 3, true},
		"what was calm counts next day":  {[]string{"cccccc", "c"}, 2, 0, true},
		"a new day begins open":          {[]string{"ccc", ""}, 1, 0, false},
		"so many tries are enough a day": {[]string{"uuuuuuuu"}, 0, 0, true},
	} {
		s := stands(Clipper, c.days...)
		assert.Equal(t, c.step, s.Step, name)
		assert.Equal(t, c.streak, s.Streak, name)
		assert.Equal(t, c.ended, !s.Ended.Nothing(), name)
	}
}

func TestTheJournalSaysWhatEachTryCameTo(t *testing.T) {
	s := stands(Clipper, "ccc", "up")
	var moves []Move
	var steps []int
	for _, e := range s.Journal {
		moves, steps = append(moves, e.Move), append(steps, e.Step)
	}
	assert.Equal(t, []Move{Stay, Stay, Up, Stay, Down}, moves)
	assert.Equal(t, []int{0, 0, 0, 1, 1}, steps)
	assert.Contains(t, wordstest.Of(s.Says), "Afraid")
	assert.Equal(t, "clipper ladder, step 1 of 13: sees the clipper", wordstest.Of(s.Reason()))
}

// Common practice, no source: one to two weeks with the grinder before the first real nail.
func TestTheFirstNailWaits(t *testing.T) {
	calm := []string{"ccc", "ccc", "ccc", "ccc", "ccc"}
	early := stands(Grinder, calm...)
	assert.Equal(t, 4, early.Step, "five calm days do not reach the nail")
	assert.Equal(t, begun.AddDays(7), early.Wait)
	assert.Contains(t, wordstest.Of(early.Says), "the first nail waits until Mon 9 Mar")
	week := stands(Grinder, append(calm, "c", "c", "c")...)
	assert.True(t, Steps(Grinder)[week.Step].Nail, "after a week it may")
	assert.True(t, week.Wait.IsZero())
	assert.True(
		t,
		stands(Clipper, "ccc", "ccc", "ccc", "ccc", "ccc", "ccc", "ccc").Wait.IsZero(),
		"the clipper has no such wait",
	)
}

// The usual cautions stand where the harm could happen.
func TestADogThatSnapsIsNotForced(t *testing.T) {
	assert.Contains(t, wordstest.Of(stands(Clipper, "f").Ended), "Never force it")
	assert.Contains(t, wordstest.Of(stands(Clipper, "s").Ended), "a veterinarian's decision alone", "sedation")
}

func TestThroughIsThroughUntilItIsAfraidAgain(t *testing.T) {
	days := make([]string, len(Steps(Clipper)))
	for i := range days {
		days[i] = "ccc"
	}
	assert.True(t, stands(Clipper, days...).Done)
	again := stands(Clipper, append(days, "p")...)
	assert.False(t, again.Done)
	assert.Equal(t, len(Steps(Clipper))-1, again.Step)
}

// Whatever the dog does, it goes at most one step a day up, and never past a nail too soon.
func TestNoLadderIsRushed(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		days := rapid.SliceOfN(rapid.StringOfN(rapid.RuneFrom([]rune("cccccupfs")), 0, 9, -1), 1, 20).Draw(t, "days")
		for _, kind := range []Kind{Clipper, Grinder} {
			s := stands(kind, days...)
			assert.LessOrEqual(t, s.Step, len(days))
			assert.GreaterOrEqual(t, s.Step, 0)
			assert.LessOrEqual(t, s.Step, len(Steps(kind)))
			assert.Equal(t, len(took(days...)), len(s.Journal))
			for _, e := range s.Journal {
				early := kind == Grinder && e.On.Before(begun.AddDays(waitDays))
				assert.False(t, early && Steps(kind)[e.Step].Nail, "a nail on %s", e.On)
			}
		}
	})
}

// Beta-binomial in its textbook form: Johnson, Kemp & Kotz, Univariate Discrete Distributions,
// section 6.2.2 (from memory): mean n a/(a+b), variance n a b (a+b+n) / ((a+b)² (a+b+1)).
func TestBetaBinomialMoments(t *testing.T) {
	for _, d := range []BetaBinomial{{1, 2, 1}, {10, 2, 1}, {25, 7.5, 3.25}, {60, 1, 9}} {
		sum, mean, square := 0.0, 0.0, 0.0
		for k := 0; k <= d.N; k++ {
			p := d.P(k)
			sum += p
			mean += float64(k) * p
			square += float64(k*k) * p
		}
		n, a, b := float64(d.N), d.A, d.B
		assert.InDelta(t, 1, sum, 1e-12)
		assert.InDelta(t, n*a/(a+b), mean, 1e-9)
		assert.InDelta(t, n*a*b*(a+b+n)/((a+b)*(a+b)*(a+b+1)), square-mean*mean, 1e-8)
		assert.InDelta(t, 1, d.AtLeast(0), 1e-12)
	}
}

// With a flat prior every count is as likely as another (Bayes 1763; Laplace's rule follows).
func TestBetaBinomialWithAFlatPriorIsFlat(t *testing.T) {
	for k := 0; k <= 12; k++ {
		assert.InDelta(t, 1.0/13, BetaBinomial{12, 1, 1}.P(k), 1e-12)
	}
	assert.Zero(t, BetaBinomial{12, 1, 1}.P(13))
}

func TestReadyComesFromTheDogsOwnDays(t *testing.T) {
	day := begun
	fresh := Ladder{Kind: Clipper, Started: begun}.StandingOn(day, nil).Ready(day)
	assert.InDelta(t, 2.0/3, fresh.Chance, 1e-12, "two days of three, of a dog nobody knows")
	assert.False(t, fresh.Early.Before(day.AddDays(9)), "ten steps, one a day")
	assert.True(t, fresh.Early.Before(fresh.Likely) && fresh.Likely.Before(fresh.Late))

	quick := stands(Clipper, "ccc", "ccc", "ccc", "ccc")
	slow := stands(Clipper, "u", "u", "ccc", "u")
	q, s := quick.Ready(day.AddDays(3)), slow.Ready(day.AddDays(3))
	assert.InDelta(t, 6.0/7, q.Chance, 1e-12)
	assert.InDelta(t, 3.0/7, s.Chance, 1e-12)
	assert.True(t, q.Likely.Before(s.Likely))

	var weekly []Try
	for i, try := range took("ccc", "ccc", "ccc") {
		try.On = begun.AddDays(7 * (i / 3))
		weekly = append(weekly, try)
	}
	w := Ladder{Kind: Clipper, Started: begun}.StandingOn(begun.AddDays(14), weekly).Ready(begun.AddDays(14))
	assert.Equal(t, 7.0, w.Every)
	assert.True(t, w.Likely.After(begun.AddDays(14+6*7)), "seven steps left, one a week")
}

func TestAReadyGrinderDogWaitsForItsNails(t *testing.T) {
	r := stands(Grinder, "ccc", "ccc", "ccc").Ready(begun.AddDays(2))
	assert.False(t, r.Early.Before(begun.AddDays(9)), "a week, and a day for each of the later nail steps")
}

// Common practice, no source: from eight weeks, every day for the first month or two.
func TestPuppyhood(t *testing.T) {
	born := begun.AddDays(-60)
	p, is := PuppyhoodOn(begun.AddDays(3), born, took("c", "", "c", ""))
	require.True(t, is)
	assert.Equal(t, 60, p.Length)
	assert.Equal(t, []bool{false, false, false, false, true, false, true, false}, p.Days)
	assert.Equal(t, 1, p.InARow, "today is still open")
	_, is = PuppyhoodOn(born.AddDays(50), born, nil)
	assert.False(t, is, "before eight weeks it stays with its mother")
	_, is = PuppyhoodOn(born.AddDays(56+60), born, nil)
	assert.False(t, is)
}

func TestATryThatCannotBe(t *testing.T) {
	l := Ladder{Kind: Clipper, Started: begun}
	assert.Empty(t, Try{On: begun}.Check(l, begun))
	assert.Equal(t, "on", Try{On: begun.AddDays(1)}.Check(l, begun)[0].Name)
	assert.Equal(t, "on", Try{On: begun.AddDays(-1)}.Check(l, begun)[0].Name)
}

func TestWhatTrainingCloses(t *testing.T) {
	lh := nail.LH
	whole, one, grinder := stands(Clipper, "c"), stands(Clipper, "ccc"), stands(Grinder, "c")
	one.Paw = &lh
	day := begun
	assert.True(t, Training{whole}.Whole())
	assert.Equal(t, map[nail.Paw]bool{nail.LH: true}, Training{one, grinder}.Paws(), "a grinder ladder closes no paw")
	assert.False(t, Training{one}.Whole())
	assert.True(t, Training{grinder}.WithGrinder())
	assert.False(t, Training{whole}.WithGrinder())
	first, training := Training{one, grinder}.First(day)
	assert.True(t, training)
	assert.Equal(t, Grinder, first.Kind, "the other has had enough for today")
	_, training = Training{}.First(day)
	assert.False(t, training)
}

func TestAFinishedLadderSaysSo(t *testing.T) {
	l := Ladder{Kind: Clipper, Started: begun}
	var tries []Try
	day := begun
	for !l.StandingOn(day, tries).Done {
		for range Needed {
			tries = append(tries, Try{On: day, Reaction: temper.Calm})
		}
		day = day.AddDays(1)
	}
	for range 2 {
		s := l.StandingOn(day, tries)
		assert.Equal(t, "clipper ladder: through", wordstest.Of(s.Reason()))
		s.Ready(day)
		tries = append(tries, Try{On: day, Reaction: temper.Calm})
	}
}

// The scratch board is a small ladder of its own: it keeps fore nails, so no paw is closed and the dog is
// trimmed meanwhile (common practice, no source: a treat under a mat, then the board, a word, a few strokes).
func TestTheScratchBoardClosesNoPaw(t *testing.T) {
	steps := Steps(Board)
	assert.Contains(t, wordstest.Of(steps[0].Words), "towel")
	assert.Contains(t, wordstest.Of(steps[len(steps)-1].Words), "both feet")
	for _, s := range steps {
		assert.False(t, s.Nail, "no cutter comes near")
		assert.NotEqual(t, Steps(Clipper)[0].Words, s.Words)
	}
	l := Ladder{Kind: Board, Started: date.MustParse("2026-11-01")}
	training := Training{l.StandingOn(date.MustParse("2026-11-24"), nil)}
	assert.Empty(t, training.Paws())
	assert.False(t, training.Whole())
	assert.False(t, training.WithGrinder())
	var tries []Try
	for day := range len(steps) {
		for range Needed {
			tries = append(tries, Try{On: date.MustParse("2026-11-02").AddDays(day), Reaction: temper.Calm})
		}
	}
	assert.True(t, l.StandingOn(date.MustParse("2026-11-24"), tries).Done)
}

// The muzzle is taught in six steps, food through it from the first, minutes of wearing at the end; it closes no paw.
func TestTheMuzzleLadder(t *testing.T) {
	steps := Steps(Muzzle)
	require.Len(t, steps, 6)
	assert.Contains(t, wordstest.Of(steps[1].Words), "treat")
	assert.GreaterOrEqual(t, steps[5].Seconds, 60)
	for _, s := range steps {
		assert.False(t, s.Nail)
		assert.Positive(t, s.Tries)
		assert.NotEmpty(t, wordstest.Of(s.Reward))
	}
	assert.Empty(t, Training{{Ladder: Ladder{Kind: Muzzle}}}.Paws())
}

// A step about a paw is passed when each paw was calm on repeated tries; unsure with one begins that one anew.
func TestAStepAboutAPawIsPassedPawByPaw(t *testing.T) {
	l := Ladder{Kind: Clipper, Started: begun, First: 4}
	require.True(t, Steps(Clipper)[4].ByPaw)
	var tries []Try
	told := func(paw nail.Paw, r temper.Reaction, times int) Progress {
		for range times {
			tries = append(tries, Try{On: begun, Reaction: r, Paw: &paw})
		}
		return l.StandingOn(begun, tries)
	}
	assert.Equal(t, "LF is given calmly: now the other paws.", wordstest.Of(told(nail.LF, temper.Calm, 3).Says))
	told(nail.RF, temper.Calm, 3)
	s := told(nail.RF, temper.Uneasy, 1)
	assert.Equal(t, [4]int{3, 0, 0, 0}, s.Paws)
	told(nail.RF, temper.Calm, 3)
	told(nail.LH, temper.Calm, 3)
	s = told(nail.RH, temper.Calm, 2)
	assert.Equal(t, 4, s.Step)
	next, is := s.NextPaw()
	assert.True(t, is)
	assert.Equal(t, nail.RH, next)
	s = told(nail.RH, temper.Calm, 1)
	assert.Equal(t, 5, s.Step)
	assert.Equal(t, [4]int{}, s.Paws)
	assert.Contains(
		t,
		wordstest.Of(s.Reason()),
		"ladder, tomorrow step 6 of 13",
		"today's step is done: what comes is tomorrow's",
	)
	one := nail.RH
	calm := Try{On: begun, Paw: &one, Reaction: temper.Calm}
	assert.Equal(
		t,
		5,
		Ladder{Kind: Clipper, Started: begun, First: 4, Paw: &one}.StandingOn(begun, []Try{calm, calm, calm}).Step,
		"a ladder of one paw counts that one",
	)
}

func TestTreatsThinOutAsItGoesWell(t *testing.T) {
	assert.Equal(t, everyTry, stands(Clipper, "ccc").Reward())
	assert.Contains(t, wordstest.Of(stands(Clipper, "ccc", "ccc").Reward()), "every second one")
	assert.Equal(t, everyTry, stands(Clipper, "ccc", "ccc", "u").Reward(), "it was unsure")
}

// The whole body in a week: no two days of it the same.
func TestAPuppysWholeBodyIsHandledInAWeek(t *testing.T) {
	seen := map[string]bool{}
	for day := range 7 {
		p, is := PuppyhoodOn(begun.AddDays(puppyFrom+day), begun, nil)
		require.True(t, is)
		seen[string(p.Handle().Key)] = true
	}
	assert.Len(t, seen, 7)
}
