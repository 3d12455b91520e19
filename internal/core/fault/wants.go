package fault

import (
	"fmt"
	"strings"

	"fribbet/internal/core/say"
)

// What is wanted in many places, and what stood there instead.
const (
	atLeast      say.Key = "fault.at_least"
	fromTo       say.Key = "fault.from_to"
	atMost       say.Key = "fault.at_most"
	oneOf        say.Key = "fault.one_of"
	once         say.Key = "fault.once"
	mostLetters  say.Key = "fault.most_letters"
	lettersTo    say.Key = "fault.letters_to"
	someNail     say.Key = "fault.some_nail"
	someWeight   say.Key = "fault.some_weight"
	someDay      say.Key = "fault.some_day"
	notAhead     say.Key = "fault.not_ahead"
	mostCuts     say.Key = "fault.most_cuts"
	nailsTo      say.Key = "fault.nails_to"
	cutThatBled  say.Key = "fault.cut_that_bled"
	cutsGiven    say.Key = "fault.cuts_given"
	lettersGiven say.Key = "fault.letters_given"
	together     say.Key = "fault.together"
)

func counted(key say.Key, n int) say.Line { return say.Of(key, say.Args{"n": say.Count(n)}) }

// AtMost is a number that a count may not pass.
func AtMost(n int) say.Line { return counted(atMost, n) }

// AnyOf is one of a few words of the contract.
func AnyOf(words any) say.Line {
	return say.Of(
		oneOf,
		say.Args{"words": say.Name(strings.ReplaceAll(strings.Trim(fmt.Sprint(words), "[]"), " ", ", "))},
	)
}

// Once is what may not be there twice.
func Once() say.Line { return say.Of(once) }

// MostLetters is how long a text may be.
func MostLetters(n int) say.Line { return counted(mostLetters, n) }

// FromOneLetterTo is how long a text may be that must be there.
func FromOneLetterTo(n int) say.Line { return counted(lettersTo, n) }

// SomeNail is at least one.
func SomeNail() say.Line { return say.Of(someNail) }

// SomeWeight is at least one.
func SomeWeight() say.Line { return say.Of(someWeight) }

// SomeDay is at least one of the week.
func SomeDay() say.Line { return say.Of(someDay) }

// NotAhead is a day up to today.
func NotAhead() say.Line { return say.Of(notAhead) }

// MostCuts is how many cuts a nail may have.
func MostCuts(n int) say.Line { return counted(mostCuts, n) }

// NailsTo is from one to so many nails.
func NailsTo(n int) say.Line { return counted(nailsTo, n) }

// TheCutThatBled belongs to a nail that bled.
func TheCutThatBled() say.Line { return say.Of(cutThatBled) }

// Cuts is how many were given.
func Cuts(n int) say.Line { return counted(cutsGiven, n) }

// LettersOf is how many were given.
func LettersOf(n int) say.Line { return counted(lettersGiven, n) }

// Together is what was given in all, mm.
func Together(mm float64) say.Line { return say.Of(together, say.Args{"length": say.Length(mm)}) }
