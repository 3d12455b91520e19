package round

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// answers are 120 as people write them, to three places, with what each means: a place, no, stop, or 0 for a person.
// They are ours, after common usage; no source.
var answers = map[string]Answer{
	// a place by itself
	"1": {
		Place: 1,
	},
	"2":        {Place: 2},
	"3":        {Place: 3},
	" 1 ":      {Place: 1},
	"1.":       {Place: 1},
	"2!":       {Place: 2},
	"1 please": {Place: 1},
	"Please 2": {Place: 2},
	"3 thanks": {Place: 3},
	"2, please!": {
		Place: 2,
	},
	"1 thank you":     {Place: 1},
	"Number 1":        {Place: 1},
	"number 2 please": {Place: 2},
	"No. 1":           {},
	"nr 3":            {Place: 3},
	"Option 2":        {Place: 2},
	"place 1":         {Place: 1},
	"#1": {
		Place: 1,
	},
	"(2)":            {Place: 2},
	"1 🙂":            {Place: 1},
	"Hi, 2 please":   {},
	"Nummer 1 bitte": {Place: 1},
	"2 bitte":        {Place: 2},
	"3 danke":        {Place: 3},
	"Slot 3":         {Place: 3},
	"time 2":         {Place: 2},
	"1 many thanks":  {Place: 1},
	"»2«":            {Place: 2},
	"*1*":            {Place: 1},
	"1)":             {Place: 1},
	// no by itself
	"no": {
		No: true,
	},
	"No":             {No: true},
	"NO!":            {No: true},
	"no thanks":      {No: true},
	"No, thank you.": {No: true},
	"Nope":           {No: true},
	"nein":           {No: true},
	"Nein danke":     {No: true},
	"none":           {No: true},
	"None of these": {
		No: true,
	},
	"not now":         {No: true},
	"Not now, thanks": {No: true},
	"non merci":       {No: true},
	"none of them":    {No: true},
	// stop by itself
	"STOP": {
		Stop: true,
	},
	"stop":        {Stop: true},
	"Stop.":       {Stop: true},
	"Please stop": {Stop: true},
	"stop please": {Stop: true},
	"END":         {Stop: true},
	"end":         {Stop: true},
	"CANCEL":      {Stop: true},
	"unsubscribe": {
		Stop: true,
	},
	"Quit":         {Stop: true},
	"STOPP":        {Stop: true},
	"ARRET":        {Stop: true},
	"arrêt":        {Stop: true},
	"Stop, thanks": {Stop: true},
	"Stopp bitte":  {Stop: true},
	"UNSUBSCRIBE!": {Stop: true},
	// a person's
	"I can't do 1, call me":           {},
	"Any but 1":                       {},
	"Stop by at 2?":                   {},
	"1 or 2":                          {},
	"not 2":                           {},
	"4":                               {},
	"0":                               {},
	"maybe":                           {},
	"":                                {},
	"who is this?":                    {},
	"2?":                              {},
	"1 if you can hold him":           {},
	"can we make it 3 pm":             {},
	"3pm":                             {},
	"at 2":                            {},
	"10:15":                           {},
	"1 works but only after 3":        {},
	"yes":                             {},
	"ok":                              {},
	"Yes please":                      {},
	"sounds good":                     {},
	"the first one":                   {},
	"first":                           {},
	"two":                             {},
	"1 and 2 both fine":               {},
	"12":                              {},
	"1/2":                             {},
	"1.30":                            {},
	"both":                            {},
	"any":                             {},
	"whatever suits you":              {},
	"no 1":                            {},
	"no, 2":                           {},
	"No 2 for me":                     {},
	"not 1 or 2":                      {},
	"neither 1":                       {},
	"1 week later":                    {},
	"call me":                         {},
	"in 2 weeks":                      {},
	"he is 3 now":                     {},
	"stop calling him fat 1":          {},
	"don't stop":                      {},
	"end of the week?":                {},
	"cancel 1":                        {},
	"cancel the one on Tuesday":       {},
	"stopping by at 1":                {},
	"no I mean yes 1":                 {},
	"yes 1 no wait 2":                 {},
	"2 dogs this time":                {},
	"can I bring 2":                   {},
	"How much for 1?":                 {},
	"20":                              {},
	"1 minute please":                 {},
	"Unsubscribe me from 2":           {},
	"quit that 3":                     {},
	"£20?":                            {},
	"I'll take 2 if it is still free": {},
	"I would like 1":                  {},
	"1 looks great, see you":          {},
	"Tuesday":                         {},
	"Tue 1":                           {},
	"Thursday at two":                 {},
}

// No answer books a place, stops an owner or says no that did not say so unmistakably; of those that did, at most one
// in five waits for a person.
func TestOnlyWhatIsUnmistakableActs(t *testing.T) {
	assert.GreaterOrEqual(t, len(answers), 120)
	plain, waits := 0, 0
	for text, want := range answers {
		got, is := ReadAnswer(text, 3)
		if want == (Answer{}) {
			assert.False(t, is, "%q is for a person, and did %+v", text, got)
			continue
		}
		if plain++; !is {
			waits++
			continue
		}
		assert.Equal(t, want, got, text)
	}
	t.Logf("%d of %d plain answers wait for a person", waits, plain)
	assert.LessOrEqual(t, 5*waits, plain)
}

func TestYesTakesASinglePlace(t *testing.T) {
	for _, text := range []string{"yes", "Yes please", "OK", "ja gerne", "fine!"} {
		got, is := ReadAnswer(text, 1)
		assert.True(t, is, text)
		assert.Equal(t, Answer{Place: 1}, got, text)
	}
	for _, text := range []string{"yes but later", "ok?", "yes or no"} {
		_, is := ReadAnswer(text, 1)
		assert.False(t, is, text)
	}
}

// What a person has to read comes with what it probably means, for one press; where there is no telling, with nothing.
func TestAPersonIsGivenAGuess(t *testing.T) {
	for text, want := range map[string]Answer{
		"I would like 1": {Place: 1}, "the first one": {Place: 1}, "Thursday, number 2": {Place: 2}, "1 looks great, see you": {Place: 1},
		"I can't make any of them": {No: true}, "please stop texting me": {Stop: true},
	} {
		got, is := GuessAnswer(text, 3)
		assert.True(t, is, text)
		assert.Equal(t, want, got, text)
	}
	for _, text := range []string{"1 or 2", "any but 1", "call me", "I can't do 1, call me", "", "7"} {
		_, is := GuessAnswer(text, 3)
		assert.False(t, is, text)
	}
}
