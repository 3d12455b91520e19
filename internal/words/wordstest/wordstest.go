// Package wordstest lets tests read what is said as people do: in English, in millimetres, nails by code.
package wordstest

import (
	"fribbet/internal/core/say"
	"fribbet/internal/core/units"
	"fribbet/internal/words"
)

var english = words.In(words.Units{Length: units.Millimetre, Weight: units.Kilogram, Codes: true}, "en")

// Of is the sentence.
func Of(l say.Line) string { return english.Say(l) }

// All are the sentences.
func All(lines []say.Line) []string { return english.All(lines) }

// Err is an error as it is told, refused fields in sentences; empty where there is none.
func Err(err error) string {
	if err == nil {
		return ""
	}
	return english.Err(err)
}
