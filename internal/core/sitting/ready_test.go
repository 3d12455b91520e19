package sitting

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

func keys(list []Thing) []string {
	var all []string
	for _, t := range list {
		all = append(all, t.Key)
	}
	return all
}

func thing(t *testing.T, list []Thing, key string) Thing {
	t.Helper()
	i := slices.IndexFunc(list, func(one Thing) bool { return one.Key == key })
	require.GreaterOrEqual(t, i, 0, "%s is not on the list", key)
	return list[i]
}

func TestTheChecklistFitsTheDogAndTheTools(t *testing.T) {
	plain := ask(nil)
	list := plain.Checklist(For(plain))
	assert.Equal(t, "styptic", list[0].Key, "no nail is cut without it")
	for _, want := range []string{"treats", "light", "eye_protection", "edges"} {
		assert.Contains(t, keys(list), want)
	}
	for _, no := range []string{"mesh", "dust_mask", "muzzle", "helper", "walk", "pads"} {
		assert.NotContains(t, keys(list), no)
	}
	fussy := ask(func(q *Question) {
		q.Dog.FootCoat, q.Dog.Handling.Muzzle, q.Dog.Handling.Helper, q.Helper = dog.LongCoat, true, dog.Needed, true
		q.Dog.Handling.Noise = kit.NoiseFine
		q.Kit = []kit.Piece{
			{
				ID:   "g",
				Item: kit.Item{Kind: kit.Grinder},
			},
			{ID: "b", Item: kit.Item{Kind: kit.Kind(kit.GrinderBand), Grit: 60}},
		}
		s := past(*q, 0, temper.Calm)
		for i := range s.Records {
			s.Records[i].Reaction = temper.Pulling
		}
		q.Past = PastOf([]record.Sitting{s})
	})
	list = fussy.Checklist(For(fussy))
	for _, want := range []string{"mesh", "pads", "muzzle", "helper", "dust_mask", "hair_tie", "walk"} {
		assert.Contains(t, keys(list), want)
	}
	assert.Contains(t, wordstest.Of(thing(t, list, "muzzle").Why), "keeps everybody safe")
	assert.Contains(t, wordstest.Of(thing(t, list, "walk").Why), "a quarter of an hour", "common practice, no source")
}

// An empty or expired jar is told where it matters, and the next best is named.
func TestAnEmptyJarIsToldBeforeTheFirstNail(t *testing.T) {
	jar := func(kind kit.Kind, stock kit.Stock) kit.Piece {
		i := kit.Item{Kind: kind, Stock: stock}
		return kit.Piece{Item: i, State: i.StateOn(today, kit.Use{})}
	}
	q := ask(nil)
	q.Kit = []kit.Piece{jar(kit.Styptic, kit.Empty)}
	assert.Equal(t, "styptic powder: empty: refill it", wordstest.Of(q.Checklist(For(q))[0].Trouble))
	q.Kit = append(q.Kit, jar(kit.Starch, kit.Full))
	first := q.Checklist(For(q))[0]
	assert.Contains(t, wordstest.Of(first.Words), "cornstarch")
	assert.Contains(t, wordstest.Of(first.Trouble), "empty")
}

func TestCautionsOfHolding(t *testing.T) {
	q := ask(func(q *Question) {
		q.Dog.Handling.Muzzle, q.Dog.Handling.Sore = true, true
		bad := past(*q, 0, temper.Calm)
		for i, r := range bad.Records {
			if r.Code.Paw.Hind() {
				bad.Records[i].Cuts, bad.Records[i].Reaction = nil, temper.Snapping
			}
		}
		slices.Reverse(bad.Records) // hind first: the fore paws go well after them
		q.Past = PastOf([]record.Sitting{bad, bad})
	})
	all := q.Cautions(For(q))
	words := make([]string, len(all))
	for i, c := range all {
		words[i] = wordstest.Of(c.Words)
	}
	assert.Contains(t, words[0], "keeps everybody safe")
	assert.Contains(t, words[2], "LH, RH are not given")
	assert.Contains(t, words[2], "a veterinarian's decision alone", "sedation")
	assert.Contains(t, words[1], "Sore joints")
	assert.Empty(t, ask(nil).Cautions(For(ask(nil))))
}

// Common practice, no source: fore legs do not swing out, hind legs only a little; a pulling
// leg is blocked behind the elbow or in front of the knee.
func TestEveryHoldKeepsTheLimbInItsLine(t *testing.T) {
	for _, position := range dog.Positions() {
		for paw := nail.LF; paw <= nail.RH; paw++ {
			h := HoldOf(paw, dog.Handling{Position: position}, false, false)
			assert.NotEmpty(t, h.Place.Key, position)
			switch {
			case position == dog.OnGround:
				assert.Equal(t, []say.Line{{Key: staysDown}, {Key: downAgain}}, []say.Line{h.Limb, h.Pull})
			case paw.Hind():
				assert.Contains(t, []say.Key{liftBack, ownBend}, h.Limb.Key)
				assert.Equal(t, atKnee, h.Pull.Key)
			default:
				assert.Contains(t, []say.Key{foldUnder, straight}, h.Limb.Key)
				assert.Equal(t, atElbow, h.Pull.Key)
			}
		}
	}
}

// A paw that is held otherwise; and what keeps hand, helper and dog safe stands where it belongs (common practice, no
// source).
func TestAPawMayBeHeldItsOwnWay(t *testing.T) {
	h := dog.Handling{
		Position: dog.Standing,
		ByPaw:    map[nail.Paw]dog.Position{nail.RH: dog.OnSide, nail.LF: dog.OnGround},
	}
	assert.Equal(t, lying, HoldOf(nail.RH, h, false, false).Place.Key)
	assert.Equal(t, onTable, HoldOf(nail.LH, h, false, false).Place.Key)
	safety := func(paw nail.Paw, mayBite bool) (keys []say.Key) {
		for _, l := range HoldOf(paw, h, true, mayBite).Safety {
			keys = append(keys, l.Key)
		}
		return keys
	}
	assert.Equal(t, []say.Key{noWeight, lowElbow}, safety(nail.RH, false))
	assert.Equal(t, []say.Key{neverAlone}, safety(nail.LH, false))
	assert.Equal(t, []say.Key{forearm}, safety(nail.LF, true))
	h.Sore = true
	assert.Equal(t, []say.Key{soreLean}, safety(nail.LF, false))
	assert.Equal(t, leftHand, HoldOf(nail.LF, h, true, false).Hands.Key)
	assert.True(t, ask(func(q *Question) { q.Dog.Takes = dog.Bites }).MayBite())
	assert.False(t, ask(nil).MayBite())
}

func TestMoodsByPaw(t *testing.T) {
	q := ask(nil)
	s := past(q, 9, temper.Pulling) // the tenth nail is pulled away: RF5
	nine := 9.0
	s.Minutes, s.Calm = &nine, &nine
	m := *SummaryOf(s).Mood
	assert.Equal(
		t,
		[]PawMood{{nail.LF, 5, temper.Calm}, {nail.RF, 4, temper.Pulling}},
		m.Paws,
		"the hind paws were not handled",
	)
	assert.Equal(t, &nine, m.Calm)
}

// A dog may take the clipper and not the grinder: each is learnt from its own sittings.
func TestEachKindOfWorkIsLearntByItself(t *testing.T) {
	q := ask(nil)
	ground := past(q, 3, temper.Fighting)
	for i := range ground.Records {
		ground.Records[i].Tool = kit.GrinderBand
	}
	clipped := past(q, 0, temper.Calm)
	q.Past = PastOf([]record.Sitting{clipped, ground})
	assert.Equal(t, 3.0, q.tolerance(kit.Grinding).Nails.Most)
	assert.Equal(t, 18.0, min(18, q.tolerance(kit.Clipping).Nails.Most))
	assert.Equal(t, q.tolerance(kit.Rubbing).Nails.Most, 3.0, "never tried: what any work showed")
}

func TestAdviceForOneNail(t *testing.T) {
	q := ask(nil)
	options, has := q.Advice(nail.MustParse("LF3"), kit.Length)
	assert.True(t, has)
	assert.Equal(t, kit.LargePlier, options[0].Tool)
	smooth, _ := q.Advice(nail.MustParse("LF3"), kit.Smoothing)
	assert.Equal(t, kit.SmoothGrit, smooth[0].Grit)
	_, has = q.Advice(nail.MustParse("LH1"), kit.Length)
	assert.False(t, has)
}

// While a dog is on a ladder, a nail that presses is a professional's or a veterinarian's.
func TestAnUrgentNailDoesNotWaitForTheLadder(t *testing.T) {
	q := ask(func(q *Question) { q.at("RH3", func(p *outlook.Planned) { p.OnFloor = true }) })
	var readings []feet.Reading
	for _, n := range q.Nails {
		readings = append(readings, n.Reading)
	}
	all := WhileTraining(readings, map[nail.Paw]bool{nail.RH: true, nail.LH: true}, true)
	require.Len(t, all, 1)
	assert.Equal(t, dog.CareWithNail, all[0].Kind)
	assert.Contains(t, wordstest.Of(all[0].Words), "RH3 probably on the floor", "nobody looked")
	assert.Contains(t, wordstest.Of(all[0].Words), "a professional's or a veterinarian's")
	assert.Empty(t, WhileTraining(readings, map[nail.Paw]bool{nail.LF: true}, true))
	curls := readings[4] // LF1
	curls.ToCurl = 0
	said := WhileTraining([]feet.Reading{curls}, map[nail.Paw]bool{nail.LF: true}, true)[0]
	assert.Equal(t, dog.CareWithNail, said.Kind)
	assert.Contains(t, wordstest.Of(said.Words), "may curl by now, though nobody has looked")
	curls.Shape = nail.Curled // seen
	assert.Equal(
		t,
		dog.Veterinarian,
		WhileTraining([]feet.Reading{curls}, map[nail.Paw]bool{nail.LF: true}, true)[0].Kind,
	)
}

// A caution stands once, and only where it applies: to this dog, this user, this day.
func TestCautionsApplyToDogUserAndDay(t *testing.T) {
	said := func(q Question) string {
		var all []string
		for _, c := range q.Cautions(For(q)) {
			all = append(all, wordstest.Of(c.Words))
		}
		return strings.Join(all, "\n")
	}
	needs := ask(func(q *Question) { q.Dog.Handling.Helper = dog.Needed })
	assert.NotContains(t, said(needs), "Not without a helper", "the plan itself says so")
	assert.Contains(t, wordstest.Of(For(needs).Blocked), "not done without a helper")
	needs.Helper = true
	assert.NotContains(t, said(needs), "Not without a helper", "one is there")

	old := ask(func(q *Question) { q.Dog.Birth = dog.BornAbout(12, today) })
	assert.Contains(t, said(old), "joints sore?")
	assert.NotContains(t, said(ask(nil)), "joints sore?", "not of a young dog")
	told, faults := old.Dog.With(dog.Changes{Handling: &old.Dog.Handling}, today)
	require.Empty(t, faults)
	old.Dog = told
	assert.NotContains(t, said(old), "joints sore?", "asked once")

	for _, keeper := range []bool{true, false} {
		q := ask(func(q *Question) {
			q.Terms.Keeper, q.Training.Paws = keeper, map[nail.Paw]bool{nail.RF: true}
			q.at("RF1", func(p *outlook.Planned) { p.ToCurl = 0 })
		})
		words := ""
		for _, l := range For(q).Left {
			words += wordstest.Of(l.Why)
		}
		assert.Contains(t, words, "cannot wait for the ladder")
		assert.Equal(t, keeper, strings.Contains(words, "professional"), "a groomer is the professional: %s", words)
	}
}

// What was laid out is what the blood panel names (common practice, no source).
func TestTheRemedyIsWhatWasLaidOut(t *testing.T) {
	q := ask(nil)
	assert.Contains(t, wordstest.Of(q.Remedy(nil)), "what is nearest")
	assert.Contains(t, wordstest.Of(q.Remedy([]string{"styptic"})), "styptic powder")
	q.Kit = []kit.Piece{
		{Item: kit.Item{Kind: kit.SilverNitrate}, State: kit.Item{Kind: kit.SilverNitrate}.StateOn(today, kit.Use{})},
	}
	assert.Contains(t, wordstest.Of(q.Remedy([]string{"styptic"})), "silver nitrate stick")
}

// Two schools with a puppy on the ladder (common practice, no source): the ladder first, or a nail or two a day tipped
// meanwhile, one cut each.
func TestAPuppyOnTheLadderMayBeTipped(t *testing.T) {
	puppy := func(tips bool, weeks int) Plan {
		q := ask(func(q *Question) {
			q.Dog.Birth.Date = q.Today.AddDays(-7 * weeks)
			q.Dog.Handling.TipsMeanwhile = tips
			q.Terms.Training = map[nail.Paw]bool{nail.LF: true, nail.RF: true, nail.LH: true, nail.RH: true}
			q.Feet = feet.FeetAfter(q.Dog, nil)
			q.Nails = outlook.Plan(q.Feet, q.Today, q.Terms)
		})
		q.Training.Paws = q.Terms.Training
		return For(q)
	}
	assert.Empty(t, puppy(false, 12).Days, "the ladder first")
	assert.Empty(t, puppy(true, 60).Days, "no puppy any more")
	p := puppy(true, 12)
	require.NotEmpty(t, p.Days, "%v", p.Left)
	for i, day := range p.Days {
		assert.LessOrEqual(t, len(day.Stops), 2)
		for _, s := range day.Stops {
			assert.Len(t, s.Plan.Cuts, 1, "the tip and no more")
			assert.LessOrEqual(t, s.Plan.Cuts[0], 0.3)
			assert.Equal(t, "on the ladder: only the tip, while it is calm", wordstest.Of(s.Verdict.Why))
		}
		if i > 0 {
			assert.Equal(t, 1, day.On.Sub(p.Days[i-1].On), "a day later")
		}
	}
}

// The first tool is what the dog was last trimmed with, or what its size wants.
func TestTheFirstToolIsLastTimes(t *testing.T) {
	q := ask(nil)
	assert.Equal(t, kit.UsualClipper(q.Dog.WeightOn(today)), q.FirstTool())
	q.Past.Tool = kit.GrinderBand
	assert.Equal(t, kit.GrinderBand, q.FirstTool())
}

// What is to be trimmed is due; a nail to ask about is too, and one that can wait is not.
func TestWhatIsDueToday(t *testing.T) {
	planned := func(k verdict.Kind) outlook.Planned {
		return outlook.Planned{Reading: feet.Reading{ToCurl: 9}, Verdict: verdict.Verdict{Kind: k}}
	}
	assert.Equal(t, Due, UrgencyOf(planned(verdict.Trim)))
	assert.Equal(t, Due, UrgencyOf(planned(verdict.AskFirst)))
	assert.Equal(t, NotDue, UrgencyOf(planned(verdict.Leave)))
}
