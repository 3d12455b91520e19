package book

import (
	"context"
	"errors"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// bookedBy is the visit that the answer to a message books.
func bookedBy(m store.Message) uuid.UUID { return uuid.NewSHA1(m.ID, []byte("visit")) }

// SendAgain lets a message go out that waits for a person.
func (b *Book) SendAgain(ctx context.Context, id uuid.UUID) error {
	m, err := b.store.Message(ctx, id)
	if err != nil {
		return err
	}
	if m.State != round.MessageFailed {
		return fault.Fields{{Name: "message_id", Value: string(m.State), Want: say.Of(mustBeAMessageThat)}}
	}
	m.State, m.Failures, m.Said, m.Next = round.MessageWaiting, 0, say.Line{}, b.now()
	return b.store.MoveMessage(ctx, m, b.now())
}

// atOncePosted is how many messages go out in one round of the post.
const atOncePosted = 20

// Post is one round of the post: what the service has to say is heard, tomorrow's owners are reminded where the user
// wants that, and what may go out goes out.
func (b *Book) Post(ctx context.Context) error {
	if b.gateway == nil {
		return nil
	}
	if err := b.hearAll(ctx); err != nil {
		return err
	}
	if round.Quiet(b.Clock()) {
		return nil
	}
	if err := b.remind(ctx); err != nil {
		return err
	}
	waiting, err := b.store.Waiting(ctx, b.now(), atOncePosted)
	if err != nil {
		return err
	}
	for _, m := range waiting {
		late, err := b.tooLate(ctx, m)
		switch {
		case err != nil:
			return err
		case !late.Nothing():
			m.State, m.Said = round.MessageFailed, say.Of(notSent, say.Args{"why": late})
		default:
			if failed := b.gateway.Send(m.ID.String(), m.To, m.Text); failed != nil {
				m.Failures++
				wait, goes := round.Again(m.Failures)
				m.Next = b.now().Add(wait)
				if !goes {
					m.State, m.Said = round.MessageFailed, say.Plain(failed.Error())
				}
			} else {
				m.State = round.MessageSent
			}
		}
		if err := b.store.MoveMessage(ctx, m, b.now()); err != nil {
			return err
		}
	}
	return nil
}

// tooLate says why a message that was written is not sent after all; empty where it may go out.
func (b *Book) tooLate(ctx context.Context, m store.Message) (say.Line, error) {
	owner, err := b.store.Owner(ctx, m.OwnerID)
	if errors.Is(err, store.ErrNotFound) {
		return say.Of(ownerGone), nil
	}
	if err != nil {
		return say.Line{}, err
	}
	stopped, err := b.store.StoppedAt(ctx, m.To)
	if err != nil {
		return say.Line{}, err
	}
	if owner.Stopped || stopped {
		return say.Of(ownerSaidStop), nil
	}
	about := round.About{Kind: m.Kind, Today: b.Today()}
	for _, p := range m.Places {
		place := round.ToldPlace{On: p.On, Start: p.Start}
		if p.Visit != nil {
			v, err := b.store.Visit(ctx, *p.Visit)
			if err != nil && !errors.Is(err, store.ErrNotFound) {
				return say.Line{}, err
			}
			place.Visit = &round.Visit{On: v.On, Start: v.Start, State: v.State}
		}
		about.Places = append(about.Places, place)
	}
	if m.Kind == round.TellDue {
		visits, err := b.store.VisitsOf(ctx, m.DogID)
		if err != nil {
			return say.Line{}, err
		}
		about.Comes = slices.ContainsFunc(
			visits,
			func(v store.Visit) bool { return !v.On.Before(b.Today()) && v.State.Takes() },
		)
	}
	return about.TooLate(), nil
}

// remind writes to tomorrow's owners, each visit once.
func (b *Book) remind(ctx context.Context) error {
	w, err := b.WorkingWeek(ctx)
	if err != nil || !w.Remind || !round.Reminds(b.Clock()) {
		return err
	}
	tomorrow := b.Today().AddDays(1)
	visits, err := b.store.Visits(ctx, tomorrow, tomorrow)
	if err != nil {
		return err
	}
	for _, v := range visits {
		if v.State != round.Agreed {
			continue
		}
		var refused fault.Fields
		if _, err := b.TellOwner(
			ctx,
			uuid.NewSHA1(v.ID, []byte("tomorrow "+tomorrow.String())),
			v.Dog.DogID,
			round.TellTomorrow,
		); err != nil &&
			!errors.As(err, &refused) {
			return err
		}
	}
	return nil
}

// hearAll hears what the service has to say, report by report: one that is heard again comes to the same.
func (b *Book) hearAll(ctx context.Context) error {
	since, err := b.store.Heard(ctx)
	if err != nil {
		return err
	}
	reports, err := b.gateway.Reports(since)
	if err != nil {
		return err
	}
	for _, r := range reports {
		if err := b.hear(ctx, r); err != nil {
			return err
		}
		if err := b.store.Hear(ctx, r.Number); err != nil {
			return err
		}
	}
	return nil
}

func (b *Book) hear(ctx context.Context, r round.Report) error {
	id, err := uuid.Parse(r.ID)
	if err != nil {
		return nil //nolint:nilerr // another's message
	}
	m, err := b.store.Message(ctx, id)
	if errors.Is(err, store.ErrNotFound) {
		return nil
	}
	if err != nil {
		return err
	}
	if r.Number <= m.Heard { // it was heard, and the program ended before it could say so
		return nil
	}
	m.Heard = r.Number
	if r.Answer == "" {
		if m.State == round.MessageSent || m.State == round.MessageWaiting {
			m.State = round.MessageDelivered
		}
		return b.store.MoveMessage(ctx, m, b.now())
	}
	return b.answered(ctx, m, r)
}

// answered does what an owner's answer says.
func (b *Book) answered(ctx context.Context, m store.Message, r round.Report) error {
	answer, is := round.ReadAnswer(r.Answer, len(m.Places))
	m.Answer = r.Answer
	m.State, m.Said = m.Kind.Answered(m.State, answer, is)
	if m.State == round.MessageAnswered {
		if err := b.meant(ctx, &m, answer, r.Number); err != nil {
			return err
		}
	}
	return b.store.MoveMessage(ctx, m, b.now())
}

// meant does what an answer to an offer means.
func (b *Book) meant(ctx context.Context, m *store.Message, answer round.Answer, number int) (err error) {
	switch {
	case answer.Stop:
		return b.stopSending(ctx, m)
	case answer.Seen:
		m.Said = say.Of(readAndSeenToBy)
		return nil
	case answer.No:
		m.Said = say.Of(notNowAskedAgainIn, say.Args{"weeks": say.Count(round.RefusedWeeks)})
		return b.NotNow(ctx, m.DogID, round.RefusedWeeks)
	default:
		m.Said, err = b.chosen(ctx, *m, m.Places[answer.Place-1], number)
		return err
	}
}

// stopSending keeps that whoever is reached there wants nothing sent any more: it holds for the number, whoever's it
// is.
func (b *Book) stopSending(ctx context.Context, m *store.Message) error {
	m.Said = say.Of(saidStopNothingIsSent)
	return b.store.StopAddress(ctx, m.OwnerID, m.To)
}

// ReadSo does what a person says that an answer means which it read itself.
func (b *Book) ReadSo(ctx context.Context, id uuid.UUID, answer round.Answer) error {
	m, err := b.store.Message(ctx, id)
	if err != nil {
		return err
	}
	var f fault.Fields
	if m.State != round.MessagePerson {
		f.Add("message_id", string(m.State), say.Of(mustBeAMessageWhose))
	}
	if answer.Place < 0 || answer.Place > len(m.Places) || answer.Place > 0 && !m.Kind.Offers() {
		f.Add("place", answer.Place, say.Of(mustBeAPlaceThatIt, say.Args{"places": say.Count(len(m.Places))}))
	}
	if answer == (round.Answer{}) {
		f.Add("place", "nothing", say.Of(mustBeAPlaceNo))
	}
	if err := f.Err(); err != nil {
		return err
	}
	m.State = round.MessageAnswered
	if err := b.meant(ctx, &m, answer, m.Heard); err != nil {
		return err
	}
	return b.store.MoveMessage(ctx, m, b.now())
}

const (
	notSent         say.Key = "book.not_sent"
	comesAt         say.Key = "book.comes_at"
	placeGoneCall   say.Key = "book.place_gone_call"
	placeGoneOthers say.Key = "book.place_gone_others"
)

// chosen gives the place that an owner chose, if it is still free; else others are offered.
func (b *Book) chosen(ctx context.Context, m store.Message, p store.Place, number int) (said say.Line, err error) {
	v := store.Visit{ID: bookedBy(m), On: p.On, Start: p.Start, Minutes: p.Minutes, State: round.Agreed}
	v.Dog.DogID = m.DogID
	var refused fault.Fields
	_, err = b.KeepVisit(ctx, v, false)
	if err == nil {
		return say.Of(comesAt, say.Args{"on": p.On.Say(), "start": p.Start.Say()}), nil
	}
	if !errors.As(err, &refused) && !errors.Is(err, store.ErrConflict) {
		return say.Line{}, err
	}
	_, err = b.tellOwner(
		ctx,
		store.Message{
			ID:      uuid.NewSHA1(m.ID, fmt.Appendf(nil, "again %d", number)),
			DogID:   m.DogID,
			Kind:    round.TellPlaces,
			Instead: m.ID,
		},
		nil,
	)
	if errors.As(err, &refused) {
		return say.Of(placeGoneCall), nil
	}
	return say.Of(placeGoneOthers), err
}
