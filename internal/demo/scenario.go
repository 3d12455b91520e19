package demo

import (
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
)

// scenario is one invented dog of a groomer who works from a narrowboat on a canal.
type scenario struct {
	name                string
	years               float64
	kg                  float64
	coat                dog.Coat
	pavement            float64 // km a week
	rhythm              rhythm.Rhythm
	agreed              bool          // its owner agreed to the rhythm: its dates are by the calendar
	every               int           // days between sittings, about
	before, beforeEvery int           // how many of the first sittings were at another interval, and that
	plan                rhythm.Rhythm // to bring long quicks back, begun after those
	overgrown           float64       // times as long as usual its nails were at first; 0 is as usual
	walkedKm            float64       // what it walked on pavement before, km a week
	walkedAgo           int           // until so many days ago
	lastAgo             int           // days from the last sitting to today
	sittings            int

	colour   nail.Colour
	shape    nail.Shape
	extra    []string // dewclaws that most dogs do not have
	light    []string // nails lighter than the rest
	torn     []string
	untouch  string   // the start of the codes of nails that it does not let anyone touch
	skipLast []string // nails left out at the last sittings
	skipFor  int      // how many of the last sittings

	enough     int  // nails after which it has had enough; 0 is never
	blunt      bool // the blade took force at the last sitting
	muzzle     bool
	sore       bool
	helper     dog.Helping
	position   dog.Position
	order      dog.Order
	noise      kit.Noise
	training   *training
	calmHelped bool // a helper was there every other time, and then it was calm
	rounded    bool // clipped, then ground round

	temper   temper.Reaction
	tool     kit.Tool
	caliper  bool // lengths are measured
	feelers  bool // floor gaps are measured
	tally    bool // nobody tells how a nail ended
	arrives  bool // before the first cut somebody looks which nails touch, and measures one
	lastNote string
	litter   uint8 // another dog of this kind, where the first one drawn was not one to show
}

// scenarios covers sizes, ages, colours and tempers; every name is invented.
var scenarios = []scenario{
	{
		name: "Gantry", years: 5, kg: 68, coat: dog.LongCoat, pavement: 6, rhythm: rhythm.FourWeeks, every: 27,
		lastAgo: 4, sittings: 13, colour: nail.Dark, shape: nail.Usual, extra: []string{"LH1", "LH1b", "RH1", "RH1b"},
		temper: temper.Calm, tool: kit.LargePlier, feelers: true,
		lastNote: "Double hind dewclaws: all four done, inner ones first.",
	},
	{
		name: "Thimble", litter: 4, years: 0.3, kg: 1.6, coat: dog.ShortCoat, pavement: 1, rhythm: rhythm.Weekly,
		every: 4, lastAgo: 9, sittings: 6, enough: 2, position: dog.OnLap,
		training: &training{
			kind: ladder.Clipper,
			days: []string{"ccc", "ucc", "cccc", "cp", "ccc", "ccuc", "ccc"},
			ago:  1,
			notes: map[string]string{
				"3p1": "Pulled away when the neighbour’s engine started.",
				"6c2": "Half asleep on the lap.",
			},
		},
		colour: nail.Light, shape: nail.Usual, temper: temper.Uneasy, tool: kit.SmallScissor,
		lastNote: "A few nails a day, praise after each.",
	},
	{
		name: "Sedge", litter: 12, years: 11.5, kg: 29, coat: dog.ShortCoat, pavement: 3, rhythm: rhythm.FourWeeks,
		every: 3, lastAgo: 1, sittings: 31, before: 4, beforeEvery: 38, plan: rhythm.TwiceAWeek, overgrown: 1.1,
		colour: nail.Dark, shape: nail.Usual, sore: true, noise: kit.NoiseFine, temper: temper.Calm,
		tool: kit.GrinderDiamond, caliper: true, feelers: true,
		lastNote: "Stands for it, a shoulder against the table’s rail. Bringing long quicks back.",
	},
	{
		name: "Marl", litter: 7, years: 3, kg: 24, coat: dog.ShortCoat, pavement: 4, rhythm: rhythm.FourWeeks,
		every: 26, lastAgo: 3, sittings: 13, colour: nail.Dark, shape: nail.Hooked, torn: []string{"RF3"},
		temper: temper.Pulling, tool: kit.LargePlier,
		lastNote: "Digs. Came with RF3 torn open: left alone, keeper sent to a veterinarian.",
	},
	{
		name: "Bosun", years: 6, kg: 31, coat: dog.ShortCoat, pavement: 14, rhythm: rhythm.FourWeeks, every: 29,
		lastAgo: 8, sittings: 12, enough: 13, muzzle: true, helper: dog.Needed, colour: nail.Dark, shape: nail.Usual,
		temper: temper.Snapping, tool: kit.LargePlier,
		lastNote: "Muzzle on before the table, helper feeds. Hind first.",
	},
	{
		name: "Puddle", years: 4, kg: 18, coat: dog.LongCoat, pavement: 8, rhythm: rhythm.FourWeeks, every: 24,
		lastAgo: 2, sittings: 14, colour: nail.Dark, shape: nail.Usual, untouch: "LH", order: dog.HardestLast,
		training: &training{kind: ladder.Clipper, paw: "LH", days: []string{"uu", "ccc", "", "pc", "ccc", "u"}, ago: 3,
			notes: map[string]string{"3p0": "Whipped the leg away at the first touch below the knee."}},
		temper: temper.Fighting, tool: kit.LargePlier,
		lastNote: "Left hind is out of the question. The other three are easy.",
	},
	{
		name: "Oatcake", years: 2, kg: 12, coat: dog.ShortCoat, pavement: 7, rhythm: rhythm.Fortnightly, every: 14,
		lastAgo: 2, sittings: 25, colour: nail.Dark, shape: nail.Usual,
		light: []string{"LF4", "LF3", "RH3", "RH4", "RF2"}, temper: temper.Calm, tool: kit.SmallPlier, caliper: true,
		feelers: true, lastNote: "Light nails first: they show how far the dark ones go.",
	},
	{
		name: "Teasel", litter: 1, years: 7, kg: 9.5, coat: dog.LongCoat, pavement: 4, rhythm: rhythm.FourWeeks,
		every: 28, lastAgo: 13, sittings: 12, colour: nail.Mixed, shape: nail.Usual, tally: true,
		skipLast: []string{"LF1"}, skipFor: 2, noise: kit.NoiseAfraid,
		training: &training{kind: ladder.Grinder, days: []string{"ccc", "cccc", "uc"}, ago: 0}, temper: temper.Uneasy,
		tool: kit.SmallPlier, lastNote: "Left dewclaw hidden in the coat: missed twice.",
	},
	{
		name: "Kipper", years: 3.5, kg: 15.5, coat: dog.ShortCoat, pavement: 12, rhythm: rhythm.Weekly, every: 7,
		lastAgo: 5, sittings: 50, colour: nail.Dark, shape: nail.Usual, noise: kit.NoiseFine, position: dog.OnSide,
		temper: temper.Calm, tool: kit.GrinderBand, feelers: true,
		lastNote: "Grinder only, no clipping. Sleeps through it.",
	},
	{
		name: "Windlass", litter: 10, years: 8, kg: 37, coat: dog.LongCoat, pavement: 2, rhythm: rhythm.FourWeeks,
		every: 43, lastAgo: 36, sittings: 9, colour: nail.Dark, shape: nail.Hooked, blunt: true, helper: dog.Wanted,
		feelers: true, temper: temper.Pulling, tool: kit.Guillotine,
		lastNote: "Comes every six weeks; quicks have grown out with it.",
	},
	{name: "Bobbin", years: 1.5, kg: 6, coat: dog.ShortCoat, pavement: 5, rhythm: rhythm.FourWeeks,
		colour: nail.Unknown, shape: nail.Usual, temper: temper.Calm, tool: kit.SmallPlier},
	{
		name: "Плюшка", litter: 4, years: 9, kg: 7.4, coat: dog.LongCoat, pavement: 3, rhythm: rhythm.FourWeeks,
		every: 22, lastAgo: 1, sittings: 15, colour: nail.Light, shape: nail.Usual, temper: temper.Calm,
		tool: kit.SmallPlier, feelers: true, lastNote: "Quick shows pink in every nail.",
	},
	{
		name: "Fig", litter: 3, years: 5, kg: 21, coat: dog.ShortCoat, pavement: 22, walkedKm: 6, walkedAgo: 170,
		rhythm: rhythm.FourWeeks, every: 28, lastAgo: 1, sittings: 12, colour: nail.Dark, shape: nail.Usual,
		temper: temper.Calm, tool: kit.LargePlier,
		lastNote: "Tow path every day: hind outer nails wear themselves down.",
	},
	{
		name: "Tiller", years: 4, kg: 27, coat: dog.ShortCoat, pavement: 9, rhythm: rhythm.Fortnightly, every: 14,
		lastAgo: 3, sittings: 26, colour: nail.Dark, shape: nail.Usual, feelers: true, temper: temper.Calm,
		tool: kit.LargePlier, lastNote: "Stands like a statue.",
	},
	{
		name: "Rudder", years: 4, kg: 26, coat: dog.ShortCoat, pavement: 9, rhythm: rhythm.Fortnightly, every: 14,
		lastAgo: 9, sittings: 26, colour: nail.Dark, shape: nail.Usual, feelers: true, calmHelped: true,
		temper: temper.Uneasy, tool: kit.LargePlier,
		lastNote: "Tiller’s brother: bring both, he is calmer beside him.",
	},
	{
		name: "Nettle", litter: 5, years: 6, kg: 5.2, coat: dog.LongCoat, pavement: 2, rhythm: rhythm.ThreeWeeks,
		agreed: true, every: 21, lastAgo: 2, sittings: 17, colour: nail.Light, shape: nail.Usual,
		temper: temper.Pulling, tool: kit.SmallScissor, position: dog.OnLap,
		lastNote: "On the lap, wrapped, one paw out at a time.",
	},
	{
		name: "Sorrel", years: 10.5, kg: 34, coat: dog.LongCoat, pavement: 5, rhythm: rhythm.FourWeeks, agreed: true,
		every: 28, lastAgo: 16, sittings: 13, helper: dog.Wanted, colour: nail.Dark, shape: nail.Usual,
		temper: temper.Calm, tool: kit.LargePlier, lastNote: "Stiff behind: a rest after every paw.",
	},
	{
		name: "Lantern", years: 2.5, kg: 22, coat: dog.ShortCoat, pavement: 16, rhythm: rhythm.ThreeWeeks, every: 20,
		lastAgo: 7, sittings: 18, colour: nail.Mixed, shape: nail.Usual, temper: temper.Calm, tool: kit.SmallPlier,
		lastNote: "Every paw has a light nail or two.",
	},
	{
		name: "Clove", litter: 3, years: 7, kg: 14, coat: dog.LongCoat, pavement: 3, rhythm: rhythm.FourWeeks,
		every: 27, lastAgo: 8, sittings: 13, colour: nail.Dark, shape: nail.Hooked, temper: temper.Uneasy,
		tool: kit.SmallPlier, noise: kit.NoiseFine, rounded: true, lastNote: "Rounds off well with the grinder.",
	},
	{
		name: "Barge", years: 3, kg: 52, coat: dog.ShortCoat, pavement: 11, rhythm: rhythm.FourWeeks, every: 26,
		lastAgo: 11, sittings: 14, colour: nail.Dark, shape: nail.Usual, feelers: true, muzzle: true,
		helper: dog.Needed, temper: temper.Calm, tool: kit.LargePlier,
		lastNote: "Two people to lift the foot; takes the muzzle for a treat.",
	},
	{
		name: "Quill", litter: 2, years: 1.2, kg: 17, coat: dog.ShortCoat, pavement: 8, rhythm: rhythm.Fortnightly,
		every: 15, lastAgo: 5, sittings: 16, colour: nail.Dark, shape: nail.Usual, caliper: true, temper: temper.Calm,
		tool: kit.SmallPlier, lastNote: "Young, quick nails: measured every time.",
	},
	{
		name: "Hatch", years: 8.5, kg: 11, coat: dog.LongCoat, pavement: 4, rhythm: rhythm.FourWeeks, every: 28,
		lastAgo: 4, sittings: 12, colour: nail.Dark, shape: nail.Usual, tally: true, temper: temper.Calm,
		tool: kit.SmallPlier, lastNote: "Told in a line, as always on market days.",
	},
	{
		name: "Pennant", years: 5, kg: 19, coat: dog.ShortCoat, pavement: 6, rhythm: rhythm.ThreeWeeks, agreed: true,
		every: 21, lastAgo: 6, sittings: 17, colour: nail.Light, shape: nail.Usual, temper: temper.Calm,
		tool: kit.SmallPlier, feelers: true, lastNote: "Pink to the eye in every nail but one.",
	},
	{
		name: "Winch", litter: 1, years: 9, kg: 41, coat: dog.ShortCoat, pavement: 4, rhythm: rhythm.FourWeeks,
		agreed: true, every: 28, lastAgo: 12, sittings: 13, sore: true, colour: nail.Dark, shape: nail.Straight,
		arrives: true, temper: temper.Uneasy, tool: kit.LargePlier, position: dog.OnSide,
		lastNote: "On its side on the mat, hips are bad.",
	},
}
