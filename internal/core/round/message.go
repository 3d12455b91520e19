package round

import (
	"fmt"
	"regexp"
	"slices"
	"strings"
	"time"
	"unicode/utf8"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// MessageKind is what an owner is told.
type MessageKind string

// What owners are told.
const (
	TellPlaces   MessageKind = "places"   // offered, to be answered
	TellAgreed   MessageKind = "agreed"   // a place
	TellTomorrow MessageKind = "tomorrow" // the day before
	TellMoved    MessageKind = "moved"
	TellLate     MessageKind = "late"   // the day runs late
	TellMissed   MessageKind = "missed" // nobody came
	TellDue      MessageKind = "due"    // and nothing agreed
)

// MessageKinds lists them.
func MessageKinds() []MessageKind {
	return []MessageKind{TellPlaces, TellAgreed, TellTomorrow, TellMoved, TellLate, TellMissed, TellDue}
}

// Offers tells whether a message offers places.
func (k MessageKind) Offers() bool { return k == TellPlaces }

// Invites tells whether a message is about a visit that is still to be agreed; the others are about one that was.
func (k MessageKind) Invites() bool { return k == TellPlaces || k == TellDue }

var slot = regexp.MustCompile(`\{[^{}]*\}`)

// slots are what each text may, and must, hold.
var slots = map[MessageKind][]string{
	TellPlaces: {
		"{dog}",
		"{places}",
	},
	TellAgreed:   {"{dog}", "{at}"},
	TellTomorrow: {"{dog}", "{at}"},
	TellMoved:    {"{dog}", "{at}"},
	TellLate:     {"{dog}", "{about}", "{at}"},
	TellMissed:   {"{dog}", "{at}"},
	TellDue:      {"{dog}", "{due}"},
}

// CheckTexts names what cannot be in the user's own words.
func CheckTexts(texts map[MessageKind]string) fault.Fields {
	var f fault.Fields
	for _, kind := range MessageKinds() {
		text, told := texts[kind]
		if !told {
			continue
		}
		if n := utf8.RuneCountInString(text); n == 0 || n > longestText {
			f.Add("texts."+string(kind), text, fault.FromOneLetterTo(longestText))
		}
		for _, found := range slot.FindAllString(text, -1) {
			if !strings.Contains(strings.Join(slots[kind], " "), found) {
				f.Add("texts."+string(kind), found, fault.AnyOf(slots[kind]))
			}
		}
		for _, needed := range slots[kind] {
			if !strings.Contains(text, needed) {
				f.Add("texts."+string(kind), text, say.Of(mustHold, say.Args{"needed": say.Name(needed)}))
			}
		}
	}
	return f
}

// Facts are what a message is about.
type Facts struct {
	Dog    string
	At     string   // the visit
	About  string   // when it will likely begin
	Due    string   // the dog is
	Places []string // that are offered
}

// Write fills a text in.
func Write(text string, f Facts) string {
	places := make([]string, len(f.Places))
	for i, p := range f.Places {
		places[i] = fmt.Sprintf("%d: %s", i+1, p)
	}
	return strings.NewReplacer(
		"{dog}", f.Dog, "{at}", f.At, "{about}", f.About, "{due}", f.Due, "{places}", strings.Join(places, ", "),
	).Replace(text)
}

// Reminds tells whether tomorrow's owners are reminded at that time of day.
func Reminds(now Clock) bool { return now >= At(reminding, 0) }

// Answered is how a message stands once an owner has answered it: answered, and then the answer acts; or waiting for a
// person, and why. A stop acts always; a place or a no only where something was offered and nothing answered yet.
func (k MessageKind) Answered(before MessageState, answer Answer, unmistakable bool) (MessageState, say.Line) {
	switch {
	case unmistakable && answer.Stop:
		return MessageAnswered, say.Line{}
	case before == MessageAnswered:
		return MessagePerson, say.Of(answeredAgain)
	case !unmistakable || !k.Offers():
		return MessagePerson, say.Of(readItYourself)
	default:
		return MessageAnswered, say.Line{}
	}
}

// Quiet are the hours in which nothing goes out (judgement): before eight and from eight in the evening on.
func Quiet(at Clock) bool { return at < At(8, 0) || at >= At(20, 0) }

// Again is how long a message waits once it has failed so often; false when it waits for a person.
func Again(failures int) (time.Duration, bool) {
	if failures >= mostFailures {
		return 0, false
	}
	return 15 * time.Second << (2 * (max(1, failures) - 1)), true
}

// Report is what the message service says of a message, each with the next number.
type Report struct {
	Number int    `json:"number"`
	ID     string `json:"id"`
	Answer string `json:"answer"` // empty: it was delivered
}

// Taken is a message that the service has taken, with what was answered.
type Taken struct {
	ID      string
	To      string
	Text    string
	At      time.Time
	Answers []string
}

// MessageState is how far a message has come.
type MessageState string

// How far messages come.
const (
	MessageWaiting   MessageState = "waiting"
	MessageSent      MessageState = "sent"
	MessageDelivered MessageState = "delivered"
	MessageAnswered  MessageState = "answered"
	MessageFailed    MessageState = "failed" // it waits for a person
	MessagePerson    MessageState = "person" // its answer does
)

// ToldPlace is a place as a message tells it, and the visit that it is of as that stands now; nil: none yet.
type ToldPlace struct {
	On    date.Date
	Start Clock
	Visit *Visit
}

// About is what a message that waits to be sent is about.
type About struct {
	Kind   MessageKind
	Today  date.Date
	Places []ToldPlace
	Comes  bool // the dog has a visit to come
}

// TooLate says why such a message is not to be sent any more: its visit was called off or moved since, or its day has
// gone by; empty where it may go out.
func (a About) TooLate() say.Line {
	if a.Kind == TellDue && a.Comes {
		return say.Of(agreedSince)
	}
	gone := len(a.Places) > 0
	for _, p := range a.Places {
		gone = gone && p.On.Before(a.Today)
		v := p.Visit
		switch {
		case v == nil:
		case v.State == CalledOff || v.State == "":
			return say.Of(calledOffSince)
		case v.On != p.On || v.Start != p.Start:
			return say.Of(movedSince)
		case a.Kind == TellMissed && v.State != Missed, a.Kind != TellMissed && v.State == Missed:
			return say.Of(otherwiseNow)
		}
	}
	if gone && a.Kind != TellMissed || a.Kind == TellLate && len(a.Places) > 0 && a.Places[0].On != a.Today {
		return say.Of(dayGone)
	}
	return say.Line{}
}

// ToldTime is a time of a visit that its owner knows of.
type ToldTime struct {
	Visit string
	Kind  MessageKind
	On    date.Date
	Start Clock
}

// ToTell is what its owner is to be told of a visit, after what it was told, the latest first; empty where that is
// nothing.
func (r Runs) ToTell(told []ToldTime) MessageKind {
	knew := slices.IndexFunc(
		told,
		func(t ToldTime) bool { return t.Visit == r.ID && t.Kind != TellLate && t.Kind != TellMissed },
	)
	was := func(k MessageKind) bool {
		return slices.ContainsFunc(
			told,
			func(t ToldTime) bool { return t.Visit == r.ID && t.Kind == k && t.On == r.On && t.Start == r.Start },
		)
	}
	switch {
	case r.State == Missed && !was(TellMissed):
		return TellMissed
	case r.State != Agreed:
		return ""
	case r.Waits && !was(TellLate):
		return TellLate
	case knew < 0:
		return TellAgreed
	case told[knew].On != r.On || told[knew].Start != r.Start:
		return TellMoved
	}
	return ""
}
