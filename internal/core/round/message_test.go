package round

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestMessagesAreInTheUsersWords(t *testing.T) {
	assert.Empty(t, CheckTexts(UsualTexts))
	f := Facts{Dog: "Fig", Places: []string{"Tue 8 Dec 10:15", "Wed 9 Dec 9:00"}}
	assert.Equal(t, "Fig's nails are due. 1: Tue 8 Dec 10:15, 2: Wed 9 Dec 9:00. Answer with the number, or no. Stop: no more messages.", Write(UsualTexts[TellPlaces], f))
	bad := CheckTexts(map[MessageKind]string{TellAgreed: "{dog} {illness}", TellLate: ""})
	assert.Len(t, bad, 6)
	assert.Contains(t, bad[0].Want, "must be one of {dog}, {at}")
}

func TestAnswersAsOwnersWriteThem(t *testing.T) {
	for text, want := range map[string]Answer{
		"2": {Place: 2}, " 1 please!": {Place: 1}, "No thanks": {No: true}, "none of these": {No: true}, "STOP": {Stop: true}, "stop texting me": {Stop: true},
	} {
		got, is := ReadAnswer(text, 3)
		assert.True(t, is, text)
		assert.Equal(t, want, got, text)
	}
	for _, text := range []string{"4", "0", "maybe", "", "1 or 2", "not 2", "who is this?"} {
		_, is := ReadAnswer(text, 3)
		assert.False(t, is, "%q is for a person", text)
	}
}

func TestAFailedMessageWaitsLongerAndLonger(t *testing.T) {
	last := time.Duration(0)
	for failures := 1; failures < mostFailures; failures++ {
		wait, goes := Again(failures)
		assert.True(t, goes)
		assert.Greater(t, wait, last)
		last = wait
	}
	_, goes := Again(mostFailures)
	assert.False(t, goes, "it waits for a person")
	assert.True(t, Quiet(At(22, 0)) && Quiet(At(7, 59)) && !Quiet(At(8, 0)))
}

// What an owner does not know yet is to be told once.
func TestWhatAnOwnerIsToBeTold(t *testing.T) {
	v := Runs{Visit: Visit{ID: "v", On: monday, Start: At(10, 0), State: Agreed}}
	told := []Told{{Visit: "another", Kind: TellAgreed, On: monday, Start: At(10, 0)}}
	tell := func(kind MessageKind) { told = append([]Told{{v.ID, kind, v.On, v.Start}}, told...) }
	next := func(want MessageKind) { t.Helper(); assert.Equal(t, want, v.ToTell(told)) }

	next(TellAgreed)
	tell(TellAgreed)
	next("")
	v.Start = At(11, 0)
	next(TellMoved)
	tell(TellMoved)
	next("")
	v.Waits = true
	next(TellLate)
	tell(TellLate)
	next("")
	v.State = Missed
	next(TellMissed)
	tell(TellMissed)
	next("")
	v.State = CalledOff
	next("")
}
