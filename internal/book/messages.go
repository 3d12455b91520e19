package book

import (
	"context"
	"errors"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// Gateway is a message service. It takes a message of an id once, however often it is sent.
type Gateway interface {
	Send(id, to, text string) error
	Reports(since int) ([]round.Report, error)
}

// TellOwner writes a message to a dog's owner, to go out with the next round of the post: of places those that were
// pressed, else the best. The same id again changes nothing, nor does the same kind on the same day of the same dog,
// from whatever device, as long as nobody has answered.
func (b *Book) TellOwner(ctx context.Context, id, dogID uuid.UUID, kind round.MessageKind, pressed ...store.Place) (store.Message, error) {
	return b.tellOwner(ctx, store.Message{ID: id, DogID: dogID, Kind: kind}, pressed)
}

func (b *Book) tellOwner(ctx context.Context, m store.Message, pressed []store.Place) (store.Message, error) {
	id, dogID, kind := m.ID, m.DogID, m.Kind
	if m, err := b.store.Message(ctx, id); err == nil {
		return m, nil
	} else if !errors.Is(err, store.ErrNotFound) {
		return store.Message{}, err
	}
	if !slices.Contains(round.MessageKinds(), kind) {
		return store.Message{}, fault.Fields{{Name: "kind", Value: string(kind), Want: fmt.Sprintf("must be one of %v", round.MessageKinds())}}
	}
	owner, err := b.addressee(ctx, dogID, kind)
	if err != nil {
		return store.Message{}, err
	}
	visits, err := b.DogVisits(ctx, dogID)
	if err != nil {
		return store.Message{}, err
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return store.Message{}, err
	}
	m.OwnerID, m.To = owner.ID, owner.Address
	facts := round.Facts{Dog: visits.Row.Name}
	if kind.Offers() {
		if m.Places, err = b.offered(ctx, visits, pressed); err != nil {
			return store.Message{}, err
		}
		for _, p := range m.Places {
			facts.Places = append(facts.Places, p.On.Short()+" "+p.Start.String())
		}
	} else if kind == round.TellDue {
		if facts.Due, err = b.unagreed(visits); err != nil {
			return store.Message{}, err
		}
	} else {
		about, err := b.aboutVisit(ctx, &facts, visits, kind)
		if err != nil {
			return store.Message{}, err
		}
		m.Places = []store.Place{{On: about.On, Start: about.Start, Minutes: about.Kept.Minutes, Visit: &about.Kept.ID}}
	}
	m.Text = round.Write(w.Texts[kind], facts)
	kept, err := b.store.AddMessage(ctx, m, b.Today(), b.now())
	if err != nil {
		return store.Message{}, err
	}
	return b.store.Message(ctx, kept)
}

// offered are the places that a message offers: those that were pressed, each still free, or the best there are.
func (b *Book) offered(ctx context.Context, visits DogVisits, pressed []store.Place) (places []store.Place, err error) {
	if len(pressed) == 0 {
		if len(visits.Offers) == 0 {
			return nil, fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: "must have a free place to be offered: there is none in the next weeks"}}
		}
		for _, o := range visits.Offers {
			places = append(places, store.Place{On: o.On, Start: o.Start, Minutes: o.Dog.Minutes})
		}
		return places, nil
	}
	var f fault.Fields
	if len(pressed) > offersEach {
		f.Add("places", len(pressed), fmt.Sprintf("must be at most %d places", offersEach))
		return nil, f
	}
	for i, p := range pressed {
		v := store.Visit{ID: uuid.New(), On: p.On, Start: p.Start, Minutes: p.Minutes, State: round.Agreed}
		v.Dog.DogID = visits.Row.DogID
		tried, err := b.TryVisit(ctx, v)
		if err != nil {
			return nil, err
		}
		if tried.Breaks != "" {
			f.Add(fmt.Sprintf("places[%d]", i), p.On.Short()+" "+p.Start.String(), "must be a place that is still free: "+tried.Breaks)
		}
		places = append(places, store.Place{On: p.On, Start: p.Start, Minutes: tried.Kept.Minutes})
	}
	return places, f.Err()
}

// addressee is the owner to whom something may be sent.
func (b *Book) addressee(ctx context.Context, dogID uuid.UUID, kind round.MessageKind) (store.Owner, error) {
	refuse := func(value, want string) (store.Owner, error) {
		return store.Owner{}, fault.Fields{{Name: "dog_id", Value: value, Want: want}}
	}
	owner, err := b.store.OwnerOf(ctx, dogID)
	stopped := false
	if err == nil {
		if stopped, err = b.store.StoppedAt(ctx, owner.Address); err != nil {
			return store.Owner{}, err
		}
	}
	switch {
	case errors.Is(err, store.ErrNotFound):
		d, err := b.store.Dog(ctx, dogID)
		if err != nil {
			return store.Owner{}, err
		}
		return refuse(d.Name, "must have an owner: give it one")
	case err != nil:
		return store.Owner{}, err
	case owner.Stopped || stopped:
		return refuse(owner.Name, "must not have said stop: nothing is sent to them")
	case owner.Reach == round.ByHand:
		return refuse(owner.Name, "must have a way to be reached: tell them yourself, or give a number or a mail address")
	case kind.Invites() && !owner.MayOffer:
		return refuse(owner.Name, "must allow that places are offered")
	case kind == round.TellTomorrow && !owner.MayRemind:
		return refuse(owner.Name, "must allow to be reminded")
	}
	return owner, nil
}

// aboutVisit fills in the visit that a message is about: the next, or the last that was missed.
func (b *Book) aboutVisit(ctx context.Context, facts *round.Facts, visits DogVisits, kind round.MessageKind) (*Visit, error) {
	var about *Visit
	for i, v := range visits.Visits { // the latest first
		if kind == round.TellMissed && v.State == round.Missed && about == nil || kind != round.TellMissed && v.State == round.Agreed && !v.On.Before(b.Today()) {
			about = &visits.Visits[i]
		}
	}
	if about == nil {
		return nil, fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: "must have a visit that this is about"}}
	}
	facts.At = about.On.Short() + " " + about.Start.String()
	if kind != round.TellLate {
		return about, nil
	}
	day, err := b.Round(ctx, about.On)
	if err != nil {
		return nil, err
	}
	facts.About = about.Start.String()
	for _, v := range day.Visits {
		if v.ID == about.ID && v.Runs != nil {
			facts.About = round.Clock(int(v.Runs.Starts.Value+4) / 5 * 5).String()
		}
	}
	return about, nil
}

// unagreed is the day on which a dog is due for whom nothing is agreed.
func (b *Book) unagreed(visits DogVisits) (string, error) {
	comes := slices.ContainsFunc(visits.Visits, func(v Visit) bool { return !v.On.Before(b.Today()) && v.State.Takes() && v.State != round.Done })
	if due := visits.Dog.Window.Due; !comes && !due.IsZero() {
		return due.Short(), nil
	}
	return "", fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: "must be a dog that is due and has no visit to come"}}
}

// toTell fills in what owners are to be told of some visits.
func (b *Book) toTell(ctx context.Context, visits []Visit) error {
	dogs := make([]uuid.UUID, len(visits))
	for i, v := range visits {
		dogs[i] = v.Kept.Dog.DogID
	}
	sent, err := b.store.MessagesAbout(ctx, dogs)
	if err != nil {
		return err
	}
	var told []round.Told
	for _, m := range sent {
		if m.Kind.Offers() { // then it is the place that was chosen
			answer, is := round.ReadAnswer(m.Answer, len(m.Places))
			if !is || answer.Place == 0 {
				continue
			}
			p := m.Places[answer.Place-1]
			told = append(told, round.Told{Visit: bookedBy(m).String(), Kind: m.Kind, On: p.On, Start: p.Start})
			continue
		}
		for _, p := range m.Places {
			told = append(told, round.Told{Visit: p.Visit.String(), Kind: m.Kind, On: p.On, Start: p.Start})
		}
	}
	for i, v := range visits {
		runs := round.Runs{Visit: v.Visit}
		if v.Runs != nil {
			runs = *v.Runs
		}
		visits[i].Tell = runs.ToTell(told)
	}
	return nil
}

// bookedBy is the visit that the answer to a message books.
func bookedBy(m store.Message) uuid.UUID { return uuid.NewSHA1(m.ID, []byte("visit")) }

// Messages are the latest ones.
func (b *Book) Messages(ctx context.Context) ([]store.Message, error) {
	const most = 200
	return b.store.Messages(ctx, most)
}

// SendAgain lets a message go out that waits for a person.
func (b *Book) SendAgain(ctx context.Context, id uuid.UUID) error {
	m, err := b.store.Message(ctx, id)
	if err != nil {
		return err
	}
	if m.State != round.MessageFailed {
		return fault.Fields{{Name: "message_id", Value: string(m.State), Want: "must be a message that has failed"}}
	}
	m.State, m.Failures, m.Said, m.Next = round.MessageWaiting, 0, "", b.now()
	return b.store.MoveMessage(ctx, m, b.now())
}

const (
	atOncePosted = 20 // messages of one round of the post
	reminding    = 17 // the hour from which on tomorrow's owners are reminded
)

// Post is one round of the post: what the service has to say is heard, tomorrow's owners are reminded where the user
// wants that, and what may go out goes out.
func (b *Book) Post(ctx context.Context, g Gateway) error {
	if err := b.hearAll(ctx, g); err != nil {
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
		case late != "":
			m.State, m.Said = round.MessageFailed, "not sent: "+late
		default:
			if failed := g.Send(m.ID.String(), m.To, m.Text); failed != nil {
				m.Failures++
				wait, goes := round.Again(m.Failures)
				m.Next = b.now().Add(wait)
				if !goes {
					m.State, m.Said = round.MessageFailed, failed.Error()
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
func (b *Book) tooLate(ctx context.Context, m store.Message) (string, error) {
	owner, err := b.store.Owner(ctx, m.OwnerID)
	if errors.Is(err, store.ErrNotFound) {
		return "the owner is gone", nil
	}
	if err != nil {
		return "", err
	}
	stopped, err := b.store.StoppedAt(ctx, m.To)
	if err != nil {
		return "", err
	}
	if owner.Stopped || stopped {
		return "the owner said stop", nil
	}
	about := round.About{Kind: m.Kind, Today: b.Today()}
	for _, p := range m.Places {
		place := round.ToldPlace{On: p.On, Start: p.Start}
		if p.Visit != nil {
			v, err := b.store.Visit(ctx, *p.Visit)
			if err != nil && !errors.Is(err, store.ErrNotFound) {
				return "", err
			}
			place.Visit = &round.Visit{On: v.On, Start: v.Start, State: v.State}
		}
		about.Places = append(about.Places, place)
	}
	if m.Kind == round.TellDue {
		visits, err := b.store.VisitsOf(ctx, m.DogID)
		if err != nil {
			return "", err
		}
		about.Comes = slices.ContainsFunc(visits, func(v store.Visit) bool { return !v.On.Before(b.Today()) && v.State.Takes() })
	}
	return about.TooLate(), nil
}

// remind writes to tomorrow's owners, each visit once.
func (b *Book) remind(ctx context.Context) error {
	w, err := b.WorkingWeek(ctx)
	if err != nil || !w.Remind || b.Clock() < round.At(reminding, 0) {
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
		if _, err := b.TellOwner(ctx, uuid.NewSHA1(v.ID, []byte("tomorrow "+tomorrow.String())), v.Dog.DogID, round.TellTomorrow); err != nil && !errors.As(err, &refused) {
			return err
		}
	}
	return nil
}

// hearAll hears what the service has to say, report by report: one that is heard again comes to the same.
func (b *Book) hearAll(ctx context.Context, g Gateway) error {
	since, err := b.store.Heard(ctx)
	if err != nil {
		return err
	}
	reports, err := g.Reports(since)
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
	before := m.State
	m.Answer, m.State = r.Answer, round.MessageAnswered
	switch {
	case is && answer.Stop:
		if err := b.stopSending(ctx, &m); err != nil {
			return err
		}
	case before == round.MessageAnswered:
		m.State, m.Said = round.MessagePerson, "answered again: call them"
	case !is || !m.Kind.Offers():
		m.State, m.Said = round.MessagePerson, "read it yourself"
	default:
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
	case answer.No:
		m.Said = fmt.Sprintf("not now: asked again in %d weeks", refusedWeeks)
		return b.NotNow(ctx, m.DogID, refusedWeeks)
	default:
		m.Said, err = b.chosen(ctx, *m, m.Places[answer.Place-1], number)
		return err
	}
}

// stopSending keeps that whoever is reached there wants nothing sent any more: it holds for the number, whoever's it is.
func (b *Book) stopSending(ctx context.Context, m *store.Message) error {
	m.Said = "said stop: nothing is sent any more"
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
		f.Add("message_id", string(m.State), "must be a message whose answer waits for a person")
	}
	if answer.Place < 0 || answer.Place > len(m.Places) || answer.Place > 0 && !m.Kind.Offers() {
		f.Add("place", answer.Place, fmt.Sprintf("must be a place that it offers, from 1 to %d", len(m.Places)))
	}
	if answer == (round.Answer{}) {
		f.Add("place", "nothing", "must be a place, no, or stop")
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

// refusedWeeks is after how many weeks an owner who said no is asked again (judgement).
const refusedWeeks = 2

// chosen gives the place that an owner chose, if it is still free; else others are offered.
func (b *Book) chosen(ctx context.Context, m store.Message, p store.Place, number int) (said string, err error) {
	v := store.Visit{ID: bookedBy(m), On: p.On, Start: p.Start, Minutes: p.Minutes, State: round.Agreed}
	v.Dog.DogID = m.DogID
	var refused fault.Fields
	_, err = b.KeepVisit(ctx, v, false)
	if err == nil {
		return "comes " + p.On.Short() + " " + p.Start.String(), nil
	}
	if !errors.As(err, &refused) && !errors.Is(err, store.ErrConflict) {
		return "", err
	}
	_, err = b.tellOwner(ctx, store.Message{ID: uuid.NewSHA1(m.ID, fmt.Appendf(nil, "again %d", number)), DogID: m.DogID, Kind: round.TellPlaces, Instead: m.ID}, nil)
	if errors.As(err, &refused) {
		return "that place is gone: call them", nil
	}
	return "that place is gone: others are offered", err
}
