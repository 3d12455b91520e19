package kit

import (
	"strings"
	"unicode/utf8"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Kind is what a piece of kit is: every Tool is a kind, and so is what stands beside it.
type Kind string

const (
	Grinder       Kind = "grinder" // the machine; its bands and bits are tools of their own
	Styptic       Kind = "styptic_powder"
	SilverNitrate Kind = "silver_nitrate"
	Starch        Kind = "cornstarch"
	Flour         Kind = "flour"
	Soda          Kind = "baking_soda"
	Compress      Kind = "cold_compress"
	Treats        Kind = "treats"
	Light         Kind = "light"
	Spray         Kind = "water_spray"
	Mesh          Kind = "mesh" // a stocking, a net bag, a hair net
	Mat           Kind = "non_slip_mat"
	Muzzle        Kind = "muzzle"
	Glasses       Kind = "eye_protection"
	Mask          Kind = "dust_mask"
	HairTie       Kind = "hair_tie"
)

// Kinds lists every kind, tools first.
func Kinds() []Kind {
	kinds := make([]Kind, 0, len(Tools())+len(beside))
	for _, t := range Tools() {
		kinds = append(kinds, Kind(t))
	}
	return append(kinds, beside...)
}

var beside = []Kind{
	Grinder, Styptic, SilverNitrate, Starch, Flour, Soda, Compress,
	Treats, Light, Spray, Mesh, Mat, Muzzle, Glasses, Mask, HairTie,
}

// Shelf is a group of kinds that are kept together.
type Shelf string

const (
	Cutters    Shelf = "cutters"
	Grinders   Shelf = "grinders" // machines with their bands and bits
	Rubbers    Shelf = "files"
	Supplies   Shelf = "supplies"
	Protection Shelf = "protection"
)

// Shelf is where a kind stands.
func (k Kind) Shelf() Shelf {
	if tool, is := k.Tool(); is {
		return map[Work]Shelf{Clipping: Cutters, Grinding: Grinders, Rubbing: Rubbers}[tool.Work()]
	}
	switch k {
	case Grinder:
		return Grinders
	case Mat, Muzzle, Glasses, Mask, HairTie, Mesh:
		return Protection
	default:
		return Supplies
	}
}

// Tool is the tool that the kind is, and whether it is one.
func (k Kind) Tool() (Tool, bool) {
	for _, t := range Tools() {
		if Kind(t) == k {
			return t, true
		}
	}
	return "", false
}

// StopsBlood lists what stops bleeding, the best first; a compress only in a pinch.
func StopsBlood() []Kind { return []Kind{Styptic, SilverNitrate, Starch, Flour, Soda, Compress} }

// Stock is how much of a supply is left.
type Stock string

const (
	Full  Stock = "full"
	Low   Stock = "low"
	Empty Stock = "empty"
)

// Tip is the form of a grinder bit: a flat one is easiest to aim, the form matters little.
type Tip string

const (
	FlatTip    Tip = "flat"
	RoundTip   Tip = "round"
	TaperedTip Tip = "tapered"
)

// Item is one piece of kit.
type Item struct {
	Kind    Kind
	Name    string    // the user's own; may be empty
	Guard   bool      // a cutter with a stop plate
	Grit    int       // of a band, a bit, a file or a board; 0 when nobody said
	Tip     Tip       // of a band or a bit
	On      string    // id of the machine that a band or a bit runs on; empty for any
	Limit   *float64  // cuts of a cutter, minutes of the rest; nil is the usual
	Expires date.Date // of a supply; zero when it does not
	Stock   Stock     // of a supply
}

// Check returns the fields of an item that cannot be.
func (i Item) Check() fault.Fields {
	var f fault.Fields
	if n := utf8.RuneCountInString(strings.TrimSpace(i.Name)); n > mostName {
		f.Add("name", fault.LettersOf(n), fault.MostLetters(mostName))
	}
	if i.Grit != 0 && Grain(i.Grit) == 0 {
		f.Add("grit", i.Grit, say.Of(mustBeAGritNumber))
	}
	if i.Grit != 0 && !i.Abrasive() {
		f.Add("grit", i.Grit, say.Of(mustBeLeftOutOnly))
	}
	if tool, is := i.Kind.Tool(); i.Guard && (!is || tool.Work() != Clipping) {
		f.Add("guard", true, say.Of(mustBeFalseOnlyA))
	}
	if i.Limit != nil {
		f.Range("limit", *i.Limit, 1, mostLimit, fault.CutsOrMinutes)
		if i.counts() == CountsNothing {
			f.Add("limit", *i.Limit, say.Of(mustBeLeftOutNothing))
		}
	}
	if !i.Expires.IsZero() && i.Kind.Shelf() != Supplies {
		f.Add("expires", i.Expires, say.Of(mustBeLeftOutOnlySupplies))
	}
	return f
}

// Abrasive tells whether the item wears horn away with grit.
func (i Item) Abrasive() bool {
	tool, is := i.Kind.Tool()
	return is && tool.Work() != Clipping
}

// Counts is what wears an item.
type Counts string

const (
	CountsCuts    Counts = "cuts"
	CountsMinutes Counts = "minutes"
	CountsNothing Counts = "nothing"
)

func (i Item) counts() Counts {
	tool, is := i.Kind.Tool()
	switch {
	case is && tool.Work() == Clipping:
		return CountsCuts
	case is || i.Kind == Grinder:
		return CountsMinutes
	default:
		return CountsNothing
	}
}

// limit is how much the item bears until it is sharpened, changed or charged, and whether the user said so.
func (i Item) limit() (most float64, told bool) {
	if i.Limit != nil {
		return *i.Limit, true
	}
	switch i.Kind {
	case Grinder:
		return ChargeLimit, false
	case Kind(GrinderBand):
		return BandLimit, false
	case Kind(GrinderDiamond):
		return BitLimit, false
	}
	switch i.counts() {
	case CountsCuts:
		return CutsLimit, false
	case CountsMinutes:
		return BoardLimit, false
	default:
		return Never, false
	}
}

// Lasts is how much a tool usually bears before it is seen to: cuts of a cutter, minutes of what grinds.
func Lasts(t Tool) float64 {
	most, _ := Item{Kind: Kind(t)}.limit()
	return most
}

// Remedy is how a thing that stops blood is used.
func (k Kind) Remedy() say.Line {
	switch k {
	case SilverNitrate:
		return say.Of(holdTheSilverNitrateStick)
	case Compress:
		return say.Of(pressTheColdCompressOn)
	default:
		return say.Of(aPinchOfOnThe, say.Args{"kind": k.Say()})
	}
}
