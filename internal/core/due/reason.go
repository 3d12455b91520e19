package due

import (
	"slices"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Why a trim is due that day; of what nobody looked at, that it is likely.
const (
	reasonFloor        say.Key = "due.reason_floor"
	reasonFloorLikely  say.Key = "due.reason_floor_likely"
	reasonWished       say.Key = "due.reason_wished"
	reasonWishedLikely say.Key = "due.reason_wished_likely"
	reasonPad          say.Key = "due.reason_pad"
	reasonRest         say.Key = "due.reason_rest"
	reasonOnce         say.Key = "due.reason_once"
	reasonTurned       say.Key = "due.reason_turned"
	reasonTurnedLikely say.Key = "due.reason_turned_likely"
	reasonCurl         say.Key = "due.reason_curl"
	reasonCurlLikely   say.Key = "due.reason_curl_likely"
	reasonDrift        say.Key = "due.reason_drift"
	reasonWorth        say.Key = "due.reason_worth"
	canWait            say.Key = "due.can_wait"
)

// Reason says in a few words why the trim is due that day.
func (t Trim) Reason(n Next) say.Line {
	unseen := slices.ContainsFunc(n.Nails, func(code nail.Code) bool { return t.nail(code).Unseen })
	of := func(sure, likely say.Key) say.Line { // what nobody looked at is not told as a fact
		key := sure
		if unseen {
			key = likely
		}
		return say.Of(
			key,
			say.Args{
				"nails":    nail.Said(n.Nails...),
				"dewclaws": nail.SaidDewclaws(n.Nails...),
				"n":        say.Count(len(n.Nails)),
			},
		)
	}
	switch n.Rule {
	case Floor:
		if t.nail(n.Nails[0]).WishedGap > 0 {
			return of(reasonWished, reasonWishedLikely)
		}
		return of(reasonFloor, reasonFloorLikely)
	case Pad:
		return of(reasonPad, reasonPad)
	case Rest:
		return of(reasonRest, reasonRest)
	case Refused:
		return t.No
	case Agreed:
		return say.Of(reasonOnce)
	case Curl:
		if t.nail(n.Nails[0]).Done && t.turned(n) {
			return of(reasonTurned, reasonTurnedLikely)
		}
		return of(reasonCurl, reasonCurlLikely)
	case Drift:
		return of(reasonDrift, reasonDrift)
	case Worth:
		return of(reasonWorth, reasonWorth)
	default:
		return t.Rhythm.IsUp()
	}
}

// turned tells whether the nails that decide had turned so far that they curl on the day that they were last seen.
func (t Trim) turned(n Next) bool {
	i := slices.IndexFunc(n.PerNail, func(d NailDate) bool { return d.Code == n.Nails[0] })
	return n.PerNail[i].Weeks[Curl] <= 0
}

func (t Trim) nail(code nail.Code) TrimmedNail {
	return t.Nails[slices.IndexFunc(t.Nails, func(n TrimmedNail) bool { return n.Code == code })]
}

// Waits says in a few words which nails can be left out at the next trim: whole groups by
// name, single nails each. It says nothing when none can, or nearly all.
// A dewclaw is never told to wait: little, but every time (trade).
func (n Next) Waits() say.Line {
	var parts say.Lines
	waiting := 0
	for _, group := range nail.Groups() {
		if group == nail.Dewclaw {
			continue
		}
		var codes []nail.Code
		all := 0
		for _, d := range n.PerNail {
			if d.Code.Group() != group {
				continue
			}
			all++
			if d.CanWait {
				codes = append(codes, d.Code)
			}
		}
		waiting += len(codes)
		switch {
		case len(codes) == 0:
		case len(codes) == all && all > 1:
			parts = append(parts, group.Say())
		default:
			for _, c := range codes {
				parts = append(parts, c.Say())
			}
		}
	}
	const tellable = 4
	if waiting == 0 || waiting > len(n.PerNail)*3/4 || len(parts) > tellable {
		return say.Line{}
	}
	return say.Of(canWait, say.Args{"nails": parts, "n": say.Count(waiting)})
}
