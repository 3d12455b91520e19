package book

import (
	"slices"
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
	if len(t.Key) > 1 || t.Derived || t.Name == "holidays" || t.Name == "owned" ||
		t.Name == "not_now" { // these have their key alone
		return t.Key
	}
	return []string{"rowid"}
}

// one are the words that stand in columns of which only some can.
var one = func() map[string][]string {
	all := map[string][]string{
		"role": {
			Unset,
			Keeper,
			Groomer,
		},
		"length_unit": named(units.Millimetre, units.Inch),
		"weight_unit": named(units.Kilogram, units.Pound),
		"hand":        named(kit.NewHand, kit.SomeHand, kit.PractisedHand),
		"end_point":   named(quick.AtFirstSign, quick.Full),
		"way": named(
			kit.OnlyClip,
			kit.OnlyGrind,
			kit.ClipAndGrind,
		),
		"dates": named(rhythm.BothDates()...),
		"noise": named(kit.NoiseUnknown, kit.NoiseFine, kit.NoiseAfraid),
		"foot_coat": named(
			dog.ShortCoat,
			dog.LongCoat,
		),
		"position":  named(dog.Positions()...),
		"helper":    named(dog.Alone, dog.Wanted, dog.Needed),
		"paw_order": named(dog.HindFirst, dog.LowerFirst, dog.HardestFirst, dog.HardestLast, dog.OwnOrder),
		"takes": named(
			dog.Fine,
			dog.Wriggles,
			dog.Frightened,
			dog.Bites,
		),
		"reaction": named(temper.Reactions()...),
		"school":   named(claw.Schools()...),
		"shape": named(
			nail.Straight,
			nail.Usual,
			nail.Hooked,
			nail.Curled,
		),
		"colour": named(nail.Unknown, nail.Dark, nail.Light, nail.Mixed),
		"reach": named(
			round.ByText,
			round.ByMail,
			round.ByHand,
		),
		"rhythm": named(rhythm.Rhythms()...),
		"off_by": named(round.TheOwner, round.Us),
		"stock":  named(kit.Full, kit.Low, kit.Empty),
		"tip":    named(kit.FlatTip, kit.RoundTip, kit.TaperedTip),
		"kit_items.kind": named(
			kit.Kinds()...),
		"ladders.kind":  named(ladder.Clipper, ladder.Grinder, ladder.Muzzle, ladder.Board),
		"messages.kind": named(round.MessageKinds()...),
		"visits.state": named(
			round.Offered,
			round.Agreed,
			round.Missed,
			round.CalledOff,
		), // what is under way or done its sitting says
		"messages.state": named(
			round.MessageWaiting,
			round.MessageSent,
			round.MessageDelivered,
			round.MessageAnswered,
			round.MessageFailed,
			round.MessagePerson,
		),
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

// tables are what of the book is anybody's to take, in an order in which none belongs to a later one. Secrets
// (passphrase, devices, the keys of calendar and cards) are in none of them.
var tables = func() []exchanged {
	all := slices.Concat(userTables, dogTables, roundTables, trimTables)
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
