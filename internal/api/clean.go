package api

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"
	"net/http"
	"strings"
	"unicode"

	"github.com/gin-gonic/gin"
	"golang.org/x/text/unicode/norm"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// cleanBody takes out of every text of a request what nobody can see: control letters, and marks that turn
// the writing round or take no room. Letters are written one way (Unicode NFC). Two JSON values are no request.
func cleanBody(c *gin.Context) {
	if c.FullPath() == importPath {
		return
	}
	body, err := io.ReadAll(c.Request.Body)
	if err != nil {
		refuse(c, err)
		return
	}
	reader := json.NewDecoder(bytes.NewReader(body))
	reader.UseNumber() // a number stays as it was written
	var value any
	if reader.Decode(&value) == nil {
		if _, err := reader.Token(); !errors.Is(err, io.EOF) {
			f := fault.Field{Name: "body", Value: say.Of(moreThanOne), Want: say.Of(mustBeOneObject)}
			wrong(c, http.StatusBadRequest, fault.Fields{f})
			return
		}
		if cleaned, err := json.Marshal(cleaned(value)); err == nil {
			body = cleaned
		}
	}
	c.Request.Body, c.Request.ContentLength = io.NopCloser(bytes.NewReader(body)), int64(len(body))
}

func cleaned(value any) any {
	switch v := value.(type) {
	case string:
		return cleanText(v)
	case []any:
		for i := range v {
			v[i] = cleaned(v[i])
		}
	case map[string]any:
		for key := range v {
			v[key] = cleaned(v[key])
		}
	}
	return value
}

// joiners stand between letters of some scripts, where they change how those are written; elsewhere they
// only hide.
const joiners = "\u200c\u200d"

func cleanText(text string) string {
	letters := []rune(norm.NFC.String(text))
	var out strings.Builder
	for i, r := range letters {
		switch {
		case strings.ContainsRune(joiners, r):
			if i == 0 || i == len(letters)-1 || letters[i-1] < unicode.MaxLatin1 || letters[i+1] < unicode.MaxLatin1 {
				continue
			}
		case r == '\n' || r == '\t':
			r = ' '
		case unicode.Is(unicode.C, r): // control, format, surrogate, unassigned to anybody
			continue
		}
		out.WriteRune(r)
	}
	return out.String()
}
