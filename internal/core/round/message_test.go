package round

import (
	"fribbet/internal/core/say"
	"fribbet/internal/words/wordstest"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestMessagesAreInTheUsersWords(t *testing.T) {
	usual := map[MessageKind]string{}
	for _, kind := range MessageKinds() {
		usual[kind] = wordstest.Of(say.Of("message." + say.Key(kind)))
	}
	assert.Empty(t, CheckTexts(usual))
	f := Facts{Dog: "Fig", Places: []string{"Tue 8 Dec 10:15", "Wed 9 Dec 9:00"}}
	assert.Equal(
		t,
		"Fig's nails are due. 1: Tue 8 Dec 10:15, 2: Wed 9 Dec 9:00. The first to answer has the place: answer with its number, or no. Stop: no more messages.",
		Write(usual[TellPlaces], f),
	)
	bad := CheckTexts(map[MessageKind]string{TellAgreed: "{dog} {illness}", TellLate: ""})
	assert.Len(t, bad, 6)
	assert.Contains(t, wordstest.Of(bad[0].Want), "must be one of {dog}, {at}")
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

// A message is looked at again before it goes out.
func TestWhatIsTrueNoMoreIsNotSent(t *testing.T) {
	place := func(v *Visit) []ToldPlace { return []ToldPlace{{On: monday, Start: At(10, 0), Visit: v}} }
	agreed := &Visit{On: monday, Start: At(10, 0), State: Agreed}
	for why, a := range map[string]About{
		"the visit was called off since": {Kind: TellTomorrow, Today: monday.AddDays(-1), Places: place(&Visit{On: monday, Start: At(10, 0), State: CalledOff})},
		"the visit was moved since":      {Kind: TellAgreed, Today: monday, Places: place(&Visit{On: monday, Start: At(11, 0), State: Agreed})},
		"the visit stands otherwise now": {Kind: TellMissed, Today: monday, Places: place(agreed)},
		"its day has gone by":            {Kind: TellLate, Today: monday.AddDays(1), Places: place(agreed)},
		"a visit was agreed since":       {Kind: TellDue, Today: monday, Comes: true},
	} {
		assert.Equal(t, why, wordstest.Of(a.TooLate()))
	}
	for _, a := range []About{
		{Kind: TellAgreed, Today: monday, Places: place(agreed)}, {Kind: TellPlaces, Today: monday, Places: place(nil)},
		{Kind: TellDue, Today: monday},
		{Kind: TellMissed, Today: monday.AddDays(1), Places: place(&Visit{On: monday, Start: At(10, 0), State: Missed})},
	} {
		assert.Empty(t, wordstest.Of(a.TooLate()))
	}
	assert.Equal(
		t,
		"its day has gone by",
		wordstest.Of(About{Kind: TellPlaces, Today: monday.AddDays(1), Places: place(nil)}.TooLate()),
	)
}

// What an owner does not know yet is to be told once.
func TestWhatAnOwnerIsToBeTold(t *testing.T) {
	v := Runs{Visit: Visit{ID: "v", On: monday, Start: At(10, 0), State: Agreed}}
	told := []ToldTime{{Visit: "another", Kind: TellAgreed, On: monday, Start: At(10, 0)}}
	tell := func(kind MessageKind) { told = append([]ToldTime{{v.ID, kind, v.On, v.Start}}, told...) }
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

func TestWhatAnAnswerComesTo(t *testing.T) {
	for _, c := range []struct {
		kind   MessageKind
		before MessageState
		answer Answer
		clear  bool
		want   MessageState
	}{
		{TellPlaces, MessageDelivered, Answer{Place: 1}, true, MessageAnswered},
		{TellPlaces, MessageDelivered, Answer{}, false, MessagePerson},
		{TellPlaces, MessageAnswered, Answer{Place: 2}, true, MessagePerson},
		{TellTomorrow, MessageDelivered, Answer{No: true}, true, MessagePerson},
		{TellTomorrow, MessageAnswered, Answer{Stop: true}, true, MessageAnswered},
	} {
		state, why := c.kind.Answered(c.before, c.answer, c.clear)
		assert.Equal(t, c.want, state, "%+v", c)
		assert.Equal(t, c.want == MessagePerson, !why.Nothing(), "a person is told why")
	}
	assert.False(t, Reminds(At(16, 59)))
	assert.True(t, Reminds(At(17, 0)))
}
