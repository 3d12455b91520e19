// Package ladder is how a dog is got used to having its nails done, one small step at a time:
// the steps, when to go up, stay or go down, and about when the dog will be ready.
package ladder

// Kind is what the dog is got used to.
type Kind string

const (
	Clipper Kind = "clipper"
	Grinder Kind = "grinder"
	Muzzle  Kind = "muzzle" // before it is needed: trained, never forced
	Board   Kind = "board"  // the scratch board: it keeps fore nails, and closes no paw
)

// Rounds is a sound that comes and goes: on, a treat, off, a rest.
type Rounds struct {
	On, Rest int // seconds
	Count    int
}

// Step is one rung.
type Step struct {
	Words   string
	How     string
	Seconds int // how long one try lasts
	Tries   int // most tries a day
	Reward  string
	Sound   *Rounds // of a step that is about a sound
	Nail    bool    // a real nail is touched with the running tool, or cut
	ByPaw   bool    // it is passed paw by paw
}

const (
	everyTry  = "The word, then a treat, after every try."
	everyNail = "The word, then a treat, after every nail."
)

// Steps are the rungs of a ladder, lowest first (trade, common practice with no source; how
// long and how often are judgement).
func Steps(k Kind) []Step {
	switch k {
	case Grinder:
		return grinder
	case Board:
		return board
	case Muzzle:
		return muzzle
	default:
		return clipper
	}
}

// Within is a step of a ladder, whatever stands in the book.
func Within(k Kind, step int) int { return max(0, min(step, len(Steps(k))-1)) }

var clipper = []Step{
	{Words: "sees the clipper", How: "The clipper lies on the floor between you. A look at it: a treat.", Seconds: 10, Tries: 8, Reward: everyTry},
	{Words: "smells it", How: "Hold it out, closed and still. The nose comes to it, never it to the nose.", Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: "is stroked with it, closed", How: "Stroke shoulder and side with the closed clipper. No paw yet.", Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: "legs and feet handled", How: "Stroke down each leg to the foot, a few seconds, and off again.", Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: "a paw lifted", How: "Lift one paw a little, in the leg's own line, and put it down before the dog wants it back.", Seconds: 3, Tries: 12, Reward: everyTry, ByPaw: true},
	{Words: "a paw held longer", How: "Hold the lifted paw, the toe between finger and thumb.", Seconds: 10, Tries: 12, Reward: everyTry, ByPaw: true},
	{Words: "the toes parted", How: "Part the toes one by one, look at each nail.", Seconds: 10, Tries: 12, Reward: everyTry, ByPaw: true},
	{Words: "the closed clipper touches the paw", How: "The closed clipper lies against the paw, then goes away.", Seconds: 3, Tries: 12, Reward: everyTry, ByPaw: true},
	{Words: "pressure on a nail", How: "The open clipper round a nail, a little pressure, no cut.", Seconds: 3, Tries: 12, Reward: everyTry, ByPaw: true},
	{Words: "the sound", How: "Snap a thin dry twig with the clipper beside the paw: the sound without the cut.", Seconds: 2, Tries: 6, Reward: everyTry, Sound: &Rounds{2, 15, 5}},
	{Words: "one tip", How: "One thin slice off one nail, and that is all for today.", Seconds: 5, Tries: 3, Reward: "The best treat of the day, at once.", Nail: true},
	{Words: "two nails", How: "One thin slice off two nails.", Seconds: 15, Tries: 3, Reward: everyNail, Nail: true},
	{Words: "a paw", How: "All nails of one paw.", Seconds: 60, Tries: 3, Reward: everyNail, Nail: true},
}

var grinder = []Step{
	{Words: "beside the dog, off", How: "The grinder lies beside the dog, off. It may look and smell as long as it likes.", Seconds: 20, Tries: 6, Reward: everyTry},
	{Words: "running at a distance", How: "Somebody runs it across the room. Sound on: treat. Sound off: nothing.", Seconds: 5, Tries: 8, Reward: "A treat while it runs; none when it stops.", Sound: &Rounds{5, 20, 6}},
	{Words: "running nearer", How: "The same an arm's length away.", Seconds: 5, Tries: 8, Reward: "A treat while it runs; none when it stops.", Sound: &Rounds{5, 20, 6}},
	{Words: "a treat taken beside it", How: "It runs in your hand while the other hand gives the treat.", Seconds: 5, Tries: 8, Reward: "A treat beside the running tool.", Sound: &Rounds{5, 20, 6}},
	{Words: "the buzzing body against the paw", How: "The handle, not the bit, against the paw.", Seconds: 3, Tries: 12, Reward: everyTry, Sound: &Rounds{3, 20, 5}, ByPaw: true},
	{Words: "one touch on one nail", How: "One touch of a second at the tip. Hair away, mesh over a long coat.", Seconds: 1, Tries: 3, Reward: "The best treat of the day, at once.", Nail: true},
	{Words: "a nail", How: "A few touches on one nail, two seconds each, looking in between.", Seconds: 10, Tries: 3, Reward: everyNail, Nail: true},
	{Words: "a paw", How: "All nails of one paw.", Seconds: 90, Tries: 3, Reward: everyNail, Nail: true},
}

const throughIt = "Treats through the muzzle, for as long as its nose is in it."

var muzzle = []Step{
	{Words: "the muzzle is there", How: "It lies on the floor beside the bowl. The dog looks, or comes near: a treat.", Seconds: 20, Tries: 6, Reward: everyTry},
	{Words: "a treat from its rim", How: "Hold it like a cup, open side to the dog, a treat on the rim. The nose decides.", Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: "the nose goes in by itself", How: "The treat lies further in, or comes through the front. Never push it on.", Seconds: 5, Tries: 8, Reward: throughIt},
	{Words: "the nose stays in", How: "Feed through the front, a little longer each time. The nose may leave whenever it wants.", Seconds: 15, Tries: 6, Reward: throughIt},
	{Words: "the strap, closed and opened", How: "Close it loosely for a moment while you feed, and open it before the dog wants it off.", Seconds: 5, Tries: 6, Reward: throughIt},
	{Words: "worn for minutes", How: "A short walk or a game with it on, a minute more each time. It must be able to pant and to drink.", Seconds: 120, Tries: 2, Reward: "Treats through it, and off while it is still at ease."},
}

const everyScratch = "A treat at every scratch, while the paw is still on it."

var board = []Step{
	{Words: "a treat under a folded towel", How: "A treat under a folded towel: wait until the paw scrapes at it, then lift the towel.", Seconds: 10, Tries: 6, Reward: "The treat that lies under it."},
	{Words: "a treat under the board", How: "The same with the board, coarse side up (80 grit), leaning against your knee.", Seconds: 10, Tries: 6, Reward: "The treat that lies under it."},
	{Words: "one scratch", How: "No treat under it any more: one draw of a fore paw down the board.", Seconds: 5, Tries: 6, Reward: everyScratch},
	{Words: "a word for it", How: "Say the word just before it scratches, the same word every time.", Seconds: 5, Tries: 6, Reward: everyScratch},
	{Words: "a few strokes, both feet", How: "Three strokes with the one paw, three with the other. That is all for a day.", Seconds: 20, Tries: 2, Reward: everyScratch},
}
