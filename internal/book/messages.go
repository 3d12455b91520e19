package book

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
	"fribbet/internal/words"
)

// TellOwner writes a message to a dog's owner, to go out with the next round of the post: of places those that were
// pressed, else the best. The same id again changes nothing, nor does the same kind on the same day of the same dog,
// from whatever device, as long as nobody has answered.
func (b *Book) TellOwner(
	ctx context.Context,
	id, dogID uuid.UUID,
	kind round.MessageKind,
	pressed ...store.Place,
) (store.Message, error) {
	if b.gateway == nil {
		return store.Message{}, fault.Fields{
			{Name: "message_id", Value: "no service", Want: say.Of(mustBeToldByYourself)},
		}
	}
	return b.tellOwner(ctx, store.Message{ID: id, DogID: dogID, Kind: kind}, pressed)
}

// HasGateway tells whether messages go anywhere.
func (b *Book) HasGateway() bool { return b.gateway != nil }

// Taken are the messages that the simulated service has taken, the first first; ErrNotFound where there is none.
func (b *Book) Taken() ([]round.Taken, error) {
	service, is := b.gateway.(StandInGateway)
	if !is {
		return nil, ErrNotFound
	}
	return service.Taken(), nil
}

// AnswerAs answers a message as its owner would, on the simulated service; ErrNotFound where it took none of that id.
func (b *Book) AnswerAs(id uuid.UUID, text string) error {
	service, is := b.gateway.(StandInGateway)
	if !is || service.Answer(id.String(), text) != nil {
		return ErrNotFound
	}
	return nil
}

func (b *Book) tellOwner(ctx context.Context, m store.Message, pressed []store.Place) (store.Message, error) {
	id, dogID, kind := m.ID, m.DogID, m.Kind
	if m, err := b.store.Message(ctx, id); err == nil {
		return m, nil
	} else if !errors.Is(err, store.ErrNotFound) {
		return store.Message{}, err
	}
	if !slices.Contains(round.MessageKinds(), kind) {
		return store.Message{}, fault.Fields{
			{
				Name:  "kind",
				Value: string(kind),
				Want:  say.Of(mustBeOneOf, say.Args{"round": say.Name(fmt.Sprint(round.MessageKinds()))}),
			},
		}
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
	speaks, err := b.wordsFor(ctx, owner)
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
			facts.Places = append(facts.Places, speaks.Say(At(p.On, p.Start)))
		}
	} else if kind == round.TellDue {
		if facts.Due, err = b.unagreed(speaks, visits); err != nil {
			return store.Message{}, err
		}
	} else {
		about, err := b.aboutVisit(ctx, speaks, &facts, visits, kind)
		if err != nil {
			return store.Message{}, err
		}
		m.Places = []store.Place{{On: about.On, Start: about.Start, Minutes: about.Kept.Minutes, Visit: &about.Kept.ID}}
	}
	m.Text = round.Write(cmp.Or(w.Texts[kind], UsualText(speaks, kind)), facts)
	kept, err := b.store.AddMessage(ctx, m, b.Today(), b.now())
	if err != nil {
		return store.Message{}, err
	}
	return b.store.Message(ctx, kept)
}

const (
	dayAndTime say.Key = "message.day_and_time"
	justDay    say.Key = "message.day"
)

// At is a time as a message holds it.
func At(on date.Date, at round.Clock) say.Line {
	return say.Of(dayAndTime, say.Args{"on": on.Say(), "start": at.Say()})
}

// offered are the places that a message offers: those that were pressed, each still free, or the best there are.
func (b *Book) offered(ctx context.Context, visits DogVisits, pressed []store.Place) (places []store.Place, err error) {
	if len(pressed) == 0 {
		if len(visits.Offers) == 0 {
			return nil, fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: say.Of(mustHaveAFreePlace)}}
		}
		for _, o := range visits.Offers {
			places = append(places, store.Place{On: o.On, Start: o.Start, Minutes: o.Dog.Minutes})
		}
		return places, nil
	}
	var f fault.Fields
	if len(pressed) > offersEach {
		f.Add("places", len(pressed), say.Of(mustBeAtMostPlaces, say.Args{"offersEach": say.Count(offersEach)}))
		return nil, f
	}
	for i, p := range pressed {
		v := store.Visit{ID: uuid.New(), On: p.On, Start: p.Start, Minutes: p.Minutes, State: round.Agreed}
		v.Dog.DogID = visits.Row.DogID
		tried, err := b.TryVisit(ctx, v)
		if err != nil {
			return nil, err
		}
		if !tried.Breaks.Nothing() {
			f.Add(
				fmt.Sprintf("places[%d]", i),
				At(p.On, p.Start),
				say.Of(mustBeAPlaceThat, say.Args{"breaks": tried.Breaks}),
			)
		}
		places = append(places, store.Place{On: p.On, Start: p.Start, Minutes: tried.Kept.Minutes})
	}
	return places, f.Err()
}

// addressee is the owner to whom something may be sent.
func (b *Book) addressee(ctx context.Context, dogID uuid.UUID, kind round.MessageKind) (store.Owner, error) {
	refuse := func(value string, want say.Line) (store.Owner, error) {
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
		return refuse(d.Name, say.Of(mustHaveAnOwnerGive))
	case err != nil:
		return store.Owner{}, err
	case owner.Stopped || stopped:
		return refuse(owner.Name, say.Of(mustNotHaveSaidStop))
	case owner.Reach == round.ByHand:
		return refuse(owner.Name, say.Of(mustHaveAWayTo))
	case kind.Invites() && !owner.MayOffer:
		return refuse(owner.Name, say.Of(mustAllowThatPlacesAre))
	case kind == round.TellTomorrow && !owner.MayRemind:
		return refuse(owner.Name, say.Of(mustAllowToBeReminded))
	}
	return owner, nil
}

// aboutVisit fills in the visit that a message is about: the next, or the last that was missed.
func (b *Book) aboutVisit(
	ctx context.Context,
	speaks words.Words,
	facts *round.Facts,
	visits DogVisits,
	kind round.MessageKind,
) (*Visit, error) {
	var about *Visit
	for i, v := range visits.Visits { // the latest first
		if kind == round.TellMissed && v.State == round.Missed && about == nil ||
			kind != round.TellMissed && v.State == round.Agreed && !v.On.Before(b.Today()) {
			about = &visits.Visits[i]
		}
	}
	if about == nil {
		return nil, fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: say.Of(mustHaveAVisitThat)}}
	}
	facts.At = speaks.Say(At(about.On, about.Start))
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
func (b *Book) unagreed(speaks words.Words, visits DogVisits) (string, error) {
	comes := slices.ContainsFunc(
		visits.Visits,
		func(v Visit) bool { return !v.On.Before(b.Today()) && v.State.Takes() && v.State != round.Done },
	)
	if due := visits.Dog.Window.Due; !comes && !due.IsZero() {
		return speaks.Say(say.Of(justDay, say.Args{"on": due.Say()})), nil
	}
	return "", fault.Fields{{Name: "dog_id", Value: visits.Row.Name, Want: say.Of(mustBeADogThat)}}
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
	var told []round.ToldTime
	for _, m := range sent {
		if m.Kind.Offers() { // then it is the place that was chosen
			answer, is := round.ReadAnswer(m.Answer, len(m.Places))
			if !is || answer.Place == 0 {
				continue
			}
			p := m.Places[answer.Place-1]
			told = append(told, round.ToldTime{Visit: bookedBy(m).String(), Kind: m.Kind, On: p.On, Start: p.Start})
			continue
		}
		for _, p := range m.Places {
			told = append(told, round.ToldTime{Visit: p.Visit.String(), Kind: m.Kind, On: p.On, Start: p.Start})
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

// Messages are the latest ones.
func (b *Book) Messages(ctx context.Context) ([]store.Message, error) {
	const most = 200
	return b.store.Messages(ctx, most)
}
