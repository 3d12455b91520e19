// Package words puts what the core says into sentences: one catalogue a language, in the user's units.
package words

import (
	"embed"
	"fmt"
	"io/fs"
	"strconv"

	"github.com/BurntSushi/toml"
	"github.com/nicksnyder/go-i18n/v2/i18n"
	"golang.org/x/text/language"

	"fribbet/internal/core/say"
	"fribbet/internal/core/units"
)

// catalogues holds one folder a language, one file a subject.
//
//go:embed en
var catalogues embed.FS

var bundle = func() *i18n.Bundle {
	b := i18n.NewBundle(language.English)
	b.RegisterUnmarshalFunc("toml", toml.Unmarshal)
	files, err := fs.Glob(catalogues, "*/*.toml")
	for _, file := range files {
		var text []byte
		if text, err = catalogues.ReadFile(file); err != nil {
			break
		}
		if _, err = b.ParseMessageFileBytes(text, languageOf(file)+".toml"); err != nil {
			err = fmt.Errorf("%s: %w", file, err)
			break
		}
	}
	if err != nil { // it is built in: a test looks at every file
		panic(err)
	}
	return b
}()

// languageOf is the folder that a catalogue's file stands in.
func languageOf(file string) string { return file[:2] }

// Words speaks one language in somebody's units.
type Words struct {
	localizer *i18n.Localizer
	length    units.Display
}

// In speaks the first of these languages that there is, as browsers name them, and shows lengths so.
func In(length units.Length, languages ...string) Words {
	return Words{i18n.NewLocalizer(bundle, languages...), length.Display()}
}

// Say is the sentence. Where the catalogue has none it is the key itself, so that nothing is said wrongly.
func (w Words) Say(l say.Line) string {
	config := i18n.LocalizeConfig{MessageID: string(l.Key)}
	data := map[string]string{}
	for name, value := range l.Args {
		if n, is := value.(say.Count); is {
			config.PluralCount = int(n)
		}
		data[name] = w.put(value)
	}
	config.TemplateData = data
	text, err := w.localizer.Localize(&config)
	if err != nil {
		return string(l.Key)
	}
	return text
}

func (w Words) put(value say.Value) string {
	switch v := value.(type) {
	case say.Length:
		return w.number(float64(v)) + " " + w.length.Symbol
	case say.Lengths:
		return w.number(v.Low) + " to " + w.number(v.High)
	case say.Count:
		return strconv.Itoa(int(v))
	default:
		return fmt.Sprint(value)
	}
}

// number is a length without its unit; half a tenth of a millimetre is not told.
func (w Words) number(mm float64) string {
	return strconv.FormatFloat(mm*w.length.PerStored, 'f', w.length.Decimals, 64)
}
