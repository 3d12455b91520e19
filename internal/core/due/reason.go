package due

import (
	"fmt"
	"slices"
	"strings"

	"fribbet/internal/core/nail"
)

// Reason says in a few words why the sitting is due that day.
func (t Trim) Reason(n Next) string {
	one := len(n.Nails) == 1
	likely := "" // what nobody looked at is not told as a fact
	if slices.ContainsFunc(n.Nails, func(code nail.Code) bool { return t.nail(code).Unseen }) {
		likely = " probably"
	}
	switch who := list(n.Nails); n.Rule {
	case Floor:
		if t.nail(n.Nails[0]).WishedGap > 0 {
			return who + likely + choose(one, " comes", " come") + " down to the wished gap"
		}
		return who + likely + choose(one, " reaches the floor", " reach the floor")
	case Pad:
		return who + choose(one, " reaches past its pad", " reach past their pads")
	case Rest:
		return who + choose(one, " is", " are") + " left from last time, as much as it takes a day"
	case Refused:
		return t.No
	case Agreed:
		return "agreed to come once on that day"
	case Curl:
		if t.nail(n.Nails[0]).Done && t.turned(n) {
			return choose(one, "dewclaw ", "dewclaws ") + who + choose(one, " is", " are") + " to be looked at:" + likely + " turned far already when last trimmed"
		}
		return choose(one, "dewclaw ", "dewclaws ") + who + likely + choose(one, " starts to curl", " start to curl")
	case Drift:
		return "from then on the quick of " + who + " would grow"
	case Worth:
		return who + choose(one, " has", " have") + " enough safe to trim for a small cut"
	default:
		return t.Rhythm.IsUp()
	}
}

// turned tells whether the nails that decide had turned so far that they curl on the day that they were last seen.
func (t Trim) turned(n Next) bool {
	i := slices.IndexFunc(n.PerNail, func(d NailDate) bool { return d.Code == n.Nails[0] })
	return n.PerNail[i].Weeks[Curl] <= 0
}

func (t Trim) nail(code nail.Code) Nail {
	return t.Nails[slices.IndexFunc(t.Nails, func(n Nail) bool { return n.Code == code })]
}

// list names nails as people would: all of up to three, else the first two and how many more.
func list(codes []nail.Code) string {
	names := make([]string, len(codes))
	for i, c := range codes {
		names[i] = c.String()
	}
	switch n := len(names); {
	case n == 1:
		return names[0]
	case n <= 3:
		return strings.Join(names[:n-1], ", ") + " and " + names[n-1]
	default:
		return fmt.Sprintf("%s, %s and %d more", names[0], names[1], n-2)
	}
}

func choose(one bool, singular, plural string) string {
	if one {
		return singular
	}
	return plural
}

// Waits says in a few words which nails can be left out at the next sitting: whole groups by
// name, single nails by code. It is empty when none can, or nearly all, which says nothing.
// A dewclaw is never told to wait: little, but every time (trade).
func (n Next) Waits() string {
	words := map[nail.Group]string{
		nail.Fore: "fore nails", nail.HindMiddle: "hind middle nails", nail.HindOuter: "hind outer nails",
	}
	var parts []string
	waiting := 0
	for _, group := range nail.Groups() {
		if group == nail.Dewclaw {
			continue
		}
		var codes []string
		all := 0
		for _, d := range n.PerNail {
			if d.Code.Group() != group {
				continue
			}
			all++
			if d.CanWait {
				codes = append(codes, d.Code.String())
			}
		}
		waiting += len(codes)
		switch {
		case len(codes) == 0:
		case len(codes) == all && all > 1:
			parts = append(parts, words[group])
		default:
			parts = append(parts, codes...)
		}
	}
	const tellable = 4
	if waiting == 0 || waiting > len(n.PerNail)*3/4 || len(parts) > tellable {
		return ""
	}
	return strings.Join(parts, ", ") + " can wait"
}
