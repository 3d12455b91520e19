package quick

import (
	"math"
	"slices"

	"fribbet/internal/core/nail"
)

// Face is what the freshly cut end of a nail shows, head-on.
type Face string

const (
	White      Face = "white"
	Grey       Face = "grey"        // of a dark nail
	DarkCentre Face = "dark_centre" // of a dark nail
	Dot        Face = "dot"         // of a dark nail: small, moist or white, in a dark face
	Blush      Face = "blush"       // of a light nail: pinkish beige
	PinkDot    Face = "pink_dot"    // of a light nail
	Blood      Face = "blood"
)

// sign is a face with the spare at which it is as likely as not to show, or worse to, and how
// gradually that comes.
type sign struct {
	face  Face
	at    float64 // spare left, mm, for a nail 7 mm deep
	width float64 // mm
}

// Signs of a dark nail and of a light one, the worst first; white is what shows beyond them
// (the order is trade; the numbers are judgement).
var (
	darkSigns  = []sign{{Blood, 0, 0.1}, {Dot, 0.6, 0.25}, {DarkCentre, 1.5, 0.35}, {Grey, 3.0, 0.5}}
	lightSigns = []sign{{Blood, 0, 0.1}, {PinkDot, 0.5, 0.2}, {Blush, 1.2, 0.35}}
)

func signsOf(c nail.Colour) []sign {
	if c == nail.Light {
		return lightSigns
	}
	return darkSigns // an unknown or mixed one is read the careful way
}

// SeenColour is the colour of a nail as its faces tell it: a pinkish one is a light nail's, a grey
// or dark-centred one a dark nail's. Where they do not tell, it is as it was told.
func SeenColour(told nail.Colour, faces ...Face) nail.Colour {
	for _, f := range faces {
		switch {
		case f == White || f == Blood:
		case f.of(lightSigns):
			return nail.Light
		case f.of(darkSigns):
			return nail.Dark
		}
	}
	return told
}

// of tells whether the face is one of these signs.
func (f Face) of(signs []sign) bool {
	return slices.ContainsFunc(signs, func(s sign) bool { return s.face == f })
}

// Faces lists what a nail of that colour can show, from safe to stop; one whose colour nobody has
// told, or that is of both, can show either's.
func Faces(c nail.Colour) []Face {
	if c == nail.Unknown || c == nail.Mixed {
		return []Face{White, Grey, Blush, DarkCentre, PinkDot, Dot, Blood}
	}
	signs := signsOf(c)
	faces := make([]Face, 0, len(signs)+1)
	faces = append(faces, White)
	for i := range signs {
		faces = append(faces, signs[len(signs)-1-i].face)
	}
	return faces
}

// atOrBelow is the chance that a face shows this sign or a worse one with so much spare left:
// the ordered logit (McCullagh 1980, Regression Models for Ordinal Data), at the scaled threshold.
func (s sign) atOrBelow(left, scale float64) float64 {
	return 1 / (1 + math.Exp((left-s.at*scale)/s.width))
}

// chance is how likely a face shows with so much spare left. Widths differ from sign to sign,
// so the cumulative chances are made monotone: a worse sign is never likelier than it or a milder one.
func chance(signs []sign, face Face, left, scale float64) float64 {
	below := 0.0
	for _, s := range signs {
		here := math.Max(below, s.atOrBelow(left, scale))
		if s.face == face {
			return here - below
		}
		below = here
	}
	return 1 - below
}

// Ends tells whether the face ends all cutting on its nail: a dot or blood.
func (f Face) Ends() bool { return f == Dot || f == PinkDot || f == Blood }

// FirstSign tells whether the face is the first sign of the quick: a dark centre or a blush.
func (f Face) FirstSign() bool { return f == DarkCentre || f == Blush }

// LeftAt is what a face says of the spare that is left, by itself: of a nail so deep, in mm, any
// spare as likely as another before it. It tells false for white and blood, which only say "more"
// and "none".
func LeftAt(face Face, depth float64) (Spare, bool) {
	left, tells := darkLeft[face]
	if face.of(lightSigns) {
		left, tells = lightLeft[face]
	}
	deep := depth / signDepth
	return Spare{left.Mean * deep, left.SD * deep}, tells
}

var darkLeft, lightLeft = leftBy(darkSigns), leftBy(lightSigns)

// leftBy works out LeftAt for a nail of the depth that the signs are told for.
func leftBy(signs []sign) map[Face]Spare {
	table := map[Face]Spare{}
	for _, sign := range signs[1:] {
		sum, mean, square := 0.0, 0.0, 0.0
		for left := 0.0; left <= signReach; left += gridStep {
			p := 0.0
			for s, scale := range scales {
				p += usual[s] * chance(signs, sign.face, left, scale)
			}
			sum += p
			mean += p * left
			square += p * left * left
		}
		mean /= sum
		table[sign.face] = Spare{mean, math.Sqrt(square/sum - mean*mean)}
	}
	return table
}
