package sitting

import (
	"slices"
	"strings"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// Thing is one thing to lay out or to do before the first nail.
type Thing struct {
	Key     string // remembered with the sitting when it was ticked
	Words   string
	Why     string
	Trouble string // of the piece in the kit: empty, blunt, to be charged; empty when there is none
	Missed  bool   // it was not ticked at the last sitting
}

// Checklist is what this dog and today's tools want before the first nail.
func (q Question) Checklist(p Plan) []Thing {
	var today Day
	if len(p.Days) > 0 {
		today = p.Days[0]
	}
	var list []Thing
	add := func(key, words, why string) { list = append(list, Thing{Key: key, Words: words, Why: why}) }
	kinds := map[kit.Kind]string{}
	uses := func(w kit.Work) bool {
		return slices.ContainsFunc(today.Stops, func(s Stop) bool { return s.Tool.Tool.Work() == w })
	}
	dark := slices.ContainsFunc(today.Stops, func(s Stop) bool { return s.Colour != nail.Light })
	longCoat := q.Dog.FootCoat == dog.LongCoat || q.Hair
	h := q.Dog.Handling

	list = append(list, q.styptic())
	if restless(p.Tolerance) {
		add("walk", "a walk first", "often a quarter of an hour: a dog that has moved stands more quietly")
	}
	if h.Muzzle {
		kinds[kit.Muzzle] = "keeps everybody safe: on before the table, and treats through it"
	}
	if h.Helper != dog.Alone {
		add("helper", "a helper", "one pair of hands for the dog, one for the nails")
	}
	kinds[kit.Treats] = "better ones than on other days"
	kinds[kit.Mat] = "a dog that slips, pulls"
	if dark || uses(kit.Clipping) {
		kinds[kit.Light] = "every cut end is looked at"
	}
	if longCoat {
		add("pads", "hair between the pads cleared", "dirt, damp and slipping; it winds into a grinder, and it blunts clippers")
		kinds[kit.Mesh] = "over the paw, so that the nails poke through; or wet the hair down"
		add(Wetted, "hair wetted down", "instead of a mesh; the hair alone: wet horn hides the cut end")
	}
	if uses(kit.Clipping) || uses(kit.Grinding) {
		kinds[kit.Glasses] = "clippings and dust fly"
	}
	if uses(kit.Grinding) {
		kinds[kit.Mask] = "grinding makes dust"
		kinds[kit.HairTie] = "your own long hair, and the dog's beard, leg and belly hair, away from what spins"
	}
	for _, k := range kit.Kinds() {
		if why, wanted := kinds[k]; wanted {
			list = append(list, q.piece(k, why))
		}
	}
	if uses(kit.Clipping) {
		add("edges", "a file or a grinder for the edges", "nothing jagged stays")
	}
	if len(q.Past.Ticks) > 0 {
		for i := range list {
			list[i].Missed = !slices.Contains(q.Past.Ticks, list[i].Key)
		}
	}
	return list
}

// Wetted is the key of the tick that says that the hair was wetted down.
const Wetted = "wetted"

// ReadDry is what to mind of the face once the hair was wetted; empty where it was not.
func ReadDry(ticks []string) string {
	if !slices.Contains(ticks, Wetted) {
		return ""
	}
	return "The hair was wetted: dry the end before you read it. Wet horn shows no white and no flakes."
}

// SeeTo lists the pieces of the kit that are not fit for work, whatever today wants.
func (q Question) SeeTo() []kit.Piece {
	return slices.DeleteFunc(slices.Clone(q.Kit), func(p kit.Piece) bool { return p.State.Usable() })
}

// piece is a kind that is wanted, as it stands in the kit.
func (q Question) piece(k kit.Kind, why string) Thing {
	thing := Thing{Key: string(k), Words: strings.ReplaceAll(string(k), "_", " "), Why: why}
	for _, p := range q.Kit {
		if p.Item.Kind == k {
			thing.Trouble = p.State.Words
			if p.State.Usable() {
				return thing
			}
		}
	}
	return thing
}

// styptic is the best of what stops bleeding that the kit holds and that is fit for use. It
// stands first whatever the dog: no nail is cut without it.
func (q Question) styptic() Thing {
	thing := Thing{Key: "styptic", Words: "styptic powder, open", Why: "or cornstarch, plain flour, baking soda"}
	for _, k := range kit.StopsBlood() {
		for _, p := range q.Kit {
			if p.Item.Kind != k {
				continue
			}
			name := strings.ReplaceAll(string(k), "_", " ")
			if p.State.Usable() {
				thing.Words = name + ", open"
				return thing
			}
			if thing.Trouble == "" {
				thing.Trouble = name + ": " + p.State.Words
			}
		}
	}
	return thing
}

// Remedy is what stops the blood: what was laid out, as far as that was said, or else what is nearest.
func (q Question) Remedy(ticks []string) string {
	if !slices.Contains(ticks, "styptic") {
		return "Styptic on the end; or cornstarch, plain flour, baking soda: what is nearest. Press firmly."
	}
	for _, k := range kit.StopsBlood() {
		if slices.ContainsFunc(q.Kit, func(p kit.Piece) bool { return p.Item.Kind == k && p.State.Usable() }) {
			return k.Remedy()
		}
	}
	return kit.Styptic.Remedy()
}

// Reward is when the dog is rewarded: the less sure it is, the oftener (trade: at first after every nail).
func (q Question) Reward(p Plan) string {
	if len(q.Past.Outings) == 0 || q.first() != temper.Plain || restless(p.Tolerance) {
		return "A treat after every nail."
	}
	return "A treat after every paw."
}

// restless tells whether the dog is strained enough for a walk to help.
func restless(t temper.Tolerance) bool {
	return slices.ContainsFunc(t.Paws[:], func(p temper.Paw) bool { return p.Strain >= walkStrain })
}
