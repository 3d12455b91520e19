package api

import (
	"context"
	"log/slog"

	"github.com/gin-gonic/gin"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

// spoken is where a request keeps how it is answered: a function, since Settings are read only where there is something
// to say.
const spoken = "words"

// speaking makes requests answered in the language that their browser wants, in the units of Settings.
func speaking(b *book.Book) gin.HandlerFunc {
	return func(c *gin.Context) {
		wants := c.GetHeader("Accept-Language")
		c.Set(spoken, func(ctx context.Context) words.Words {
			w, err := b.Words(ctx, wants)
			if err != nil { // what is asked for fails by itself then
				slog.Error("words", "err", err)
			}
			return w
		})
	}
}

// speaks are the words of whoever asks.
func speaks(ctx context.Context) words.Words {
	wants := ""
	if c, is := ctx.(*gin.Context); is {
		if of, is := c.Value(spoken).(func(context.Context) words.Words); is {
			return of(c)
		}
		wants = c.GetHeader("Accept-Language") // there is no book yet
	}
	return words.In(words.Units{}, wants)
}

// lines are what is said, with its words.
func lines(w words.Words, said []say.Line) []contract.Line {
	out := make([]contract.Line, len(said))
	for i, l := range said {
		out[i] = contract.Line{Key: string(l.Key), Says: w.Say(l)}
		if len(l.Args) > 0 {
			args := map[string]any{}
			for name, value := range l.Args {
				args[name] = value
			}
			out[i].Args = args
		}
	}
	return out
}
