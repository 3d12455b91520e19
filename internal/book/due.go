package book

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// DueRow is a dog on the due list, as it stands today.
type DueRow struct {
	DogID uuid.UUID
	Name  string
	Kept  string    // its Turn, as it is kept
	Open  uuid.UUID // a sitting that was begun and not ended; zero when there is none
}

// Turn reads what is kept of a dog's turn.
func (r DueRow) Turn() (t Turn, err error) {
	if err = json.Unmarshal([]byte(r.Kept), &t); err != nil {
		err = fmt.Errorf("date of %s: %w", r.DogID, err)
	}
	return t, err
}

// Turn is when a dog's turn comes, and why, and how its nails look that day: all that a list
// shows, as it is kept, so that the list need not work it out.
type Turn struct {
	Standing due.Standing
	Train    bool      // its turn is a day on the ladder, not a sitting
	On       date.Date `json:",omitzero"` // none when it is to be looked at now
	Cautious date.Date `json:",omitzero"`
	Rule     due.Rule  `json:",omitempty"` // that sets it
	Reason   say.Line
	Waits    say.Line            // which nails can be left out
	Why      *due.Explanation    `json:",omitempty"`
	Look     *outlook.WantedLook `json:",omitempty"`
	Glance   feet.Glance
	Cautions []dog.Caution
}

// Moved is a date that a change of the rules moved, and which of them did.
type Moved struct {
	store.Moved
	By say.Line
}

// DueList is a stretch of the dogs by next date.
type DueList struct {
	Rows    []DueRow
	All     int // dogs in the book
	Found   int // by the search
	Late    int
	Moved   []Moved   // dates that a change of the rules moved, until they were seen
	Recount *Progress // while dates are being worked out again; the list may then tell old ones
}

// DueList returns the dogs that are wanted, in the order in which they are due, those that need a
// veterinarian before all others.
func (b *Book) DueList(ctx context.Context, find store.Find) (DueList, error) {
	progress, err := b.upToDate(ctx)
	if err != nil {
		return DueList{}, err
	}
	find.Name = nameKey(find.Name)
	page, err := b.store.DuePage(ctx, find)
	if err != nil {
		return DueList{}, err
	}
	open, err := b.store.OpenSittings(ctx)
	if err != nil {
		return DueList{}, err
	}
	list := DueList{All: page.All, Found: page.Found, Late: page.Late, Recount: progress}
	if progress == nil { // said once, when all are worked out
		moved, err := b.store.MovedByRules(ctx)
		if err != nil {
			return DueList{}, err
		}
		for _, m := range moved {
			var turn Turn
			if json.Unmarshal(m.Due, &turn) == nil {
				list.Moved = append(list.Moved, Moved{m, due.MovedBy(turn.Rule, m.Rhythm)})
			}
		}
	}
	for _, r := range page.Rows {
		if r.Due == nil { // a new dog while the whole book is worked out again: it comes with it
			continue
		}
		list.Rows = append(list.Rows, DueRow{r.DogID, r.Name, *r.Due, open[r.DogID]})
	}
	return list, nil
}

// SeenMoved is that the user has seen which dates a change of the rules moved.
func (b *Book) SeenMoved(ctx context.Context) error { return b.store.SeenMoved(ctx) }

// nameKey is a name, or a part of one, in the form in which it is searched.
func nameKey(name string) string { return strings.ToLower(strings.TrimSpace(name)) }

// stand works out what the lists read of one dog.
func (b *Book) stand(
	s store.DogStanding,
	d store.Dog,
	f feet.Feet,
	ladders []store.Ladder,
	settings store.Settings,
) (store.DogStanding, error) {
	today := b.Today()
	training := b.training(ladders)
	turn, err := turnOf(f, training, settings, today)
	if err != nil {
		return s, fmt.Errorf("date of %s: %w", s.DogID, err)
	}
	s.NameKey, s.Standing, s.Turn = nameKey(d.Name), turn.Standing, turn.On
	if turn.On.IsZero() {
		s.Turn = today
	}
	s.DueOn = date.Date{}
	if !turn.Train {
		s.DueOn = turn.On
	}
	readings := f.On(today)
	s.Why = ""
	if turn.Why != nil {
		s.Why = turn.Why.Sentence.Text()
	}
	turn.Glance, turn.Cautions = feet.GlanceOf(readings), cautionsOf(
		f,
		readings,
		training,
		today,
		settings.Role != Groomer,
	)
	s.Foremost = slices.ContainsFunc(turn.Cautions, func(c dog.Caution) bool { return c.Kind == dog.Veterinarian })
	s.Due, err = json.Marshal(turn)
	return s, err
}

// brokenStanding is what the lists say of a dog whose records break the reckoning.
func (b *Book) brokenStanding(s store.DogStanding, d store.Dog) (store.DogStanding, error) {
	s.NameKey, s.Folded = nameKey(d.Name), false
	s.Standing, s.Turn, s.DueOn, s.Why = due.Unseen, b.Today(), date.Date{}, ""
	var err error
	s.Due, err = json.Marshal(Turn{Standing: due.Unseen, Reason: say.Of(cannotBeWorkedOutLook)})
	return s, err
}

func turnOf(f feet.Feet, training ladder.Training, settings store.Settings, today date.Date) (Turn, error) {
	if training.Whole() {
		first, _ := training.First(today)
		on := first.NextOn(today)
		return Turn{Standing: due.StandingAt(on, today), Train: true, On: on, Reason: first.Reason()}, nil
	}
	next, has, err := outlook.NextOf(f, terms(settings, training, f))
	if err != nil {
		return Turn{}, err
	}
	if !has {
		return Turn{Standing: due.Unseen, Reason: outlook.WhyNone(f)}, nil
	}
	return Turn{
		Standing: next.StandingOn(today), On: next.Due, Cautious: next.Cautious, Rule: next.Rule,
		Reason: next.Reason, Waits: next.Waits(), Why: &next.Why, Look: next.Look,
	}, nil
}
