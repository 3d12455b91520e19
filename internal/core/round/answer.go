package round

import (
	"regexp"
	"slices"
	"strings"
	"unicode"
)

// Answer is what an owner answered.
type Answer struct {
	Place int // that was chosen, from 1; 0 none
	No    bool
	Stop  bool
	Seen  bool // a person has read it, and sees to it
}

// Words that mean one thing when they stand alone, in any case (the stop words are those that message services are
// required to obey, CTIA Messaging Principles and Best Practices; the others are common usage, no source).
var (
	stopWords = []string{"stop", "end", "cancel", "unsubscribe", "quit", "stopp", "arret", "arrêt"}
	yesWords  = []string{
		"yes",
		"yes please",
		"yep",
		"yeah",
		"ok",
		"okay",
		"fine",
		"ja",
		"ja gern",
		"ja gerne",
		"gern",
		"gerne",
		"oui",
	}
	noWords = []string{"no", "nope", "nein", "non", "none", "none of these", "none of them", "not now"}

	// polite adds nothing to an answer, before it or after it.
	polite = []string{"please", "thanks", "thank you", "many thanks", "bitte", "danke", "hi", "hello", "merci"}

	lonePlace = regexp.MustCompile(`^(?:(?:number|nr|place|option|time|slot|nummer|platz) ?)?([0-9])$`)
	digits    = regexp.MustCompile(`[0-9]+`)
	refusing  = regexp.MustCompile(
		`\b(no|not|none|nein|non|nicht|kein|can ?t|cannot|don ?t|won ?t|neither|but|except|any)\b`,
	)
	stopsIn  = regexp.MustCompile(`\b(stop|stopp|unsubscribe|quit)\b`)
	numerals = map[string]int{
		"one":    1,
		"two":    2,
		"three":  3,
		"first":  1,
		"second": 2,
		"third":  3,
		"eins":   1,
		"zwei":   2,
		"drei":   3,
	}
)

// said is an answer in plain words: small letters, without the signs between them, without what is polite.
func said(text string) string {
	plain := strings.Map(func(r rune) rune {
		switch {
		case unicode.IsLetter(r), unicode.IsDigit(r), unicode.IsMark(r):
			return unicode.ToLower(r)
		default:
			return ' '
		}
	}, text)
	words := strings.Join(strings.Fields(plain), " ")
	for again := true; again; {
		again = false
		for _, p := range polite {
			cut := strings.TrimSuffix(strings.TrimPrefix(words, p+" "), " "+p)
			again = again || cut != words
			words = cut
		}
	}
	return words
}

// asks tells whether a text holds a question, an hour or a price: then no number in it is surely a place's.
func asks(text string) bool { return strings.ContainsAny(text, "?:/.,;+€$£") && !loneSign(text) }

// loneSign tells whether the only such sign is what ends the text.
func loneSign(text string) bool {
	return !strings.ContainsAny(strings.TrimRight(strings.TrimSpace(text), ".,;!:) "), "?:/.,;+€$£")
}

// ReadAnswer reads an answer to so many places; false where a person has to. Only what is unmistakable acts alone: a
// place's number by itself, yes to a single place, no by itself, a word that stops. With anything more in it, it is a
// person's.
func ReadAnswer(text string, places int) (Answer, bool) {
	words := said(text)
	switch {
	case strings.Contains(text, "?"):
		return Answer{}, false
	case slices.Contains(stopWords, words):
		return Answer{Stop: true}, true
	case slices.Contains(noWords, words):
		return Answer{No: true}, true
	case slices.Contains(yesWords, words):
		return Answer{Place: 1}, places == 1
	}
	if found := lonePlace.FindStringSubmatch(words); found != nil && !asks(text) {
		n := int(found[1][0] - '0')
		return Answer{Place: n}, n >= 1 && n <= places
	}
	return Answer{}, false
}

// GuessAnswer is what an answer that a person has to read probably means, so that one press does it; false where there
// is no telling.
func GuessAnswer(text string, places int) (Answer, bool) {
	words := said(text)
	named := map[int]bool{}
	for _, d := range digits.FindAllString(words, -1) {
		if len(d) == 1 {
			named[int(d[0]-'0')] = true
		}
	}
	for _, w := range strings.Fields(words) {
		if n, is := numerals[w]; is {
			named[n] = true
		}
	}
	switch {
	case stopsIn.MatchString(words) && len(named) == 0:
		return Answer{Stop: true}, true
	case refusing.MatchString(words) && len(named) == 0:
		return Answer{No: true}, true
	case !refusing.MatchString(words) && len(named) == 1:
		for n := range named {
			return Answer{Place: n}, n >= 1 && n <= places
		}
	case places == 1 && strings.HasPrefix(words, "yes"):
		return Answer{Place: 1}, !refusing.MatchString(words)
	}
	return Answer{}, false
}
