package sitting

import (
	"slices"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// Thing is one thing to lay out or to do before the first nail.
type Thing struct {
	Key     string // remembered with the sitting when it was ticked
	Words   say.Line
	Why     say.Line
	Trouble say.Line // of the piece in the kit: empty, blunt, to be charged; empty when there is none
	Missed  bool     // it was not ticked at the last sitting
}

// Checklist is what this dog and today's tools want before the first nail.
func (q Question) Checklist(p Plan) []Thing {
	var today Day
	if len(p.Days) > 0 {
		today = p.Days[0]
	}
	var list []Thing
	add := func(key string, words, why say.Line) { list = append(list, Thing{Key: key, Words: words, Why: why}) }
	kinds := map[kit.Kind]say.Line{}
	uses := func(w kit.Work) bool {
		return slices.ContainsFunc(today.Stops, func(s PlannedNail) bool { return s.Tool.Tool.Work() == w })
	}
	dark := slices.ContainsFunc(today.Stops, func(s PlannedNail) bool { return s.Colour != nail.Light })
	longCoat := q.Dog.FootCoat == dog.LongCoat || q.Hair
	h := q.Dog.Handling

	list = append(list, q.styptic())
	if restless(p.Tolerance) {
		add("walk", say.Of(aWalkFirst), say.Of(oftenAQuarterOfAn))
	}
	if h.Muzzle {
		kinds[kit.Muzzle] = say.Of(keepsEverybodySafeOnBefore)
	}
	if h.Helper != dog.Alone {
		add("helper", say.Of(aHelper), say.Of(onePairOfHandsFor))
	}
	kinds[kit.Treats] = say.Of(betterOnesThanOnOther)
	kinds[kit.Mat] = say.Of(aDogThatSlipsPulls)
	if dark || uses(kit.Clipping) {
		kinds[kit.Light] = say.Of(everyCutEndIsLooked)
	}
	if longCoat {
		add("pads", say.Of(hairBetweenThePadsCleared), say.Of(dirtDampAndSlippingIt))
		kinds[kit.Mesh] = say.Of(overThePawSoThat)
		add(Wetted, say.Of(hairWettedDown), say.Of(insteadOfAMeshThe))
	}
	if uses(kit.Clipping) || uses(kit.Grinding) {
		kinds[kit.Glasses] = say.Of(clippingsAndDustFly)
	}
	if uses(kit.Grinding) {
		kinds[kit.Mask] = say.Of(grindingMakesDust)
		kinds[kit.HairTie] = say.Of(yourOwnLongHairAnd)
	}
	for _, k := range kit.Kinds() {
		if why, wanted := kinds[k]; wanted {
			list = append(list, q.piece(k, why))
		}
	}
	if uses(kit.Clipping) {
		add("edges", say.Of(aFileOrAGrinder), say.Of(nothingJaggedStays))
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
func ReadDry(ticks []string) say.Line {
	if !slices.Contains(ticks, Wetted) {
		return say.Line{}
	}
	return say.Of(theHairWasWettedDry)
}

// SeeTo lists the pieces of the kit that are not fit for work, whatever today wants.
func (q Question) SeeTo() []kit.Piece {
	return slices.DeleteFunc(slices.Clone(q.Kit), func(p kit.Piece) bool { return p.State.Usable() })
}

// piece is a kind that is wanted, as it stands in the kit.
func (q Question) piece(k kit.Kind, why say.Line) Thing {
	thing := Thing{Key: string(k), Words: k.Say(), Why: why}
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
	thing := Thing{Key: "styptic", Words: say.Of(stypticPowderOpen), Why: say.Of(orCornstarchPlainFlourBaking)}
	for _, k := range kit.StopsBlood() {
		for _, p := range q.Kit {
			if p.Item.Kind != k {
				continue
			}
			if p.State.Usable() {
				thing.Words = say.Of(openThing, say.Args{"thing": k.Say()})
				return thing
			}
			if thing.Trouble.Nothing() {
				thing.Trouble = say.Of(troubleOf, say.Args{"thing": k.Say(), "trouble": p.State.Words})
			}
		}
	}
	return thing
}

// Remedy is what stops the blood: what was laid out, as far as that was said, or else what is nearest.
func (q Question) Remedy(ticks []string) say.Line {
	if !slices.Contains(ticks, "styptic") {
		return say.Of(stypticOnTheEndOr)
	}
	for _, k := range kit.StopsBlood() {
		if slices.ContainsFunc(q.Kit, func(p kit.Piece) bool { return p.Item.Kind == k && p.State.Usable() }) {
			return k.Remedy()
		}
	}
	return kit.Styptic.Remedy()
}

// Reward is when the dog is rewarded: the less sure it is, the oftener (trade: at first after every nail).
func (q Question) Reward(p Plan) say.Line {
	if len(q.Past.Outings) == 0 || q.first() != temper.Plain || restless(p.Tolerance) {
		return say.Of(aTreatAfterEveryNail)
	}
	return say.Of(aTreatAfterEveryPaw)
}

// restless tells whether the dog is strained enough for a walk to help.
func restless(t temper.Tolerance) bool {
	return slices.ContainsFunc(t.Paws[:], func(p temper.Paw) bool { return p.Strain >= walkStrain })
}
