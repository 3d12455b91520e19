package say

import (
	"encoding/json"
	"fmt"
	"time"
)

// MarshalJSON keeps with each value what kind it is of, so that a line that was kept can be read back.
func (a Args) MarshalJSON() ([]byte, error) {
	kept := map[string]map[string]any{}
	for name, value := range a {
		kept[name] = map[string]any{kindOf(value): plain(value)}
	}
	return json.Marshal(kept)
}

// UnmarshalJSON reads what MarshalJSON kept; a kind that it does not know is refused.
func (a *Args) UnmarshalJSON(text []byte) error {
	var kept map[string]map[string]json.RawMessage
	if err := json.Unmarshal(text, &kept); err != nil || kept == nil {
		return err
	}
	*a = Args{}
	for name, one := range kept {
		for kind, raw := range one {
			read, known := kinds[kind]
			if !known {
				return fmt.Errorf("%q is no kind of what stands in a sentence", kind)
			}
			value, err := read(raw)
			if err != nil {
				return err
			}
			(*a)[name] = value
		}
	}
	return nil
}

// UnmarshalJSON reads a line that was kept. What was kept as a sentence, before there were lines, is said as it stands.
func (l *Line) UnmarshalJSON(text []byte) error {
	if len(text) > 0 && text[0] == '"' {
		var sentence string
		if err := json.Unmarshal(text, &sentence); err != nil {
			return err
		}
		if *l = (Line{}); sentence != "" {
			*l = Plain(sentence)
		}
		return nil
	}
	type plain Line
	return json.Unmarshal(text, (*plain)(l))
}

func kindOf(v Value) string {
	switch v.(type) {
	case Length:
		return "length"
	case Lengths:
		return "lengths"
	case Weight:
		return "weight"
	case Bound:
		return "bound"
	case Heavy:
		return "heavy"
	case Symbol:
		return "symbol"
	case Count:
		return "count"
	case Whole:
		return "whole"
	case Round:
		return "round"
	case Tenths:
		return "tenths"
	case Number:
		return "number"
	case Name:
		return "name"
	case Names:
		return "names"
	case All:
		return "all"
	case Nails:
		return "nails"
	case Paws:
		return "paws"
	case Start:
		return "start"
	case Day:
		return "day"
	case LongDay:
		return "long_day"
	case Clock:
		return "clock"
	case Lines:
		return "lines"
	default:
		return "line"
	}
}

// plain is a value as JSON holds it: days as instants.
func plain(v Value) any {
	switch d := v.(type) {
	case Day:
		return time.Time(d)
	case LongDay:
		return time.Time(d)
	default:
		return v
	}
}

var kinds = map[string]func(json.RawMessage) (Value, error){
	"length":   as[Length],
	"lengths":  as[Lengths],
	"weight":   as[Weight],
	"bound":    as[Bound],
	"heavy":    as[Heavy],
	"symbol":   as[Symbol],
	"count":    as[Count],
	"whole":    as[Whole],
	"round":    as[Round],
	"tenths":   as[Tenths],
	"number":   as[Number],
	"name":     as[Name],
	"names":    as[Names],
	"all":      as[All],
	"clock":    as[Clock],
	"nails":    as[Nails],
	"paws":     as[Paws],
	"day":      func(raw json.RawMessage) (Value, error) { t, err := instant(raw); return Day(t), err },
	"long_day": func(raw json.RawMessage) (Value, error) { t, err := instant(raw); return LongDay(t), err },
}

func init() { // these hold lines themselves
	kinds["line"], kinds["start"], kinds["lines"] = as[Line], as[Start], as[Lines]
}

func as[V Value](raw json.RawMessage) (Value, error) {
	var v V
	err := json.Unmarshal(raw, &v)
	return v, err
}

func instant(raw json.RawMessage) (t time.Time, err error) {
	err = json.Unmarshal(raw, &t)
	return t, err
}

// Text is a line as it is kept; empty where it says nothing.
func (l Line) Text() string {
	if l.Nothing() {
		return ""
	}
	text, err := json.Marshal(l)
	if err != nil { // every kind of value marshals
		panic(err)
	}
	return string(text)
}

// Read is a line that was kept. What was kept as a sentence, before there were lines, is said as it stands.
func Read(kept string) Line {
	var l Line
	switch {
	case kept == "":
		return Line{}
	case json.Unmarshal([]byte(kept), &l) == nil && !l.Nothing():
		return l
	default:
		return Plain(kept)
	}
}
