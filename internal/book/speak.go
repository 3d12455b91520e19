package book

import (
	"context"
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
	"fribbet/internal/words"
)

// Words are those of whoever reads: the first of these languages that there is, else the book's own; in the units of
// Settings, nails by code but for whoever has a dog at home.
func (b *Book) Words(ctx context.Context, languages ...string) (words.Words, error) {
	s, err := b.Settings(ctx)
	return words.In(
		words.Units{Length: s.LengthUnit, Weight: s.WeightUnit, Codes: s.Role != Keeper},
		append(languages, s.Language)...), err
}

// wordsFor are those of an owner: their language, else the book's; nails as people say them.
func (b *Book) wordsFor(ctx context.Context, o store.Owner) (words.Words, error) {
	s, err := b.Settings(ctx)
	return words.In(words.Units{Length: s.LengthUnit, Weight: s.WeightUnit}, o.Language, s.Language), err
}

// UsualText is what a message says as long as the user has no words of their own. None names a health matter.
func UsualText(w words.Words, kind round.MessageKind) string {
	return w.Say(say.Of("message." + say.Key(kind)))
}

// Usual tells whether a message's text is the usual one, in any language: then it is no text of the user's own.
func Usual(kind round.MessageKind, text string) bool {
	return slices.ContainsFunc(words.Languages(), func(language string) bool {
		return UsualText(words.In(words.Units{}, language), kind) == text
	})
}

// spoken notes a language that there are no words for.
func spoken(f *fault.Fields, language string) {
	if !slices.Contains(words.Languages(), language) {
		f.Add("language", language, fault.AnyOf(words.Languages()))
	}
}
