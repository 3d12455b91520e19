package practice

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
	"fribbet/internal/words/wordstest"
)

// room is one of a careful hand that stops at the first sign.
var room = Room{
	Chance: func(seed, stream uint64) virtual.Random { return rand.New(rand.NewPCG(seed, stream)) },
	Terms:  verdict.For(quick.AtFirstSign, kit.SomeHand, true, false),
}

// draws are random moves: a look now and then, cuts, an end.
func draws(t *rapid.T) (moves []Move) {
	for range rapid.IntRange(0, 12).Draw(t, "cuts") {
		moves = append(moves, Move{MM: rapid.SampledFrom([]float64{0.3, 0.5, 1, 2}).Draw(t, "mm")})
	}
	return moves
}

// The same seed and the same moves are the same nail and come to the same; what comes later changes nothing of before.
func TestANailIsTheSameToEverybody(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := Exercise{
			rapid.SampledFrom(Kinds()).Draw(t, "kind"),
			rapid.IntRange(1, MostSeed).Draw(t, "seed"),
			rapid.IntRange(1, 50).Draw(t, "number"),
		}
		moves := draws(t)
		var last Game
		for k := range moves {
			g, err := room.Play(n, moves[:k+1])
			require.NoError(t, err)
			again, err := room.Play(n, moves[:k+1])
			require.NoError(t, err)
			assert.Equal(t, g, again)
			assert.Equal(t, last.Steps, append([]Step(nil), g.Steps[:k]...))
			if last = g; g.Over {
				break
			}
		}
		if !last.Over {
			g, err := room.Play(n, append(moves, Move{Stop: true}))
			require.NoError(t, err)
			assert.True(t, g.Over)
			assert.Len(t, g.Says(), 1)
			assert.GreaterOrEqual(t, g.Left, 0.0)
		}
	})
}

// Who does as the advice says ends where the advice does: nothing too early, nothing too many.
func TestWhoFollowsTheAdviceIsToldSo(t *testing.T) {
	for number := 1; number <= 60; number++ {
		n := Exercise{Kinds()[number%len(Kinds())], 4711, number}
		var moves []Move
		for {
			g, err := room.Play(n, moves)
			require.NoError(t, err)
			if g.Over {
				break
			}
			stop, err := room.Play(n, append(moves, Move{Stop: true})) // its advice is that before the end
			require.NoError(t, err)
			switch a := stop.Steps[len(moves)].Advice; {
			case a.Action == verdict.Sliver:
				moves = append(moves, Move{MM: a.MM})
			case a.Action == verdict.Ask && len(moves) == 0:
				moves = append(moves, Move{Look: quick.Groove})
			default:
				moves = append(moves, Move{Stop: true})
			}
		}
		g, err := room.Play(n, moves)
		require.NoError(t, err)
		assert.Zero(t, g.Late)
		assert.Zero(t, g.Early)
		assert.Equal(t, room.Advised(n), g.Outcome(), "the same nail by the advice")
	}
}

// Of two thousand nails: the careful advice bleeds as often as the bench's own calibration says, a hand of 1 mm slices
// several times as often, a random one more than either; and each within what was known of each cut beforehand.
func TestHowOftenHandsBleed(t *testing.T) {
	const all = 2000
	var advised, unasked, random []Outcome
	risks := 0.0
	for number := 1; number <= all; number++ {
		n := Exercise{Dark, 12, number}
		advised, unasked = append(advised, room.Advised(n)), append(unasked, room.Unasked(n, 1))
		r := rand.New(rand.NewPCG(3, uint64(number)))
		var moves []Move
		for range r.IntN(4) {
			moves = append(moves, Move{MM: 0.3 + 1.7*r.Float64()})
		}
		for {
			g, err := room.Play(n, moves)
			if err != nil { // it bled before
				moves = moves[:len(moves)-1]
				continue
			}
			for _, s := range g.Steps {
				risks += s.Risk
			}
			random = append(random, g.Outcome())
			break
		}
	}
	a, u, x := Count(advised), Count(unasked), Count(random)
	page, err := os.ReadFile("../../../docs/practice.md")
	require.NoError(t, err)
	assert.Contains(
		t,
		string(page),
		fmt.Sprintf("%d bleed by the careful advice, %d by 1 mm slices, %d by random cuts", a.Bled, u.Bled, x.Bled),
	)
	assert.LessOrEqual(t, a.Per100.Low, 0.3, "a careful hand bleeds 3 of 1000 at most: docs/calibration.md")
	assert.Greater(t, u.Per100.Low, a.Per100.High)
	assert.Greater(t, x.Per100.Low, a.Per100.High)
	expected := estimate.Share(x.Bled, all, 3).Times(all)
	assert.GreaterOrEqual(t, risks, expected.Low, "as often as the chances of its cuts said")
	assert.LessOrEqual(t, risks, expected.High)
}

// What is no nail and no move is refused by name.
func TestForeignMovesAreRefused(t *testing.T) {
	good := Exercise{Dark, 1, 1}
	for want, err := range map[string]error{
		"kind":             refused(Exercise{"glass", 1, 1}),
		"seed":             refused(Exercise{Dark, 0, 1}),
		"number":           refused(Exercise{Dark, 1, -3}),
		"moves: must be":   refused(good, make([]Move, MostMoves+1)...),
		"moves[0]":         refused(good, Move{}),
		"moves[1]":         refused(good, Move{Stop: true}, Move{MM: 1}),
		"moves[0].mm":      refused(good, Move{MM: math.NaN()}),
		"moves[0].look":    refused(good, Move{Look: "smell"}),
		"shines through":   refused(good, Move{Look: quick.ByTorch}),
		"looked at once":   refused(good, Move{Look: quick.Groove}, Move{Look: quick.Groove}),
		"2 things at once": refused(good, Move{MM: 1, Stop: true}),
	} {
		var f fault.Fields
		require.ErrorAs(t, err, &f, want)
		assert.Contains(t, wordstest.Err(f), want)
	}
}

func refused(n Exercise, moves ...Move) error {
	_, err := room.Play(n, moves)
	return err
}

func TestEndsAreNamed(t *testing.T) {
	ends := room.Ends(7)
	var said []quick.Face
	for _, e := range ends {
		said = append(said, e.Face)
	}
	named, err := room.Name(7, said)
	require.NoError(t, err)
	assert.Equal(t, Named{Asked: EndsAsked, Right: EndsAsked}, named)
	wrong := 0
	for i, e := range ends {
		if e.Face == quick.Grey {
			said[i], wrong = quick.DarkCentre, wrong+1
		}
	}
	require.Positive(t, wrong)
	named, err = room.Name(7, said)
	require.NoError(t, err)
	assert.Equal(t, []Mixed{{quick.Grey, quick.DarkCentre, wrong}}, named.Mixed)
	for _, err := range []error{name(7, "glass"), name(0, quick.White), name(7, make([]quick.Face, EndsAsked+1)...)} {
		assert.ErrorAs(t, err, new(fault.Fields))
	}
}

func name(seed int, said ...quick.Face) error {
	_, err := room.Name(seed, said)
	return err
}

func TestScenesComeInAnOrderOfTheirOwn(t *testing.T) {
	all, right, err := room.Answer(OfTheDog, 5, nil)
	require.NoError(t, err)
	assert.Zero(t, right)
	assert.ElementsMatch(t, room.Moments(OfTheDog, 5), all)
	assert.NotEqual(t, all, room.Scenes(OfTheDog, 6))
	assert.Equal(t, all, room.Scenes(OfTheDog, 5))
	var chosen []int
	for _, s := range all {
		require.Less(t, s.Right, len(s.Choices))
		chosen = append(chosen, s.Right)
	}
	chosen[0] = (chosen[0] + 1) % 3
	_, right, err = room.Answer(OfTheDog, 5, chosen)
	require.NoError(t, err)
	assert.Equal(t, len(all)-1, right)
	for _, bad := range [][]int{{3}, {-1}, append(chosen, 0)} {
		_, _, err := room.Answer(OfTheDog, 5, bad)
		assert.ErrorAs(t, err, new(fault.Fields))
	}
	_, _, err = room.Answer(OfTheDog, 0, nil)
	assert.Contains(t, wordstest.Err(err), "seed")
}

// Blood comes minute by minute, whoever asks; what to do stands in another order each time, and who is late was not
// right.
func TestBloodIsAnsweredAgainstTheClock(t *testing.T) {
	assert.True(t, OfBlood.Clocked())
	assert.False(t, OfTheDog.Clocked(), "a dog is read in its own time")
	orders := map[string]bool{}
	for seed := 1; seed <= 20; seed++ {
		all := room.Scenes(OfBlood, seed)
		assert.Equal(t, all, room.Scenes(OfBlood, seed))
		order := ""
		for i, was := range room.Moments(OfBlood, seed) {
			assert.Equal(t, was.Key, all[i].Key, "in the order of the minutes")
			assert.Equal(t, was.Choices[was.Right], all[i].Choices[all[i].Right])
			assert.ElementsMatch(t, was.Choices, all[i].Choices)
			order += string(rune('a' + all[i].Right))
		}
		orders[order] = true
	}
	assert.Greater(t, len(orders), 15, "nobody learns the places by heart")
	chosen := []int{room.Scenes(OfBlood, 5)[0].Right, TooLate}
	_, right, err := room.Answer(OfBlood, 5, chosen)
	require.NoError(t, err)
	assert.Equal(t, 1, right)
	_, _, err = room.Answer(OfBlood, 5, []int{-2})
	require.ErrorAs(t, err, new(fault.Fields))
	_, _, err = room.Answer("claws", 5, nil)
	assert.Contains(t, wordstest.Err(err), "drill")
}

// Of five lines one stands where the groove ends, the others as far apart as lines on a nail of that depth; all are on
// the nail, and the right one stands in no place more than in others do.
func TestTheGrooveEndsAtOneOfFiveLines(t *testing.T) {
	places := map[int]int{}
	for seed := 1; seed <= 60; seed++ {
		all := room.Scenes(OfGroove, seed)
		require.Len(t, all, looksAsked)
		for _, s := range all {
			u := s.Under
			require.Len(t, u.Lines, len(s.Choices))
			assert.InDelta(t, u.Ends, u.Lines[s.Right], 1e-9)
			assert.Greater(t, u.Lines[0], 0.0)
			assert.Less(t, u.Lines[len(u.Lines)-1], u.Length)
			assert.Contains(t, wordstest.Of(s.Why()), fmt.Sprintf("line %d", s.Right+1))
			places[s.Right]++
		}
	}
	assert.Greater(t, len(places), 3, "%v", places)
}

// One nail touches the floor, or none does: whoever looks which one answers all.
func TestThePawThatTouchesIsDue(t *testing.T) {
	due := map[int]int{}
	for seed := 1; seed <= 40; seed++ {
		for _, s := range room.Scenes(OfFeet, seed) {
			touches := len(s.Feet)
			for k, foot := range s.Feet {
				if foot.Gap() < 0.05 {
					assert.Equal(t, len(s.Feet), touches, "one at most")
					touches = k
				} else {
					assert.Greater(t, foot.Gap(), claw.CardGap-0.05)
				}
			}
			assert.Equal(t, touches, s.Right)
			due[touches]++
		}
	}
	assert.Len(t, due, 5)
}

// An eye counts the ends that showed something: one that names everything white took all of them for milder, one that
// names all rightly none, and one that names them worse none either.
func TestHowAnEyeReadsADrill(t *testing.T) {
	ends := room.Ends(3)
	var milder, right, worse []quick.Face
	showing := 0
	for _, e := range ends {
		faces := quick.Faces(e.Colour)
		milder, right, worse = append(milder, quick.White), append(right, e.Face), append(worse, faces[len(faces)-2])
		if e.Face != quick.White {
			showing++
		}
	}
	require.Positive(t, showing)
	require.Less(t, showing, len(ends))
	assert.Equal(t, hand.Eye{Asked: showing, Milder: showing}, room.Eye(3, milder))
	assert.Equal(t, hand.Eye{Asked: showing}, room.Eye(3, right))
	assert.Equal(t, hand.Eye{Asked: showing}, room.Eye(3, worse))
}

// What is left on the mean has the range of a mean: a normal's, its error the root of its number smaller (gonum's).
func TestWhatIsLeftOnTheMean(t *testing.T) {
	left := []float64{1, 1.4, 2.2, 1.8}
	var all []Outcome
	for _, mm := range left {
		all = append(all, Outcome{Left: mm})
	}
	mean, sd := stat.MeanStdDev(left, nil)
	got := Count(append(all, Outcome{Bled: true})).Left
	assert.InDelta(t, mean, got.Value, 1e-9)
	assert.InDelta(t, mean+estimate.Z90*sd/2, got.High, 1e-9)
}

// A day's repetition is as good as the share of its nails that went well: four of five is remembered, two of five is
// not.
func TestADayIsAsGoodAsItsNails(t *testing.T) {
	day := date.MustParse("2026-11-02")
	again := func(well int) int {
		var done []Done
		for range counts {
			done = append(done, Done{On: day, Well: true})
		}
		for k := range 5 {
			done = append(done, Done{On: day.AddDays(3), Well: k < well})
		}
		s := Stands(Dark, done)
		require.True(t, s.Passed || well < 4)
		return s.Again.Sub(day.AddDays(3))
	}
	assert.Equal(t, 6, again(5), "the second time, SM-2")
	assert.Equal(t, 6, again(4))
}
