package words

import (
	"strings"

	"fribbet/internal/core/say"
)

const (
	oneNail  say.Key = "words.nail"
	dewclaw  say.Key = "words.dewclaw"
	dewclaws say.Key = "words.dewclaws"
)

// nails names nails by code, or as somebody would say them who has a dog at home.
func (w Words) nails(n say.Nails) string {
	names := n.Codes
	if !w.codes {
		names = make([]string, len(n.Codes))
		for i, code := range n.Codes {
			names[i] = w.nail(code)
		}
	}
	list := w.list(names)
	if n.Each {
		list = strings.Join(names, ", ")
	}
	if n.Start && list != "" {
		list = upper(list)
	}
	if !n.Dewclaws || !w.codes { // in words they are told to be such
		return list
	}
	key := dewclaws
	if len(names) == 1 {
		key = dewclaw
	}
	return w.Say(say.Of(key, say.Args{"codes": say.Name(list)}))
}

// nail is one in words: the left fore third toe.
func (w Words) nail(code string) string {
	if len(code) < 3 {
		return code
	}
	return w.Say(
		say.Of(
			oneNail,
			say.Args{
				"paw": say.Name(w.own("words.paw_" + say.Key(code[:2]))),
				"toe": say.Name(w.own("words.toe_" + say.Key(code[2:]))),
			},
		),
	)
}

// paws names paws by code, or in words.
func (w Words) paws(paws say.Paws) string {
	names := make([]string, len(paws))
	for i, paw := range paws {
		names[i] = paw
		if !w.codes {
			names[i] = w.own("words.paw_" + say.Key(paw))
		}
	}
	return strings.Join(names, ", ")
}
