// Package words puts what the core says into sentences: one catalogue a language, in the user's units.
package words

import (
	"embed"
	"fmt"
	"io/fs"
	"math"
	"path"
	"strconv"
	"strings"
	"time"
	"unicode"
	"unicode/utf8"

	"github.com/BurntSushi/toml"
	"github.com/nicksnyder/go-i18n/v2/i18n"
	"golang.org/x/text/language"

	"fribbet/internal/core/say"
	"fribbet/internal/core/units"
)

// catalogues holds one folder a language, one file a subject.
//
//go:embed en de
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
		if _, err = b.ParseMessageFileBytes(text, path.Dir(file)+".toml"); err != nil {
			err = fmt.Errorf("%s: %w", file, err)
			break
		}
	}
	if err != nil { // it is built in: a test looks at every file
		panic(err)
	}
	return b
}()

// matcher chooses a language that there is.
var matcher = language.NewMatcher(bundle.LanguageTags())

// Units are those that somebody chose.
type Units struct {
	Length units.Length
	Weight units.Weight
	Codes  bool // nails are named as groomers do, LF3, and not as a left fore third toe
}

// Words speaks one language in somebody's units.
type Words struct {
	Language  string // en, de
	localizer *i18n.Localizer
	length    units.Display
	weight    units.Display
	codes     bool
}

// In speaks the first of these languages that there is, as browsers name them, and shows lengths and weights so.
func In(u Units, languages ...string) Words {
	return Words{
		Language(languages...),
		i18n.NewLocalizer(bundle, languages...),
		u.Length.Display(),
		u.Weight.Display(),
		u.Codes,
	}
}

// Language is the one of these that there is words for, by its short name: en, de.
func Language(languages ...string) string {
	_, at := language.MatchStrings(matcher, languages...)
	base, _ := bundle.LanguageTags()[at].Base()
	return base.String()
}

// Languages are those that there are words for, by their short names.
func Languages() []string {
	var all []string
	for _, tag := range bundle.LanguageTags() {
		base, _ := tag.Base()
		all = append(all, base.String())
	}
	return all
}

// Manner tells words apart that would say the same otherwise: by language, units, and how nails are named.
func (w Words) Manner() string {
	return fmt.Sprint(w.Language, w.length.Symbol, w.weight.Symbol, w.codes)
}

// What words need themselves, beside what they are asked to say.
const (
	decimalPoint say.Key = "words.decimal_point"
	listAnd      say.Key = "words.list_and"
	listMore     say.Key = "words.list_more"
	span         say.Key = "words.span"
	shortDay     say.Key = "words.day"
	longDay      say.Key = "words.long_day"
)

// Say is the sentence. Where the catalogue has none it is the key itself, so that nothing is said wrongly.
func (w Words) Say(l say.Line) string {
	if l.Nothing() {
		return ""
	}
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
	if err != nil && config.PluralCount != nil { // a text that is the same for one and many
		config.PluralCount = nil
		text, err = w.localizer.Localize(&config)
	}
	if err != nil {
		return string(l.Key)
	}
	return text
}

// All says each line.
func (w Words) All(lines []say.Line) []string {
	out := make([]string, len(lines))
	for i, l := range lines {
		out[i] = w.Say(l)
	}
	return out
}

func (w Words) put(value say.Value) string {
	switch v := value.(type) {
	case say.Line:
		return w.Say(v)
	case say.Lines:
		var all []string
		for _, l := range v {
			if !l.Nothing() {
				all = append(all, w.Say(l))
			}
		}
		return strings.Join(all, ", ")
	case say.Length:
		return w.number(float64(v)) + " " + w.length.Symbol
	case say.Lengths:
		return w.Say(say.Of(span, say.Args{"low": say.Name(w.number(v.Low)), "high": say.Name(w.number(v.High))}))
	case say.Weight:
		return w.decimal(float64(v)*w.weight.PerStored, w.weight.Decimals) + " " + w.weight.Symbol
	case say.Bound:
		return w.bound(float64(v), w.length)
	case say.Heavy:
		return w.bound(float64(v), w.weight)
	case say.Symbol:
		return map[say.Symbol]string{"length": w.length.Symbol, "weight": w.weight.Symbol}[v]
	case say.Count:
		return strconv.Itoa(int(v))
	case say.Whole:
		return strconv.Itoa(int(v))
	case say.Round:
		return w.decimal(float64(v), 0)
	case say.Tenths:
		return w.decimal(float64(v), 1)
	case say.Number:
		return w.digits(float64(v))
	case say.Names:
		return w.list(v)
	case say.Nails:
		return w.nails(v)
	case say.Paws:
		return w.paws(v)
	case say.Start:
		return upper(w.Say(say.Line(v)))
	case say.All:
		return strings.Join(v, ", ")
	case say.Day:
		return w.day(shortDay, time.Time(v))
	case say.LongDay:
		return w.day(longDay, time.Time(v))
	case say.Clock:
		return fmt.Sprintf("%02d:%02d", int(v)/60, int(v)%60)
	default:
		return fmt.Sprint(value)
	}
}

// own is a text without anything in it.
func (w Words) own(key say.Key) string { return w.Say(say.Line{Key: key}) }

// number is a length without its unit; half a tenth of a millimetre is not told.
func (w Words) number(mm float64) string {
	return w.decimal(mm*w.length.PerStored, w.length.Decimals)
}

// digits are those that a number has, six at most.
func (w Words) digits(n float64) string {
	return strings.Replace(strconv.FormatFloat(n, 'g', 6, 64), ".", w.own(decimalPoint), 1)
}

// bound is what bounds an input, as somebody would type it in their unit.
func (w Words) bound(stored float64, unit units.Display) string {
	if unit.PerStored == 1 {
		return w.digits(stored)
	}
	rounding := math.Pow10(unit.Decimals)
	return w.digits(math.Round(stored*unit.PerStored*rounding) / rounding)
}

func upper(text string) string {
	first, size := utf8.DecodeRuneInString(text)
	return string(unicode.ToUpper(first)) + text[size:]
}

func (w Words) decimal(n float64, digits int) string {
	if math.Abs(n) < 0.5*math.Pow10(-digits) {
		n = 0 // never -0
	}
	return strings.Replace(strconv.FormatFloat(n, 'f', digits, 64), ".", w.own(decimalPoint), 1)
}

// list names things as people would: all of up to three, else the first two and how many more.
func (w Words) list(names []string) string {
	switch n := len(names); {
	case n == 0:
		return ""
	case n == 1:
		return names[0]
	case n <= 3:
		return strings.Join(names[:n-1], ", ") + w.own(listAnd) + names[n-1]
	default:
		return w.Say(
			say.Of(listMore, say.Args{"first": say.Name(names[0] + ", " + names[1]), "more": say.Whole(n - 2)}),
		)
	}
}

func (w Words) day(form say.Key, day time.Time) string {
	name := func(of string, n int) say.Value {
		return say.Name(w.own(say.Key(fmt.Sprintf("words.%s_%d", of, n))))
	}
	weekday, month := int(day.Weekday()), int(day.Month())
	return w.Say(say.Of(form, say.Args{
		"weekday": name(
			"weekday",
			weekday,
		),
		"weekday_short": name("weekday_short", weekday),
		"day":           say.Whole(day.Day()),
		"month":         name("month", month),
		"month_short":   name("month_short", month),
		"year":          say.Whole(day.Year()),
	}))
}
