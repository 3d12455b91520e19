package practice

import (
	"fmt"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Scene is a moment at the table: what is seen, what can be done, and what is right, with the reason.
type Scene struct {
	Key     string // practice.scene_KEY is what is seen, practice.why_KEY the reason
	Shows   Dog    // the dog in it, where it is about one
	Choices []say.Key
	Right   int // of the choices
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

// Scenes are all of them (the signs and what they ask for are trade; that a dog which goes quite still is stopped for, and
// not eased, is common practice, no source).
func Scenes() []Scene {
	all := []Scene{
		{"yawn_loose", Dog{"loose", "yawn", "soft", "loose"}, withTheDog, 0},
		{"yawn_stiff", Dog{"low", "yawn", "whites", "stiff"}, withTheDog, 1},
		{"lick", Dog{"low", "lick", "soft", "away"}, withTheDog, 1},
		{"whites", Dog{"low", "closed", "whites", "away"}, withTheDog, 1},
		{"still", Dog{"stiff", "closed", "hard", "frozen"}, withTheDog, 2},
		{"pulls", Dog{"low", "closed", "soft", "pulling"}, withTheDog, 1},
		{"growl", Dog{"stiff", "teeth", "hard", "stiff"}, withTheDog, 2},
		{"snaps", Dog{"stiff", "teeth", "whites", "pulling"}, withTheDog, 2},
		{"leans", Dog{"loose", "closed", "soft", "leaning"}, withTheDog, 0},
		{"sleeps", Dog{"loose", "closed", "shut", "lying"}, withTheDog, 0},
		{"cries", Dog{"low", "yawn", "whites", "pulling"}, withTheDog, 2},
		{"pants", Dog{"low", "pant", "whites", "stiff"}, withTheDog, 1},
	}
	for _, key := range []string{"five_minutes", "skin", "limps", "flat_hand", "blade"} {
		var choices []say.Key
		for _, c := range "abc" {
			choices = append(choices, say.Key("practice.now_"+key+"_"+string(c)))
		}
		all = append(all, Scene{key, Dog{}, choices, whatNow[key]})
	}
	return all
}

// Sees is what is seen, and Why the reason for what is right.
func (s Scene) Sees() say.Line { return say.Line{Key: say.Key("practice.scene_" + s.Key)} }
func (s Scene) Why() say.Line  { return say.Line{Key: say.Key("practice.why_" + s.Key)} }

// SceneOrder is in which order the scenes of a drill come; the same seed, the same order.
func (r Room) SceneOrder(seed int) []Scene {
	all := Scenes()
	chance := r.Chance(uint64(seed), scenesStream) //nolint:gosec // never negative
	for i := len(all) - 1; i > 0; i-- {            // Fisher and Yates
		k := int(chance.Float64() * float64(i+1))
		all[i], all[k] = all[k], all[i]
	}
	return all
}

const scenesStream = 1 << 41

// Answer marks what was chosen of a drill's scenes, in their order, as far as it went: how many were right.
func (r Room) Answer(seed int, chosen []int) (scenes []Scene, right int, err error) {
	var f fault.Fields
	f.Range("seed", float64(seed), 1, MostSeed, fault.None)
	if f.Err() != nil {
		return nil, 0, f
	}
	scenes = r.SceneOrder(seed)
	if len(chosen) > len(scenes) {
		f.Add("chosen", say.Of(answers2, say.Args{"chosen": say.Count(len(chosen))}), fault.AtMost(len(scenes)))
		return nil, 0, f
	}
	for i, c := range chosen {
		f.Range(fmt.Sprintf("chosen[%d]", i), float64(c), 0, float64(len(scenes[i].Choices)-1), fault.None)
		if c == scenes[i].Right {
			right++
		}
	}
	return scenes, right, f.Err()
}
