package words

import (
	"errors"
	"fmt"
	"strings"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

const (
	refusal  say.Key = "words.refusal"
	refusals say.Key = "words.refusals_more"
)

// Refused says each refused field in one line, the first of many.
func (w Words) Refused(f fault.Fields) string {
	var lines []string
	for _, one := range f[:min(len(f), fault.MostInLine)] {
		line := one.Name + ": " + w.Say(one.Want)
		if given := w.Given(one); given != "" {
			line = w.Say(say.Of(refusal, say.Args{"wanted": say.Name(line), "given": say.Name(given)}))
		}
		lines = append(lines, line)
	}
	if more := len(f) - fault.MostInLine; more > 0 {
		lines = append(lines, w.Say(say.Of(refusals, say.Args{"n": say.Count(more)})))
	}
	return strings.Join(lines, "; ")
}

// Field is what is asked for, as people say it: nails[2].gap_mm is the gap to the floor. Empty where nobody asks for it
// in a form.
func (w Words) Field(name string) string {
	last := name[strings.LastIndex(name, ".")+1:]
	key := "field." + say.Key(strings.TrimRight(last, "[]0123456789"))
	if text := w.Say(say.Of(key)); text != string(key) {
		return text
	}
	return ""
}

// Given is what stood in a refused field.
func (w Words) Given(f fault.Field) string {
	switch v := f.Value.(type) {
	case nil:
		return ""
	case say.Value:
		return w.put(v)
	default:
		return fmt.Sprint(v)
	}
}

// Err says an error: refused fields in words, another as it says itself.
func (w Words) Err(err error) string {
	var f fault.Fields
	var one interface{ Says() say.Line }
	switch {
	case errors.As(err, &f):
		return w.Refused(f)
	case errors.As(err, &one):
		return w.Say(one.Says())
	default:
		return err.Error()
	}
}
