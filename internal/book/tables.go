package book

import (
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/round"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
	"fribbet/internal/formats"
)

// exchanged is a table of the book as it goes out and comes back in.
type exchanged struct {
	formats.Table
	ofDog string // which rows are one dog's, with its id for ?; empty: none goes along with one dog
}

// order is in which its rows go out: in which they came in, where the table has kept that.
func (t exchanged) order() []string {
	if len(t.Key) > 1 || t.Derived || t.Name == "holidays" || t.Name == "owned" || t.Name == "not_now" { // these have their key alone
		return t.Key
	}
	return []string{"rowid"}
}

// one are the words that stand in columns of which only some can.
var one = func() map[string][]string {
	all := map[string][]string{
		"role": {Unset, Keeper, Groomer}, "length_unit": named(units.Millimetre, units.Inch), "weight_unit": named(units.Kilogram, units.Pound),
		"hand": named(kit.NewHand, kit.SomeHand, kit.PractisedHand), "end_point": named(quick.AtFirstSign, quick.Full),
		"way": named(kit.OnlyClip, kit.OnlyGrind, kit.ClipAndGrind), "dates": named(rhythm.BothDates()...), "noise": named(kit.NoiseUnknown, kit.NoiseFine, kit.NoiseAfraid),
		"foot_coat": named(dog.ShortCoat, dog.LongCoat), "position": named(dog.Positions()...), "helper": named(dog.Alone, dog.Wanted, dog.Needed),
		"paw_order": named(dog.HindFirst, dog.LowerFirst, dog.HardestFirst, dog.HardestLast, dog.OwnOrder),
		"takes":     named(dog.Fine, dog.Wriggles, dog.Frightened, dog.Bites), "reaction": named(temper.Reactions()...), "school": named(claw.Schools()...),
		"shape": named(nail.Straight, nail.Usual, nail.Hooked, nail.Curled), "colour": named(nail.Unknown, nail.Dark, nail.Light, nail.Mixed),
		"reach": named(round.ByText, round.ByMail, round.ByHand), "rhythm": named(rhythm.Rhythms()...), "off_by": named(round.TheOwner, round.Us),
		"stock": named(kit.Full, kit.Low, kit.Empty), "tip": named(kit.FlatTip, kit.RoundTip, kit.TaperedTip),
		"kit_items.kind": named(kit.Kinds()...), "ladders.kind": named(ladder.Clipper, ladder.Grinder, ladder.Muzzle, ladder.Board), "messages.kind": named(round.MessageKinds()...),
		"visits.state":   named(round.Offered, round.Agreed, round.Missed, round.CalledOff), // what is under way or done its sitting says
		"messages.state": named(round.MessageWaiting, round.MessageSent, round.MessageDelivered, round.MessageAnswered, round.MessageFailed, round.MessagePerson),
	}
	for _, column := range []string{"nails.state", "looks.state"} {
		all[column] = named(nail.States()...)
	}
	for _, column := range []string{"gap_by", "length_by"} {
		all[column] = named(measure.Caliper, measure.Feeler, measure.Eye, measure.Photo)
	}
	for _, p := range nail.Paws() {
		all["paw"] = append(all["paw"], p.String())
	}
	for _, c := range nail.All() {
		all["code"] = append(all["code"], c.String())
	}
	return all
}()

// named are values that are words.
func named[T ~string](all ...T) []string {
	words := make([]string, len(all))
	for i, one := range all {
		words[i] = string(one)
	}
	return words
}

// column reads "type" with ! where it is never missing and >table where it names a row of another.
func column(name, kind, about string) formats.Column {
	kind, of, _ := strings.Cut(kind, ">")
	plain, needed := strings.CutSuffix(kind, "!")
	return formats.Column{Name: name, Type: plain, About: about, Needed: needed, Of: of}
}

const (
	itsOwn     = `dog_id = ?`
	ofSitting  = `sitting_id IN (SELECT sitting_id FROM logs WHERE dog_id = ?)`
	someWhen   = "when it was written down, UTC"
	fromLogs   = " Worked out from the logs: read it, and change nothing."
	dogItself  = "the dog"
	itsSitting = "the trim"
)

// tables are what of the book is anybody's to take, in an order in which none belongs to a later one. Secrets (passphrase,
// devices, the keys of calendar and cards) are in none of them.
var tables = func() []exchanged {
	all := plainTables
	for _, t := range all {
		for i, c := range t.Columns {
			if t.Columns[i].One = one[t.Name+"."+c.Name]; t.Columns[i].One == nil && c.Type == "string" {
				t.Columns[i].One = one[c.Name]
			}
			if l, is := limits[c.Name]; is && !t.Derived {
				t.Columns[i].Least, t.Columns[i].Most = &l.least, &l.most
			}
		}
	}
	return all
}()

var plainTables = []exchanged{
	{formats.Table{Name: "settings", About: "The user's choices; one row.", Key: []string{"one"}, Columns: []formats.Column{
		column("one", "integer!", "always 1"), column("role", "string!", "keeper or groomer"), column("length_unit", "string!", "in which lengths are shown"),
		column("weight_unit", "string!", "in which weights are shown"), column("margin_mm", "number!", "safe to trim that is left before the quick, mm"),
		column("working_weekdays", "string", "on which dogs are done, separated by commas"), column("coin_mm", "number", "thickness of the user's own coin, mm"), column("largest_cut_mm", "number", "the largest cut of the hand, mm for a nail 7 mm deep"), column("way", "string", "clip, grind or clip_then_grind; empty is what suits"),
		column("hand", "string!", "how practised"), column("end_point", "string!", "where a cut stops"), column("left_handed", "boolean!", "holds the cutter in the left hand"), column("language", "string", "in which the book speaks to others"), column("version", "integer!", "how often it was changed"), column("eye_of", "string", "whose practice sets the care at the bench; none: nobody's"),
	}}, ""},
	{formats.Table{Name: "sticks", About: "Slices off a stick, as they were measured: how thick the hand's slices come out.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("on_date", "date!", "when"), column("meant_mm", "number!", "how thick they were meant to be, mm"), column("slices", "json!", "how thick each is and how far off that may be, pairs of mm, JSON"),
		column("told_at", "datetime!", someWhen), column("withdrawn_at", "datetime", "when that was deleted"),
	}}, ""},
	{formats.Table{Name: "practised", About: "Drawn nails that somebody practised on, and drills of naming cut ends.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("done_at", "datetime!", someWhen), column("who", "string", "who did it; empty: nobody said"), column("kind", "string!", "what is hard about the nail; ends: a drill"), column("seed", "integer!", "of the series"), column("number", "integer!", "of the nail in it"),
		column("end_point", "string!", "at which they stop"), column("moves", "json!", "looks, cuts and the end, JSON"), column("named", "json!", "what was said of a drill's ends, JSON"),
	}}, ""},
	{formats.Table{Name: "own_ends", About: "What somebody said that the slice after a pictured cut end showed.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("picture_id", "string!", "of which end"), column("said", "string!", "the face that was said"), column("who", "string", "who said it; empty: nobody told"), column("said_at", "datetime!", someWhen),
	}}, ""},
	{formats.Table{Name: "own_usual", About: "What is usual by the book's own record, where the user let it say so.", Key: []string{"kind", "class"}, Columns: []formats.Column{
		column("kind", "string!", "growth of dogs of one size, times that of most; or faces, how ends show"), column("class", "number!", "kg under which the dogs lie; 0: the heaviest, or all"), column("value", "json!", "a number, or five chances, JSON"), column("set_at", "datetime!", someWhen),
	}}, ""},
	{formats.Table{Name: "holidays", About: "Days off, on which nobody is done.", Key: []string{"from_date"}, Columns: []formats.Column{
		column("from_date", "date!", "the first day"), column("to_date", "date!", "the last day"),
	}}, ""},
	{formats.Table{Name: "dogs", About: "A dog, as its keeper told of it.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("version", "integer!", "how often its profile was changed"), column("name", "string!", "what it is called"),
		column("birth_date", "date!", "when it was born"), column("birth_estimated", "boolean!", "that is a guess"), column("foot_coat", "string!", "hair on its feet"),
		column("pavement_km_week", "number!", "how far it walks on hard ground, km a week"), column("rhythm", "string!", "how often it is done"), column("working_weekdays", "string", "its own weekdays, separated by commas; missing: the user's"),
		column("wished_gap_mm", "number!", "wished gap under its nails, mm"), column("school", "string!", "how its nails are cut"), column("paw_order", "string!", "in which order its paws are done"),
		column("own_order", "string", "its own order, where it has one"), column("position", "string!", "how it is held"), column("by_paw", "string", "paws that are held otherwise, such as LF:lap RH:ground"), column("helper", "string!", "whether somebody must hold it"), column("muzzle", "boolean!", "it wears one"),
		column("sore", "boolean!", "sore legs or back"), column("noise", "string!", "how it takes noise"), column("most_nails", "integer", "nails that it takes a day at most"), column("most_minutes", "number", "minutes that it takes at most"), column("largest_cut_mm", "number", "the largest cut with it, mm for a nail 7 mm deep"), column("way", "string", "clip, grind or clip_then_grind; empty is as settings have it"),
		column("short_quicks", "boolean!", "its quicks are known to be short"), column("dates", "string", "floor or calendar: what sets its dates; empty is as the role has it"), column("come_once", "date", "a day on which it was agreed to come once"), column("entered_on", "date", "when it came into the book"), column("last_done_weeks", "number", "how long ago it had been done then, weeks"),
		column("sore_told", "boolean!", "somebody said so, or that it is not"), column("takes", "string", "how it takes a trim, as it was told"), column("tips_meanwhile", "boolean", "a puppy's nails are tipped while its paws are on a ladder"),
	}}, `id = ?`},
	{formats.Table{Name: "weights", About: "What a dog weighed.", Key: []string{"dog_id", "on_date"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "when"), column("kg", "number!", "weight, kg"),
	}}, itsOwn},
	{formats.Table{Name: "nails", About: "The nails that a dog has.", Key: []string{"dog_id", "code"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("code", "string!", "paw and digit, such as LF3"), column("state", "string!", "sound, split, torn and so on"), column("colour", "string!", "of the horn"), column("shape", "string!", "its run seen from the side"),
	}}, itsOwn},
	{formats.Table{Name: "walked", About: "How far a dog walked on hard ground until a day on which that changed.", Key: []string{"dog_id", "until_date"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("until_date", "date!", "the last day"), column("km_week", "number!", "km a week"),
	}}, itsOwn},
	{formats.Table{Name: "kit_items", About: "The kit, piece by piece.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("version", "integer!", "how often it was changed"), column("kind", "string!", "what it is"), column("name", "string", "the user's own name for it"), column("guard", "boolean!", "it has a stop plate"),
		column("grit", "integer!", "of what grinds; 0: nobody said"), column("tip", "string", "form of a bit"), column("on_item_id", "string>kit_items", "the machine on which it runs"), column("most", "number", "cuts or minutes that it bears; missing: what is usual"),
		column("expires_on", "date", "of a supply"), column("stock", "string", "of a supply"), column("added_at", "datetime!", someWhen), column("removed_at", "datetime", "when it was taken out"),
	}}, `id IN (SELECT item_id FROM records WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?1)) OR id IN (SELECT on_item_id FROM kit_items WHERE id IN (SELECT item_id FROM records WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?1)))`},
	{formats.Table{Name: "kit_services", About: "When a piece was sharpened, changed, charged or refilled.", Key: []string{"item_id", "at"}, Columns: []formats.Column{
		column("item_id", "string!>kit_items", "the piece"), column("on_date", "date!", "when"), column("at", "datetime!", someWhen), column("withdrawn_at", "datetime", "when that was deleted"),
	}}, ""},
	{formats.Table{Name: "owners", About: "Whose dogs they are, and how they are reached.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "their own"), column("version", "integer!", "how often it was changed"), column("name", "string!", "their name"), column("name_key", "string!", "the same in small letters, by which they are found"), column("reach", "string!", "text, mail or hand"), column("address", "string", "a number, or a mail address"),
		column("may_offer", "boolean!", "they may be offered places"), column("may_remind", "boolean!", "they may be reminded"), column("stopped", "boolean!", "they said stop: nothing is sent"), column("suits", "json!", "hours that suit, JSON; null: any"),
		column("note", "string", "in the user's words"), column("made_at", "datetime!", someWhen), column("removed_at", "datetime", "when they were taken out"), column("language", "string", "in which they are spoken to; empty: as the book is"),
	}}, `id IN (SELECT owner_id FROM owned WHERE dog_id = ?)`},
	{formats.Table{Name: "owned", About: "Which dog is whose.", Key: []string{"dog_id"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("owner_id", "string!>owners", "its owner"),
	}}, itsOwn},
	{formats.Table{Name: "working_week", About: "When there is work, limits, and the words of messages; one row.", Key: []string{"one"}, Columns: []formats.Column{
		column("one", "integer!", "always 1"), column("version", "integer!", "how often it was changed"), column("body", "json!", "all of it, JSON"),
	}}, ""},
	{formats.Table{Name: "visits", About: "Visits, as they were agreed; what became of one that was begun, its trim says.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "when"), column("start", "integer!", "when that day, minutes since midnight"), column("minutes", "integer!", "that it holds"),
		column("state", "string!", "offered, agreed, missed or called off"), column("sequence", "integer!", "how often it was changed"), column("changed_at", "datetime!", "when it last was, UTC"), column("note", "string", "of the call"), column("off_by", "string", "who called it off: owner or us"),
	}}, itsOwn},
	{formats.Table{Name: "not_now", About: "Dogs that are not called for before a day.", Key: []string{"dog_id"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("until_date", "date!", "that day it is asked again"),
	}}, itsOwn},
	{formats.Table{Name: "waiting", About: "Who waits for a place on a day that is full.", Key: []string{"dog_id", "on_date"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "the day"), column("note", "string", "of the call"), column("told_at", "datetime!", someWhen),
	}}, itsOwn},
	{formats.Table{Name: "messages", About: "What owners were told.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("owner_id", "string!>owners", "who was told"), column("dog_id", "string!>dogs", "of which dog"), column("kind", "string!", "what about"), column("recipient", "string", "to which address"), column("text", "string!", "the words"),
		column("places", "json!", "that were offered or told, JSON"), column("state", "string!", "how far it came"), column("failures", "integer!", "how often it failed"), column("next_at", "datetime!", "it goes out no sooner, UTC"), column("made_on", "string", "the day on which it was written"), column("made_at", "datetime!", someWhen),
		column("changed_at", "datetime!", "when it last moved on, UTC"), column("answer", "string", "what was answered"), column("heard", "integer!", "the last report of it"), column("said", "string", "what came of it"),
	}}, ""},
	{formats.Table{Name: "checks", About: "Checks of the feet: the feet as a whole.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "when"), column("clicks", "boolean!", "on a hard floor"), column("hair", "boolean!", "between the pads"), column("swelling", "boolean!", "swelling, discharge or a bad smell"),
		column("limping", "boolean!", "it limps"), column("breaking", "boolean!", "several nails break or fall off"), column("recorded_at", "datetime!", someWhen),
	}}, itsOwn},
	{formats.Table{Name: "looks", About: "What of one nail was seen on a check of the feet; what nobody looked at is missing.", Key: []string{"check_id", "code"}, Columns: []formats.Column{
		column("check_id", "string!>checks", "the check of the feet"), column("code", "string!", "paw and digit"), column("gap_mm", "number", "gap to the floor, mm"), column("length_mm", "number", "along the ridge, mm"), column("past_pad", "boolean!", "it reaches past its pad"),
		column("present", "boolean", "whether the nail is there"), column("colour", "string", "of the horn"), column("shape", "string", "its run"), column("state", "string", "sound, split and so on"), column("gap_by", "string", "what the gap was read with"), column("gap_sd_mm", "number", "how far it may be off, one standard deviation, mm"),
		column("length_by", "string", "what the length was read with"), column("length_sd_mm", "number", "how far it may be off, one standard deviation, mm"),
	}}, `check_id IN (SELECT id FROM checks WHERE dog_id = ?)`},
	{formats.Table{Name: "ladders", About: "Training, tool by tool or paw by paw.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("kind", "string!", "to what"), column("paw", "string", "of which paw"), column("started_on", "date!", "since when"), column("begun_at", "datetime!", someWhen), column("ended_at", "datetime", "when it was ended"), column("first_step", "integer", "the step that it began with, from 0"),
	}}, itsOwn},
	{formats.Table{Name: "tries", About: "Tries on a ladder.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("ladder_id", "string!>ladders", "the ladder"), column("on_date", "date!", "when"), column("reaction", "string!", "how it took it"), column("paw", "string", "which paw"), column("note", "string", "in the user's words"), column("recorded_at", "datetime!", someWhen), column("withdrawn_at", "datetime", "when it was deleted"),
	}}, `ladder_id IN (SELECT id FROM ladders WHERE dog_id = ?)`},
	{formats.Table{Name: "plans", About: "Bringing long quicks back.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("started_on", "date!", "since when"), column("rhythm", "string!", "how often"), column("goal_mm", "number!", "wished gap, mm"), column("steps", "json!", "what was foreseen, JSON"), column("begun_at", "datetime!", someWhen), column("ended_at", "datetime", "when it was ended"),
	}}, itsOwn},
	{formats.Table{Name: "pictures", About: "Pictures of paws; the files stand under pictures/, named by their content.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("paw", "string!", "which paw"), column("on_date", "date!", "when"), column("hash", "string!", "SHA-256 of the file"), column("width", "integer!", "pixels"), column("height", "integer!", "pixels"), column("bytes", "integer!", "of the files"),
		column("corners", "json!", "of a card, as they were guessed, JSON"), column("added_at", "datetime!", someWhen),
		column("code", "string", "of a cut end: whose; empty: the picture is of a paw"), column("sitting_id", "string", "of a cut end: at which trim"), column("cuts", "integer!", "of a cut end: after how many cuts"), column("taken_by", "string", "who took it, by the device's name"),
	}}, itsOwn},
	{formats.Table{Name: "logs", About: "Trims, each with a log of all that happened: the events stand in logs.jsonl.", Key: []string{"sitting_id"}, Columns: []formats.Column{
		column("sitting_id", "string!", itsSitting), column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "when"), column("begun_at", "datetime!", someWhen), column("ended", "boolean!", "it has ended"), column("withdrawn_at", "datetime", "when it was deleted"),
	}}, itsOwn},
	{formats.Table{Name: "sittings", Derived: true, About: "Trims, as the lists read them." + fromLogs, Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"), column("dog_id", "string!>dogs", dogItself), column("on_date", "date!", "when"), column("note", "string", "in the user's words"), column("recorded_at", "datetime!", someWhen), column("withdrawn_at", "datetime", "when it was deleted"),
		column("minutes", "number", "how long it took"), column("calm_minutes", "number", "how long the dog was calm"), column("helper", "boolean!", "somebody held"), column("ticks", "string", "what was laid out, JSON"), column("smooth", "string", "paws round which a finger went"), column("touching", "string", "how many nails touched before the first cut: none, some or most; empty: nobody looked"), column("signs", "string", "what else was seen then"), column("held", "string", "how it was held; empty: nobody said"), column("hour", "integer", "of the day at which it began"),
	}}, itsOwn},
	{formats.Table{Name: "records", Derived: true, About: "What was done to one nail at a trim." + fromLogs, Key: []string{"sitting_id", "code"}, Columns: []formats.Column{
		column("sitting_id", "string!>sittings", itsSitting), column("code", "string!", "paw and digit"), column("number", "integer!", "its place in the order of the work"), column("tool", "string!", "with which"), column("item_id", "string>kit_items", "the piece of the kit"), column("reaction", "string", "how the dog took it; empty where nobody said"),
		column("blood", "boolean!", "it bled"), column("took_force", "boolean!", "the blade had to be forced"), column("end_face", "string", "what the end showed"), column("colour", "string", "of the horn, where it was told"), column("edged", "boolean!", "sides and top were taken off"),
		column("ended", "string", "what was said of the end where its face was not told: sign or before"), column("stop", "string", "at which sign the hand stops"), column("assumed", "boolean!", "the amounts are a plan's that was accepted"), column("ground_tool", "string", "its second pass, ground after clipping: with which"), column("ground_item", "string>kit_items", "the piece of the kit"),
		column("hand_times", "number!", "how thick the hand's slices came out, times what it meant, as was known then; 0: nobody had measured"), column("hand_spread", "number!", "how far off they were, times how far most hands are; 0: the same"),
		column("eye_milder", "number!", "share of the ends that whoever looked takes for the next milder face; 0: no more than most"),
	}}, ofSitting},
	{formats.Table{Name: "cuts", Derived: true, About: "Thin slices, one by one." + fromLogs, Key: []string{"sitting_id", "code", "number"}, Columns: []formats.Column{
		column("sitting_id", "string!>sittings", itsSitting), column("code", "string!", "paw and digit"), column("number", "integer!", "which of the nail"), column("mm", "number!", "how thick, mm"), column("face", "string", "what it showed"), column("second_pass", "boolean!", "a touch of the second pass"),
	}}, ofSitting},
	{formats.Table{Name: "readings", Derived: true, About: "What was measured at a trim." + fromLogs, Key: []string{"sitting_id", "code", "measure"}, Columns: []formats.Column{
		column("sitting_id", "string!>sittings", itsSitting), column("code", "string!", "paw and digit"), column("measure", "string!", "what"), column("mm", "number!", "mm"), column("by_means", "string!", "what it was read with"), column("sd_mm", "number!", "how far it may be off, one standard deviation, mm"),
	}}, ofSitting},
	{formats.Table{Name: "landmarks", Derived: true, About: "Where the quick was seen to end before a cut." + fromLogs, Key: []string{"sitting_id", "code", "number"}, Columns: []formats.Column{
		column("sitting_id", "string!>sittings", itsSitting), column("code", "string!", "paw and digit"), column("number", "integer!", "which of the nail"), column("kind", "string!", "by which mark"), column("spare_mm", "number!", "from the tip, mm"), column("by_means", "string!", "what it was read with"), column("sd_mm", "number!", "how far it may be off, mm"),
	}}, ofSitting},
}
