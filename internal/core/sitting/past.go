package sitting

import (
	"slices"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

// Past is what the plan of a sitting reads of those before it.
type Past struct {
	Outings []Outing               `json:",omitempty"` // the last ones that it was handled at, oldest first
	Tools   map[nail.Code]kit.Tool `json:",omitempty"` // what each nail was last cut with
	Tool    kit.Tool               `json:",omitempty"` // what the dog was last trimmed with
	Ticks   []string               `json:",omitempty"` // what was laid out last time
	Note    string                 `json:",omitempty"` // of last time
}

// Outing is a past sitting as the dog took it, with the kinds of work that something came off by.
type Outing struct {
	temper.Outing
	Works []kit.Work `json:",omitempty"`
}

// PastOf reads a dog's sittings, oldest first.
func PastOf(sittings []record.Sitting) Past {
	var p Past
	for _, s := range sittings {
		p = p.And(s)
	}
	return p
}

// And is the past once one more sitting was told, later than the others.
func (p Past) And(s record.Sitting) Past {
	tools := make(map[nail.Code]kit.Tool, len(p.Tools))
	for code, tool := range p.Tools {
		tools[code] = tool
	}
	p.Tools, p.Ticks, p.Note = tools, s.Ticks, s.Note
	for _, r := range s.Records {
		if r.Removed() > 0 {
			p.Tool, p.Tools[r.Code] = r.Tool, r.Tool
		}
	}
	if o := outing(s); len(o.Touches) > 0 {
		p.Outings = append(slices.Clip(p.Outings), o)
		p.Outings = p.Outings[max(0, len(p.Outings)-mostPast):]
	}
	return p
}

func outing(s record.Sitting) Outing {
	o := Outing{Outing: s.Outing()}
	for _, r := range s.Records {
		if work := r.Tool.Work(); r.Removed() > 0 && !slices.Contains(o.Works, work) {
			o.Works = append(o.Works, work)
		}
	}
	return o
}

// by are the outings at which nothing came off by another kind of work; all where none is named.
func (p Past) by(work kit.Work) []temper.Outing {
	var all []temper.Outing
	for _, o := range p.Outings {
		if work == "" || !slices.ContainsFunc(o.Works, func(w kit.Work) bool { return w != work }) {
			all = append(all, o.Outing)
		}
	}
	return all
}
