package kit

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/words/wordstest"
)

var today = date.MustParse("2026-11-24")

// ISO 6344-2 and 6344-3, median grain size by grit number (published; from memory).
func TestGritNumbersAreThoseOfISO6344(t *testing.T) {
	for grit, micron := range map[int]float64{40: 425, 60: 269, 80: 201, 120: 125, 220: 68, 240: 58.5, 400: 35} {
		assert.Equal(t, micron, Grain(grit))
	}
	assert.Zero(t, Grain(75), "there is no such number")
	for a := range grains {
		for b := range grains {
			assert.Equal(t, a < b, Grain(a) > Grain(b), "%d and %d: the higher the number, the finer", a, b)
		}
	}
}

// Common practice, no source: 60 for taking length, 80 between, 120 for smoothing.
func TestGritForTheJob(t *testing.T) {
	assert.Equal(t, 60, GritFor(Length, 2))
	assert.Equal(t, 80, GritFor(Length, 0.5))
	assert.Equal(t, 120, GritFor(Smoothing, 0))
}

// Common practice, no source: about 30 lb splits small from large.
func TestThirtyPoundsSplitTheClippers(t *testing.T) {
	assert.Equal(t, SmallPlier, UsualClipper(13.5))
	assert.Equal(t, LargePlier, UsualClipper(13.7))
}

// job is an adult dog's dark fore nail with 1.5 mm to take, in a practised hand.
func job(change func(*Job)) Job {
	j := Job{
		Code: nail.MustParse("LF3"), Shape: nail.Usual, State: nail.Sound, Colour: nail.Dark, Depth: 7, Take: 1.5,
		Weight: 20, AgeWeeks: 200, Noise: NoiseFine, Hand: PractisedHand, Purpose: Length,
	}
	if change != nil {
		change(&j)
	}
	return j
}

func option(t *testing.T, options []Option, tool Tool) Option {
	t.Helper()
	for _, o := range options {
		if o.Tool == tool {
			return o
		}
	}
	require.Fail(t, "not ranked", "%s", tool)
	return Option{}
}

// Each line is common practice with no source.
func TestTheBestToolForTheNail(t *testing.T) {
	for name, c := range map[string]struct {
		change func(*Job)
		best   Tool
	}{
		"a usual dog":           {nil, LargePlier},
		"a dog below 30 lb":     {func(j *Job) { j.Weight, j.Depth = 10, 5.5 }, SmallPlier},
		"a toy dog":             {func(j *Job) { j.Weight, j.Depth = 3, 3.7 }, SmallScissor},
		"a curled dewclaw":      {func(j *Job) { j.Code, j.CloseToPad, j.Depth = nail.MustParse("LF1"), true, 5 }, SmallScissor},
		"done every week":       {func(j *Job) { j.Often, j.Take, j.Last = true, 0.5, GrinderBand }, GrinderBand},
		"smoothing":             {func(j *Job) { j.Purpose = Smoothing }, GrinderDiamond},
		"smoothing, in fear":    {func(j *Job) { j.Purpose, j.Noise = Smoothing, NoiseAfraid }, File},
		"still on the ladder":   {func(j *Job) { j.Often, j.Last, j.Learning = true, GrinderBand, true }, LargePlier},
		"a very thick, big one": {func(j *Job) { j.Weight, j.Depth = 60, 10 }, LargePlier},
	} {
		assert.Equal(t, c.best, Advise(job(c.change), nil)[0].Tool, name)
	}
}

// Each line is common practice with no source.
func TestWhatIsRuledOut(t *testing.T) {
	dewclaw, hind := nail.MustParse("LF1"), nail.MustParse("LH3")
	for name, c := range map[string]struct {
		tool   Tool
		change func(*Job)
		out    bool
	}{
		"a guillotine on a curled nail":        {Guillotine, func(j *Job) { j.Shape = nail.Curled }, true},
		"a guillotine on a usual nail":         {Guillotine, nil, false},
		"household clippers on a grown dog":    {Household, nil, true},
		"household clippers on a young puppy":  {Household, func(j *Job) { j.AgeWeeks, j.Weight, j.Depth = 9, 3, 3 }, false},
		"a small scissor on a thick nail":      {SmallScissor, nil, true},
		"a grinder by a loose dewclaw":         {GrinderBand, func(j *Job) { j.Code, j.State = dewclaw, nail.Loose }, true},
		"a grinder by a dog that fears it":     {GrinderDiamond, func(j *Job) { j.Noise = NoiseAfraid }, true},
		"a board on an overgrown nail":         {ScratchBoard, nil, true},
		"a board for a little of a fore nail":  {ScratchBoard, func(j *Job) { j.Take = 0.5 }, false},
		"a board for a dewclaw":                {ScratchBoard, func(j *Job) { j.Code, j.Take = dewclaw, 0.5 }, true},
		"a board for a hind nail":              {ScratchBoard, func(j *Job) { j.Code, j.Take = hind, 0.5 }, true},
		"a cutter for smoothing":               {LargePlier, func(j *Job) { j.Purpose = Smoothing }, true},
		"anything on a nail torn to the quick": {File, func(j *Job) { j.State = nail.Torn }, true},
	} {
		o := option(t, Advise(job(c.change), nil), c.tool)
		assert.Equal(t, c.out, !o.Out.Nothing(), "%s: %q", name, o.Out)
	}
}

// Both sides stand where practitioners disagree.
func TestDisagreementsShowBothSides(t *testing.T) {
	ranked := Advise(job(func(j *Job) { j.Often = true }), nil)
	assert.Contains(t, wordstest.Of(option(t, ranked, Guillotine).Disputed[0]), "others leave it")
	assert.Contains(t, wordstest.Of(option(t, ranked, GrinderBand).Disputed[0]), "others clip first")
	dewclaw := Advise(job(func(j *Job) { j.Code = nail.MustParse("RF1") }), nil)
	assert.Contains(t, wordstest.Of(option(t, dewclaw, GrinderBand).Disputed[0]), "some never grind it")
	guard := []Piece{{ID: "g", Item: Item{Kind: Kind(LargePlier), Guard: true}}}
	assert.Contains(t, wordstest.Of(Advise(job(nil), guard)[0].Disputed[0]), "never a target")
}

func piece(id string, item Item, u Use) Piece { return Piece{id, item, item.StateOn(today, u)} }

func TestTheKitDecides(t *testing.T) {
	blunt := piece("a", Item{Kind: Kind(LargePlier)}, Use{TookForce: true})
	guillotine := piece("b", Item{Kind: Kind(Guillotine)}, Use{})
	ranked := Advise(job(nil), []Piece{blunt, guillotine})
	assert.Equal(t, Guillotine, ranked[0].Tool, "what is there and sharp comes first")
	assert.Contains(t, wordstest.Of(option(t, ranked, LargePlier).Out), "took force")
	assert.Contains(t, wordstest.All(option(t, ranked, SmallPlier).Against), "not in your kit")

	band := piece("c", Item{Kind: Kind(GrinderBand), Grit: 60}, Use{})
	assert.Contains(t, wordstest.Of(option(t, Advise(job(nil), []Piece{band}), GrinderBand).Out), "no grinder")
	flat := piece("d", Item{Kind: Grinder}, Use{Minutes: 61})
	assert.Contains(
		t,
		wordstest.Of(option(t, Advise(job(nil), []Piece{band, flat}), GrinderBand).Out),
		"charge it: 61 of 60 minutes",
	)
	charged := piece("d", Item{Kind: Grinder}, Use{Minutes: 10})
	o := option(t, Advise(job(nil), []Piece{band, charged}), GrinderBand)
	assert.Empty(t, wordstest.Of(o.Out))
	assert.Equal(t, 60, o.Grit)
	assert.Equal(t, HighSpeed, o.Speed, "bulk, in a practised hand")
	assert.Contains(t, wordstest.All(o.For), "60 grit is right for this")
	other := piece("c", Item{Kind: Kind(GrinderBand), Grit: 60, On: "elsewhere"}, Use{})
	assert.Contains(
		t,
		wordstest.Of(option(t, Advise(job(nil), []Piece{other, charged}), GrinderBand).Out),
		"no grinder",
		"it runs on another machine",
	)
}

func TestSlowForMostOwners(t *testing.T) {
	assert.Equal(t, LowSpeed, SpeedFor(job(func(j *Job) { j.Hand = NewHand })))
	assert.Equal(t, LowSpeed, SpeedFor(job(func(j *Job) { j.Purpose = Smoothing })))
}

func TestWhatIsDue(t *testing.T) {
	ten := 10.0
	for name, c := range map[string]struct {
		item  Item
		use   Use
		level Level
		says  string
	}{
		"a fresh blade":            {Item{Kind: Kind(LargePlier)}, Use{Cuts: 100}, Fine, ""},
		"a blade near its limit":   {Item{Kind: Kind(LargePlier)}, Use{Cuts: 2400}, Soon, "sharpen it: 2400 of 3000 cuts"},
		"a blade past it":          {Item{Kind: Kind(LargePlier)}, Use{Cuts: 3000}, Overdue, "sharpen"},
		"the user's own limit":     {Item{Kind: Kind(LargePlier), Limit: &ten}, Use{Cuts: 10}, Overdue, "10 of 10"},
		"a blade that took force":  {Item{Kind: Kind(LargePlier)}, Use{TookForce: true}, Overdue, "blunt"},
		"a band's minutes":         {Item{Kind: Kind(GrinderBand)}, Use{Minutes: 60, Cuts: 9}, Overdue, "change it"},
		"a diamond bit lasts":      {Item{Kind: Kind(GrinderDiamond)}, Use{Minutes: 60}, Fine, ""},
		"a battery":                {Item{Kind: Grinder}, Use{Minutes: 50}, Soon, "charge it"},
		"an empty jar":             {Item{Kind: Styptic, Stock: Empty}, Use{}, Overdue, "empty"},
		"a jar nearly empty":       {Item{Kind: Styptic, Stock: Low}, Use{}, Soon, "nearly"},
		"powder on its last day":   {Item{Kind: Styptic, Expires: today}, Use{}, Soon, "expires in 0 days"},
		"powder past its date":     {Item{Kind: Styptic, Expires: today.AddDays(-1)}, Use{}, Overdue, "expired on Monday 23 November 2026"},
		"flour, nothing to expire": {Item{Kind: Flour, Stock: Full}, Use{}, Fine, ""},
	} {
		s := c.item.StateOn(today, c.use)
		assert.Equal(t, c.level, s.Level, name)
		assert.Contains(t, wordstest.Of(s.Words), c.says, name)
		assert.Equal(t, c.level != Overdue, s.Usable(), name)
	}
	assert.True(t, math.IsInf(Item{Kind: Flour}.StateOn(today, Use{}).Limit, 1))
}

func TestAnItemThatCannotBe(t *testing.T) {
	minus := -1.0
	for field, i := range map[string]Item{
		"grit":    {Kind: Kind(GrinderBand), Grit: 75},
		"guard":   {Kind: Grinder, Guard: true},
		"limit":   {Kind: Kind(LargePlier), Limit: &minus},
		"expires": {Kind: Muzzle, Expires: today},
		"name":    {Kind: Muzzle, Name: string(make([]rune, 81))},
	} {
		require.Len(t, i.Check(), 1, field)
		assert.Equal(t, field, i.Check()[0].Name)
	}
	assert.Equal(t, "grit", Item{Kind: Kind(LargePlier), Grit: 60}.Check()[0].Name, "a cutter has none")
	assert.Empty(t, Item{Kind: Kind(ScratchBoard), Grit: 80}.Check())
}

// Cautions stand where the harm could happen.
func TestEveryToolHasItsCautions(t *testing.T) {
	for _, tool := range Tools() {
		assert.NotEmpty(t, Cautions(tool), tool)
	}
	assert.Contains(t, wordstest.Of(Cautions(GrinderBand)[0]), "3 seconds")
	assert.Contains(t, wordstest.Of(Cautions(LargePlier)[0]), "eyes")
}

// Common practice, no source: underside first at about 45°, tip at about 90°, then sides and top.
func TestAGrinderGoesRoundTheNail(t *testing.T) {
	passes := Passes(GrinderDiamond)
	assert.Contains(t, wordstest.Of(passes[0].Say()), "45°")
	assert.Contains(t, wordstest.Of(passes[1].Say()), "90°")
	assert.Len(t, passes, 3)
	assert.Empty(t, Passes(LargePlier))
}

func TestEveryKindHasAShelf(t *testing.T) {
	shelves := map[Shelf]int{}
	for _, k := range Kinds() {
		shelves[k.Shelf()]++
	}
	assert.Equal(t, map[Shelf]int{Cutters: 5, Grinders: 3, Rubbers: 2, Supplies: 9, Protection: 6}, shelves)
}

// What this dog is used to speaks for a tool that takes length, and for no other tool and no smoothing.
func TestWhatTheDogIsUsedTo(t *testing.T) {
	for _, purpose := range []Purpose{Length, Smoothing} {
		plain := Advise(job(func(j *Job) { j.Purpose = purpose }), nil)
		used := Advise(job(func(j *Job) { j.Purpose, j.Last = purpose, File }), nil)
		for _, tool := range Tools() {
			more := option(t, used, tool).Score - option(t, plain, tool).Score
			assert.Equal(t, purpose == Length && tool == File, more > 0, "%s: %s", purpose, tool)
		}
	}
}
