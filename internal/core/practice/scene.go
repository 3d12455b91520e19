package practice

import (
	"fmt"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
	"fribbet/internal/core/virtual"
)

// Scene is a moment at the table: what is seen, what can be done, and what is right, with the reason.
type Scene struct {
	Key   string     // practice.scene_KEY is what is seen, practice.why_KEY the reason
	Shows Dog        // the dog in it, where it is about one
	Under *Underside // what is to be looked at, where it is a nail from below
	// or a nail of each of a dog's feet on the floor: left fore, right fore, left hind, right hind
	Feet    []claw.Stance
	Choices []say.Key
	Right   int      // of the choices
	Reason  say.Line // where it is not told by the key alone
}

// Dog is how a dog is drawn.
type Dog struct {
	Tail, Mouth, Eyes, Body string
}

// What can be done about a dog.
const (
	GoOn say.Key = "practice.go_on"
	Ease say.Key = "practice.ease" // pause, a treat, a softer hold; another paw
	Halt say.Key = "practice.halt" // stop for today
)

var (
	withTheDog = []say.Key{GoOn, Ease, Halt}
	// Before a nail is touched, or once it bled: each has its own three.
	whatNow = map[string]int{"five_minutes": 0, "skin": 1, "limps": 2, "flat_hand": 1, "blade": 0}
)

// Drill is what a drill of moments is about.
type Drill string

// The drills there are.
const (
	OfTheDog Drill = "dog"    // what it shows, and what now; in any order
	OfBlood  Drill = "blood"  // a nail bleeds: what to do, in the order of the minutes, against the clock
	OfGroove Drill = "groove" // where the groove on a nail's underside ends
	OfFeet   Drill = "feet"   // which paw is due, as the dog stands
)

// Drills are all of them.
func Drills() []Drill { return []Drill{OfTheDog, OfBlood, OfGroove, OfFeet} }

// Clocked tells whether each of a drill's moments must be answered within AnswerWithin.
func (d Drill) Clocked() bool { return d == OfBlood }

// Moments are a drill's, in the order of the trade; of what is drawn anew each time, those of a seed.
func (r Room) Moments(d Drill, seed int) []Scene {
	switch d {
	case OfBlood:
		return bleeding()
	case OfGroove:
		return undersides(r, seed)
	case OfFeet:
		return standing(r, seed)
	case OfTheDog:
	}
	return scenes()
}

// bleeding is what to do about a nail that bleeds: a pinch of powder, firm pressure, a minute before anybody looks,
// again; three to four minutes as a rule; then the nail is done, or a veterinarian (trade; flour, a quiet floor and no
// warm water are common practice, no source).
func bleeding() (all []Scene) {
	for _, key := range []string{
		"begins", "no_powder", "ten_seconds", "a_minute", "it_pulls", "stopped", "outside", "goes_on",
	} {
		all = append(all, whatNowAbout("blood_"+key, 0))
	}
	return all
}

// whatNowAbout is a moment with three things to do, of which that one is right.
func whatNowAbout(key string, right int) Scene {
	var choices []say.Key
	for _, c := range "abc" {
		choices = append(choices, say.Key("practice.now_"+key+"_"+string(c)))
	}
	return Scene{Key: key, Choices: choices, Right: right}
}

// scenes are those of the dog (the signs and what they ask for are trade; that a dog which goes quite still is stopped
// for, and not eased, is common practice, no source).
func scenes() []Scene {
	all := []Scene{
		{Key: "yawn_loose", Shows: Dog{"loose", "yawn", "soft", "loose"}, Choices: withTheDog, Right: 0},
		{Key: "yawn_stiff", Shows: Dog{"low", "yawn", "whites", "stiff"}, Choices: withTheDog, Right: 1},
		{Key: "lick", Shows: Dog{"low", "lick", "soft", "away"}, Choices: withTheDog, Right: 1},
		{Key: "whites", Shows: Dog{"low", "closed", "whites", "away"}, Choices: withTheDog, Right: 1},
		{Key: "still", Shows: Dog{"stiff", "closed", "hard", "frozen"}, Choices: withTheDog, Right: 2},
		{Key: "pulls", Shows: Dog{"low", "closed", "soft", "pulling"}, Choices: withTheDog, Right: 1},
		{Key: "growl", Shows: Dog{"stiff", "teeth", "hard", "stiff"}, Choices: withTheDog, Right: 2},
		{Key: "snaps", Shows: Dog{"stiff", "teeth", "whites", "pulling"}, Choices: withTheDog, Right: 2},
		{Key: "leans", Shows: Dog{"loose", "closed", "soft", "leaning"}, Choices: withTheDog, Right: 0},
		{Key: "sleeps", Shows: Dog{"loose", "closed", "shut", "lying"}, Choices: withTheDog, Right: 0},
		{Key: "cries", Shows: Dog{"low", "yawn", "whites", "pulling"}, Choices: withTheDog, Right: 2},
		{Key: "pants", Shows: Dog{"low", "pant", "whites", "stiff"}, Choices: withTheDog, Right: 1},
	}
	for _, key := range []string{"five_minutes", "skin", "limps", "flat_hand", "blade"} {
		all = append(all, whatNowAbout(key, whatNow[key]))
	}
	return all
}

// Sees is what is seen, and Why the reason for what is right.
func (s Scene) Sees() say.Line { return say.Line{Key: say.Key("practice.scene_" + s.Key)} }
func (s Scene) Why() say.Line {
	if !s.Reason.Nothing() {
		return s.Reason
	}
	return say.Line{Key: say.Key("practice.why_" + s.Key)}
}

// Scenes are a drill's as they come: those of the dog in an order by chance, those of blood in that of the minutes,
// with the choices of each in an order by chance. The same seed is the same drill.
func (r Room) Scenes(d Drill, seed int) []Scene {
	all := r.Moments(d, seed)
	chance := r.Chance(uint64(seed), scenesStream) //nolint:gosec // never negative
	switch d {
	case OfTheDog:
		shuffle(chance, len(all), func(i, k int) { all[i], all[k] = all[k], all[i] })
		return all
	case OfGroove, OfFeet: // their choices stand in the order of the picture
		return all
	case OfBlood:
	}
	for n := range all {
		s := &all[n]
		right := s.Choices[s.Right]
		shuffle(chance, len(s.Choices), func(i, k int) { s.Choices[i], s.Choices[k] = s.Choices[k], s.Choices[i] })
		s.Right = slices.Index(s.Choices, right)
	}
	return all
}

// shuffle puts n things into an order by chance (Fisher and Yates).
func shuffle(chance virtual.Random, n int, swap func(i, k int)) {
	for i := n - 1; i > 0; i-- {
		swap(i, int(chance.Float64()*float64(i+1)))
	}
}

// Answer marks what was chosen of a drill's scenes, in their order, as far as it went: how many were right. Against the
// clock an answer may be TooLate.
func (r Room) Answer(d Drill, seed int, chosen []int) (scenes []Scene, right int, err error) {
	var f fault.Fields
	if !slices.Contains(Drills(), d) {
		f.Add("drill", string(d), fault.AnyOf(Drills()))
	}
	f.Range("seed", float64(seed), 1, MostSeed, fault.None)
	if f.Err() != nil {
		return nil, 0, f
	}
	scenes = r.Scenes(d, seed)
	if len(chosen) > len(scenes) {
		f.Add("chosen", say.Of(answers2, say.Args{"chosen": say.Count(len(chosen))}), fault.AtMost(len(scenes)))
		return nil, 0, f
	}
	least := 0
	if d.Clocked() {
		least = TooLate
	}
	for i, c := range chosen {
		f.Range(fmt.Sprintf("chosen[%d]", i), float64(c), float64(least), float64(len(scenes[i].Choices)-1), fault.None)
		if c == scenes[i].Right {
			right++
		}
	}
	return scenes, right, f.Err()
}
