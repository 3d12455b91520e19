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

// SignTo is the face at which a school stops on a nail of that colour.
func SignTo(stop EndPoint, c nail.Colour) Face {
	signs := signsOf(c)
	if stop == Full {
		return signs[1].face
	}
	return signs[firstSign].face
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

// DrawFace is the face that a nail of this colour shows with so much spare left, mm, at a face scale
// (1 is that of a nail 7 mm deep on most dogs); of, from 0
// to 1, picks among those it may show.
func DrawFace(c nail.Colour, left, scale, of float64) Face {
	signs, below := signsOf(c), 0.0
	for _, s := range signs {
		if below = math.Max(below, s.atOrBelow(left, scale)); of < below {
			return s.face
		}
	}
	return White
}

// DrawScale is the face scale of a dog; of, from 0 to 1, picks among those that dogs have.
func DrawScale(of float64) float64 {
	for i, weight := range usual {
		if of -= weight; of < 0 {
			return scales[i]
		}
	}
	return scales[len(scales)-1]
}

// Stopping are the faces at which a hand stops that has nobody to ask: the first sign, and what is worse.
func Stopping() []Face { return []Face{DarkCentre, Blush, Dot, PinkDot, Blood} }

// Ends tells whether the face ends all cutting on its nail: a dot or blood.
func (f Face) Ends() bool { return f == Dot || f == PinkDot || f == Blood }

// FirstSign tells whether the face is the first sign of the quick: a dark centre or a blush.
func (f Face) FirstSign() bool { return f == DarkCentre || f == Blush }
