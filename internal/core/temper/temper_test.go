package temper

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/words/wordstest"
)

// sat is one sitting, a letter a nail of the paw: c calm, u uneasy, p pulling, f fighting, s
// snapping; a capital where nothing came off.
func sat(paw nail.Paw, letters string) Outing {
	reactions := map[rune]Reaction{
		'c': Calm,
		'u': Uneasy,
		'p': Pulling,
		'f': Fighting,
		's': Snapping,
		'F': Fighting,
		'S': Snapping,
	}
	o := Outing{On: date.MustParse("2026-01-01")}
	for _, l := range letters {
		o.Touches = append(o.Touches, Touch{paw, reactions[l], l != 'F' && l != 'S'})
	}
	return o
}

func join(parts ...Outing) Outing {
	var all Outing
	for _, p := range parts {
		all.Touches = append(all.Touches, p.Touches...)
	}
	return all
}

const adult = 200.0

func TestNailsThatADogTakes(t *testing.T) {
	for name, c := range map[string]struct {
		past   []Outing
		most   float64
		source estimate.Source
	}{
		"nothing known":                   {nil, math.Inf(1), estimate.Assumed},
		"never in trouble":                {[]Outing{sat(nail.LF, "cccu")}, math.Inf(1), estimate.Learnt},
		"had enough after three":          {[]Outing{sat(nail.LF, "cccF")}, 3, estimate.Learnt},
		"the least of the last three":     {[]Outing{sat(nail.LF, "cccccF"), sat(nail.LF, "ccF"), sat(nail.LF, "cccc")}, 2, estimate.Learnt},
		"never below one":                 {[]Outing{sat(nail.LF, "S")}, 1, estimate.Learnt},
		"longer ago: a little more":       {[]Outing{sat(nail.LF, "ccF"), sat(nail.LF, "ccc"), sat(nail.LF, "cccc"), sat(nail.LF, "ccc")}, 6, estimate.Learnt},
		"a fight that was not the end":    {[]Outing{join(sat(nail.LF, "ccFcc"))}, math.Inf(1), estimate.Learnt},
		"one paw refused, the rest given": {[]Outing{join(sat(nail.LH, "FF"), sat(nail.RH, "cccc"))}, math.Inf(1), estimate.Learnt},
	} {
		l := Learn(adult, c.past, KeeperLimits{}).Nails
		assert.Equal(t, c.most, l.Most, name)
		assert.Equal(t, c.source, l.Source, name)
		assert.NotEmpty(t, wordstest.Of(l.Words), name)
	}
}

// Common practice, no source: from eight weeks and for the two months after them, a nail or two at a time.
func TestAPuppyTakesANailOrTwo(t *testing.T) {
	assert.Equal(t, 2.0, Learn(10, []Outing{sat(nail.LF, "cccccc")}, KeeperLimits{}).Nails.Most)
	assert.Equal(t, 1.0, Learn(10, []Outing{sat(nail.LF, "cF")}, KeeperLimits{}).Nails.Most, "less, if it shows so")
	assert.Equal(t, 5.0, Learn(10, nil, KeeperLimits{}).Minutes.Most)
	assert.True(t, math.IsInf(Learn(18, nil, KeeperLimits{}).Nails.Most, 1))
}

func TestWhatIsToldStands(t *testing.T) {
	nails, minutes := 4, 7.0
	l := Learn(adult, []Outing{sat(nail.LF, "cF")}, KeeperLimits{Nails: &nails, Minutes: &minutes})
	assert.Equal(t, 4.0, l.Nails.Most)
	assert.Equal(t, estimate.Told, l.Minutes.Source)
}

func TestMinutesThatADogTakes(t *testing.T) {
	timed := func(letters string, minutes, calm float64) Outing {
		o := sat(nail.LF, letters)
		o.Minutes = &minutes
		if calm > 0 {
			o.Calm = &calm
		}
		return o
	}
	assert.Equal(t, 30.0, Learn(adult, nil, KeeperLimits{}).Minutes.Most)
	assert.Equal(
		t,
		11.0,
		Learn(adult, []Outing{timed("cccF", 11, 6)}, KeeperLimits{}).Minutes.Most,
		"until it had enough",
	)
	assert.Equal(
		t,
		35.0,
		Learn(adult, []Outing{timed("cccc", 35, 0)}, KeeperLimits{}).Minutes.Most,
		"it took that without trouble",
	)
	assert.Equal(t, 30.0, Learn(adult, []Outing{timed("cccc", 5, 0)}, KeeperLimits{}).Minutes.Most)
}

// A break before the first sign is worth more than one after it.
func TestCalmMinutes(t *testing.T) {
	calm := func(minutes ...float64) Tolerance {
		var past []Outing
		for _, m := range minutes {
			o := sat(nail.LF, "cu")
			o.Calm = &m
			past = append(past, o)
		}
		return Learn(adult, append(past, sat(nail.LF, "c")), KeeperLimits{})
	}
	assert.Nil(t, calm().Calm, "nobody noted it")
	assert.Equal(t, 4.0, *calm(4).Calm)
	assert.Equal(t, 5.0, *calm(20, 1, 7, 5).Calm, "the median of the last three")
}

// Common practice, no source: some dogs accept three paws and not the fourth. Record by paw.
func TestTheImpossiblePaw(t *testing.T) {
	day := join(sat(nail.LF, "cccc"), sat(nail.RF, "ccuc"), sat(nail.LH, "F"), sat(nail.RH, "cccc"))
	once := Learn(adult, []Outing{day}, KeeperLimits{})
	assert.False(t, once.Paws[nail.LH].Impossible, "once is not for ever")
	twice := Learn(adult, []Outing{day, day}, KeeperLimits{})
	assert.True(t, twice.Paws[nail.LH].Impossible)
	assert.False(t, twice.Paws[nail.LF].Impossible)
	better := Learn(adult, []Outing{day, day, sat(nail.LH, "pp")}, KeeperLimits{})
	assert.False(t, better.Paws[nail.LH].Impossible, "it gave it last time")
	tired := join(sat(nail.LF, "cccc"), sat(nail.LH, "cF"))
	assert.False(
		t,
		Learn(adult, []Outing{tired, tired, tired}, KeeperLimits{}).Paws[nail.LH].Impossible,
		"it had enough of the whole",
	)
	paw, stands := twice.Hardest()
	assert.True(t, stands)
	assert.Equal(t, nail.LH, paw)
	_, stands = Learn(adult, []Outing{join(sat(nail.LF, "p"), sat(nail.RF, "p"))}, KeeperLimits{}).Hardest()
	assert.False(t, stands, "two alike: none stands out")
}

// The limit is never more than the dog took well at a recent sitting that ended badly.
func TestALimitIsNeverPastTheLastTrouble(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var past []Outing
		for _, letters := range rapid.SliceOfN(rapid.StringOfN(rapid.RuneFrom([]rune("cccuppF")), 1, 18, -1), 1, 8).Draw(t, "past") {
			past = append(past, sat(nail.LF, letters))
		}
		l := Learn(adult, past, KeeperLimits{})
		for _, o := range past[max(0, len(past)-lastSittings):] {
			if n := o.nails(); n.enough {
				assert.LessOrEqual(t, l.Nails.Most, math.Max(1, n.amount))
			}
		}
		assert.GreaterOrEqual(t, l.Nails.Most, 1.0)
	})
}

// Common practice, no source: a practised hand does a whole calm dog, 18 nails, in five minutes.
func TestPaceOfAPractisedHand(t *testing.T) {
	five := LearnPace(kit.PractisedHand, kit.Clipping, nil).Of(18, 18*UsualCuts)
	assert.InDelta(t, 5, five.Value, 0.05)
	assert.Equal(t, estimate.Assumed, five.Source)
	assert.True(t, five.Low < 3.1 && five.High > 8, "and the range says how little that is known")
	assert.InDelta(t, 20, LearnPace(kit.NewHand, kit.Clipping, nil).Of(18, 18*UsualCuts).Value, 0.2)
	more := LearnPace(kit.PractisedHand, kit.Clipping, nil).Of(18, 18*8)
	assert.Greater(t, more.Value, five.Value+3, "a cut and its look take their time")
}

// Nobody cuts and looks in under two and a half seconds, whatever was timed.
func TestNoPaceIsFasterThanALook(t *testing.T) {
	hasty := LearnPace(kit.PractisedHand, kit.Clipping, []Timed{{1, 18, 72}, {1, 18, 72}, {1, 18, 72}})
	assert.Equal(t, 72*2.5/60, hasty.Of(18, 72).Value)
	assert.GreaterOrEqual(t, hasty.Of(18, 72).Low, 72*2.5/60)
}

// Conjugate normal update with known variance (Gelman et al., Bayesian Data Analysis, 2.5):
// by hand for one observation, four times as long as a practised hand.
func TestPaceLearns(t *testing.T) {
	p := LearnPace(kit.PractisedHand, kit.Clipping, []Timed{{4 * (18*5 + 72*2.9) / 60, 18, 72}, {9, 0, 0}})
	prior, seen := 1/0.25, 1/0.09
	mean := seen * math.Log(4) / (prior + seen)
	assert.InDelta(t, math.Exp(mean)*(5+4*2.9)/60, p.Nail(4), 1e-12)
	assert.InDelta(t, 1/math.Sqrt(prior+seen), p.sd, 1e-12)
	assert.Equal(t, estimate.Learnt, p.Of(4, 16).Source)
	many := make([]Timed, 40)
	for i := range many {
		many[i] = Timed{36, 18, 72}
	}
	assert.InDelta(
		t,
		2,
		LearnPace(kit.PractisedHand, kit.Clipping, many).Nail(4),
		0.05,
		"its own sittings outweigh what is usual",
	)
}

func TestReactionsAreInOrder(t *testing.T) {
	assert.Equal(t, Fighting, Worst(Calm, Fighting, Pulling))
	assert.Equal(t, Untold, Worst(), "nobody said")
	assert.Equal(t, Calm, Worst(Untold, Calm))
	assert.False(t, Pulling.TooMuch())
	assert.True(t, Fighting.TooMuch() && Snapping.TooMuch())
}
