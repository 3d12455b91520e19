package book

import (
	"encoding/json"
	"errors"
	"math"
	"slices"
	"strings"
	"time"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/core/verdict"
	"fribbet/internal/store"
)

// limits are what numbers of a column can be; they go out with its description.
var limits = map[string]limit{
	"one": {
		1,
		1,
	},
	"first_step": {0, 20},
	"version":    {0, 1e9},
	"sequence":   {0, 1e9},
	"failures":   {0, 1e9},
	"heard":      {-1e9, 1e9},
	"margin_mm": {
		0,
		due.MostMargin,
	},
	"coin_mm": {measure.LeastCoin, measure.MostCoin},
	"kg":      {growth.LeastWeight, growth.MostWeight},
	"pavement_km_week": {
		0,
		growth.MostPavement,
	},
	"km_week":       {0, growth.MostPavement},
	"wished_gap_mm": {0, due.MostWishedGap},
	"goal_mm":       {0, due.MostWishedGap},
	"largest_cut_mm": {
		kit.LeastLargest,
		kit.MostLargest,
	},
	"most_nails": {1, float64(len(nail.All()))},
	"gap_mm":     {0, claw.MostGap},
	"length_mm":  {1, claw.MostLength},
	"meant_mm": {
		hand.LeastMeant,
		hand.MostMeant,
	},
	"width":  {1, 1e5},
	"height": {1, 1e5},
	"bytes":  {0, 1e10},
	"grit":   {0, 1e5},
}

type limit struct{ least, most float64 }

// past are the days and moments that lie behind: what was told of them was told by then.
var past = map[string]bool{
	"weights.on_date":      true,
	"walked.until_date":    true,
	"checks.on_date":       true,
	"tries.on_date":        true,
	"logs.on_date":         true,
	"pictures.on_date":     true,
	"kit_services.on_date": true,
	"sticks.on_date":       true,
	"plans.started_on":     true,
	"ladders.started_on":   true,
	"dogs.birth_date":      true,
	"dogs.entered_on":      true,
}

// row is one of a package by its columns.
type row map[string]any

func rowOf(columns []string, values []any) row {
	r := row{}
	for i, c := range columns {
		r[c] = values[i]
	}
	return r
}

func (r row) text(column string) string {
	text, _ := r[column].(string)
	return text
}

func (r row) whole(column string) int {
	n, _ := r[column].(int64)
	return int(n)
}

// number is one that may be missing.
func (r row) number(column string) *float64 {
	n, is := r[column].(float64)
	if !is {
		return nil
	}
	return &n
}

func (r row) day(column string) date.Date {
	day, _ := date.Parse(r.text(column))
	return day
}

// asTold are the checks that the interface's own input passes, by table: nobody's row is believed more. What belongs
// to a dog as a whole is looked at once all its rows are there.
var asTold = map[string]func(t *taking, r row) fault.Fields{
	"settings": func(_ *taking, r row) (f fault.Fields) {
		return weekdays(r.text("working_weekdays"))
	},
	"sticks": func(_ *taking, r row) fault.Fields {
		var f fault.Fields
		if meant := r.number("meant_mm"); meant != nil {
			errors.As(hand.Check(*meant, store.SlicesOf(r.text("slices"))), &f)
		}
		return f
	},
	"practised": func(_ *taking, r row) (f fault.Fields) {
		p := store.Practised{
			Exercise: practice.Exercise{
				Kind:   practice.Kind(r.text("kind")),
				Seed:   r.whole("seed"),
				Number: r.whole("number"),
			},
		}
		_ = json.Unmarshal([]byte(r.text("moves")), &p.Moves) // sound has looked
		_ = json.Unmarshal([]byte(r.text("named")), &p.Said)
		room := practice.Room{Chance: chance, Terms: verdict.Terms{Stop: quick.EndPoint(r.text("end_point"))}}
		if p.Kind == store.EndsDrill {
			_, err := room.Name(p.Seed, p.Said)
			errors.As(err, &f)
			return f
		}
		_, err := room.Play(p.Exercise, p.Moves)
		errors.As(err, &f)
		return f
	},
	"holidays": func(t *taking, r row) fault.Fields {
		f := date.Span{From: r.day("from_date"), To: r.day("to_date")}.Check()
		if t.holidays++; t.holidays > mostHolidays {
			f.Add(
				"from_date",
				r.text("from_date"),
				say.Of(mustBeOneOfAt, say.Args{"mostHolidays": say.Count(mostHolidays)}),
			)
		}
		return f
	},
	"dogs": func(_ *taking, r row) fault.Fields {
		f := weekdays(r.text("working_weekdays"))
		for _, name := range strings.Fields(r.text("own_order")) {
			if new(nail.Paw).UnmarshalText([]byte(name)) != nil {
				f.Add("own_order", r.text("own_order"), say.Of(mustBePawsLfRf))
			}
		}
		for _, one := range strings.Fields(r.text("by_paw")) {
			name, position, _ := strings.Cut(one, ":")
			if new(nail.Paw).UnmarshalText([]byte(name)) != nil ||
				!slices.Contains(dog.Positions(), dog.Position(position)) {
				f.Add("by_paw", r.text("by_paw"), say.Of(mustBePawsWithHow))
			}
		}
		return f
	},
	"owners": func(_ *taking, r row) fault.Fields {
		o := round.Owner{
			Name:     r.text("name"),
			Reach:    round.Reach(r.text("reach")),
			Address:  r.text("address"),
			Note:     r.text("note"),
			Language: r.text("language"),
		}
		_ = json.Unmarshal([]byte(r.text("suits")), &o.Suits) // sound has looked
		f := o.Check()
		if o.Language != "" {
			spoken(&f, o.Language)
		}
		return f
	},
	"working_week": func(_ *taking, r row) fault.Fields {
		var w store.WorkingWeek
		_ = json.Unmarshal([]byte(r.text("body")), &w) // sound has looked
		return append(w.Week.Check(), round.CheckTexts(w.Texts)...)
	},
	"visits": func(_ *taking, r row) fault.Fields {
		return round.Visit{
			Dog:   round.Dog{Minutes: r.whole("minutes")},
			Start: round.Clock(r.whole("start")),
			State: round.VisitState(r.text("state")),
		}.Check()
	},
	"messages": message,
	"looks": func(_ *taking, r row) fault.Fields {
		var f fault.Fields
		reading(&f, r, "gap", measure.Gap)
		reading(&f, r, "length", measure.Length)
		return f
	},
	"kit_items": func(_ *taking, r row) fault.Fields {
		return kit.Item{
			Kind:    kit.Kind(r.text("kind")),
			Name:    r.text("name"),
			Guard:   r.whole("guard") != 0,
			Grit:    r.whole("grit"),
			Tip:     kit.Tip(r.text("tip")),
			Limit:   r.number("most"),
			Expires: r.day("expires_on"),
			Stock:   kit.Stock(r.text("stock")),
		}.Check()
	},
	"pictures": func(_ *taking, r row) (f fault.Fields) {
		var corners []*photo.Point
		_ = json.Unmarshal([]byte(r.text("corners")), &corners) // sound has looked
		for _, p := range corners {
			if len(corners) != 4 || p == nil || math.Abs(p.X)+math.Abs(p.Y) > 1e5 {
				f.Add("corners", r.text("corners"), say.Of(mustBeTheFourCorners))
				break
			}
		}
		if r.text("code") != "" || r.whole("cuts") != 0 {
			end, paw := store.CutEnd{Cuts: r.whole("cuts")}, nail.LF
			_ = errors.Join(
				end.Code.UnmarshalText([]byte(r.text("code"))),
				end.Sitting.UnmarshalText([]byte(r.text("sitting_id"))),
				paw.UnmarshalText([]byte(r.text("paw"))),
			) // what is none of them is none
			f = append(f, checkEnd(paw, &end)...)
		}
		return f
	},
	"own_usual": func(_ *taking, r row) (f fault.Fields) {
		switch hindsight.Kind(r.text("kind")) {
		case hindsight.OwnGrowth, hindsight.OwnHand:
			var times float64
			_ = json.Unmarshal([]byte(r.text("value")), &times) // what is none is 0
			f.Range("value", times, hindsight.LeastTimes, hindsight.MostTimes, fault.Times)
		case hindsight.OwnFaces:
			var faces quick.Scales
			_ = json.Unmarshal([]byte(r.text("value")), &faces) // what is none is nothing
			f = append(f, faces.Check("value")...)
		default:
			f.Add(
				"kind",
				r.text("kind"),
				fault.AnyOf([]hindsight.Kind{hindsight.OwnGrowth, hindsight.OwnFaces, hindsight.OwnHand}),
			)
		}
		return f
	},
	"own_ends": func(_ *taking, r row) (f fault.Fields) {
		if said := quick.Face(r.text("said")); !slices.Contains(quick.Faces(nail.Unknown), said) {
			f.Add("said", string(said), fault.AnyOf(quick.Faces(nail.Unknown)))
		}
		return f
	},
}

func weekdays(text string) (f fault.Fields) {
	if days, err := date.ParseWeekdays(strings.Fields(text)); err != nil || days == 0 {
		f.Add("working_weekdays", text, say.Of(mustNameDaysSuchAs))
	}
	return f
}

// message is one that could have been sent: with the places that its kind tells, and no others.
func message(_ *taking, r row) (f fault.Fields) {
	var places []*store.Place
	_ = json.Unmarshal([]byte(r.text("places")), &places) // sound has looked
	kind := round.MessageKind(r.text("kind"))
	switch n := len(places); {
	case kind.Offers() && n == 0, kind == round.TellDue && n > 0, !kind.Invites() && n != 1:
		f.Add(
			"places",
			say.Of(places2, say.Args{"n": say.Count(n)}),
			say.Of(mustBeThoseThatA, say.Args{"kind": say.Name(kind)}),
		)
	}
	for _, p := range places {
		if p == nil || !p.On.Believed() ||
			len(round.Visit{Dog: round.Dog{Minutes: p.Minutes}, Start: p.Start, State: round.Offered}.Check()) > 0 {
			f.Add("places", r.text("places"), say.Of(mustBeDaysAndTimes))
			return f
		}
	}
	return f
}

// reading is a number of a look: with what it was read with, or not there.
func reading(f *fault.Fields, r row, name string, what measure.What) {
	mm, by, sd := r.number(name+"_mm"), r.text(name+"_by"), r.number(name+"_sd_mm")
	switch {
	case mm == nil && by == "" && sd == nil:
	case mm == nil || by == "" || sd == nil:
		f.Add(
			name+"_mm",
			r[name+"_mm"],
			say.Of(mustComeWithByAnd, say.Args{"name": say.Name(name), "name2": say.Name(name)}),
		)
	default:
		var one fault.Fields
		measure.Number{MM: *mm, By: measure.Means(by), SD: *sd}.Check(&one, name, what)
		for _, o := range one {
			f.Add(
				strings.Replace(strings.Replace(o.Name, name+".by", name+"_by", 1), name+".sd_mm", name+"_sd_mm", 1),
				o.Value,
				o.Want,
			)
		}
	}
}

// within is a row whose days, moments and numbers can be; moments come to be as the book writes them.
func (t *taking) within(table exchanged, values []any) (f fault.Fields) {
	for i, c := range table.Columns {
		switch v := values[i].(type) {
		case int64:
			if c.Least != nil {
				f.Range(c.Name, float64(v), *c.Least, *c.Most, fault.None)
			}
		case float64:
			if c.Least != nil {
				f.Range(c.Name, v, *c.Least, *c.Most, fault.None)
			}
		case string:
			day, kind := date.Date{}, c.Type
			switch {
			case v == "":
				continue
			case kind == "date":
				day, _ = date.Parse(v)
			case kind == "datetime":
				at, err := time.Parse(time.RFC3339Nano, v)
				if err == nil {
					values[i], day = store.Instant(at), date.Of(at.UTC())
				}
			default:
				continue
			}
			switch {
			case !day.Believed():
				f.Add(
					c.Name,
					v,
					say.Of(mustLieBetweenAnd, say.Args{"earliest": date.Earliest.Say(), "latest": date.Latest.Say()}),
				)
			case past[table.Name+"."+c.Name] && day.After(t.b.Today().AddDays(1)):
				f.Add(c.Name, v, say.Of(mustNotLieInThe))
			}
		}
	}
	return f
}
