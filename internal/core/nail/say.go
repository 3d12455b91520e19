package nail

import (
	"cmp"
	"fribbet/internal/core/say"
)

// Said are nails as a sentence lists them: of many the first two and how many more.
func Said(codes ...Code) say.Nails { return say.Nails{Codes: texts(codes)} }

// SaidEach are nails as a sentence begins with them, every one.
func SaidEach(codes ...Code) say.Nails {
	return say.Nails{Codes: texts(codes), Each: true, Start: true}
}

// SaidDewclaws are dewclaws, told to be such.
func SaidDewclaws(codes ...Code) say.Nails { return say.Nails{Codes: texts(codes), Dewclaws: true} }

// SaidPaws are paws as a sentence lists them.
func SaidPaws(paws ...Paw) say.Paws {
	out := make(say.Paws, len(paws))
	for i, p := range paws {
		out[i] = p.String()
	}
	return out
}

// Say is one nail, as a line.
func (c Code) Say() say.Line { return say.Of(oneNail, say.Args{"nail": Said(c)}) }

const oneNail say.Key = "nail.one"

// Say is what a group of nails is called, within a sentence.
func (g Group) Say() say.Line { return say.Of("nail.group_" + say.Key(g)) }

// Say is a colour, within a sentence.
func (c Colour) Say() say.Line { return say.Of("nail.colour_" + say.Key(cmp.Or(c, Unknown))) }

// Say is a shape, within a sentence.
func (s Shape) Say() say.Line { return say.Of("nail.shape_" + say.Key(s)) }

// Say is what a nail is, within a sentence.
func (s Condition) Say() say.Line { return say.Of("nail.state_" + say.Key(s)) }

func texts(codes []Code) []string {
	out := make([]string, len(codes))
	for i, c := range codes {
		out[i] = c.String()
	}
	return out
}
