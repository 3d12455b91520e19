package book

import (
	"context"
	"errors"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/store"
)

// Rhythms is what each rhythm would do to a dog, side by side.
type Rhythms struct {
	Dog       store.Dog
	Pavement  float64  // km a week that this was worked out for
	Ground    float64  // the share of growth that it takes back on the mean toe
	Tool      kit.Tool // that it is done with
	Margin    float64
	Goal      float64 // gap that a brought-back nail is to stand, mm
	Outlooks  []rhythm.Outlook
	Plans     []rhythm.Plan // of each outlook's rhythm, to bring the quicks back
	BreakEven estimate.Estimate
	Needs     *estimate.Estimate // days for which a trim keeps its nails clear; nil where that is not known
	Setter    nail.Code          // the nail that sets the break-even rhythm
	Growth    feet.Growth
	Plan      *Recession
}

// Rhythms lays rhythms side by side for a dog that walks km of pavement a week, or as it does,
// and plans to bring its quicks back until nails clear the floor by goal mm, or by a card.
func (b *Book) Rhythms(ctx context.Context, dogID uuid.UUID, km, goal *float64) (Rhythms, error) {
	return b.rhythmsOn(ctx, dogID, b.Today(), km, goal)
}

func (b *Book) rhythmsOn(ctx context.Context, dogID uuid.UUID, day date.Date, km, goal *float64) (Rhythms, error) {
	d, k, err := b.dogNow(ctx, dogID)
	if err != nil {
		return Rhythms{}, err
	}
	f := k.feet
	settings, err := b.Settings(ctx)
	if err != nil {
		return Rhythms{}, err
	}
	r := Rhythms{
		Dog: d, Pavement: d.Pavement, Margin: settings.Margin, Goal: max(d.WishedGap, claw.CardGap),
		Growth: f.Growth(day),
	}
	var faults fault.Fields
	if km != nil {
		r.Pavement = *km
		faults.Range("pavement_km_week", *km, 0, growth.MostPavement, fault.KMWeek)
	}
	if goal != nil {
		r.Goal = *goal
		faults.Range("goal_gap_mm", *goal, claw.PaperGap, claw.MostGap, fault.MM)
	}
	if err := faults.Err(); err != nil {
		return Rhythms{}, err
	}
	r.Ground = outlook.PavementUse(f, day, r.Pavement)
	if r.Plan, err = b.recession(ctx, d, k); err != nil {
		return Rhythms{}, err
	}
	nails := outlook.Ahead(f, day, r.Pavement)
	if len(nails) == 0 {
		return r, nil
	}
	if needs, is := outlook.Needs(f, day, terms(settings, ladder.Training{}, f)); is {
		r.Needs = &needs
	}
	tool, work := b.workOf(d, k.past, settings)
	r.Tool = tool
	for _, one := range rhythm.Compared() {
		r.Outlooks = append(r.Outlooks, rhythm.Ahead(nails, one, work))
		r.Plans = append(r.Plans, rhythm.BringBack(nails, one, day, r.Goal, work))
	}
	r.BreakEven, r.Setter, r.Margin = rhythm.BreakEven(nails, work, r.Growth.Source)
	return r, nil
}

// workOf is what a sitting with the dog asks, with the tool of last time.
func (b *Book) workOf(d store.Dog, past sitting.Past, settings store.Settings) (kit.Tool, rhythm.Work) {
	q := sitting.Question{Today: b.Today(), Dog: d.Dog, Past: past, Hand: settings.Hand}
	tool := q.FirstTool()
	return tool, rhythm.Work{
		PerNail: q.Pace(tool.Work()).
			Nail(temper.UsualCuts),
		Ground: tool.Work() == kit.Grinding,
		Lasts:  kit.Lasts(tool),
		Margin: settings.Margin,
		Stop:   settings.EndPoint,
	}
}

// Recession is a plan to bring a dog's quicks back, and what has come of it.
type Recession struct {
	rhythm.Plan
	Progress rhythm.Progress
}

// recession returns the dog's plan that is on; nil when there is none.
func (b *Book) recession(ctx context.Context, d store.Dog, k known) (*Recession, error) {
	plan, err := b.store.QuickPlan(ctx, d.ID)
	if errors.Is(err, store.ErrNotFound) {
		return nil, nil //nolint:nilnil // most dogs have none
	}
	if err != nil {
		return nil, err
	}
	held := 0
	for _, s := range k.told {
		if s.Nails > 0 && !s.On.Before(plan.Started) {
			held++
		}
	}
	r := Recession{Plan: plan.Plan}
	if nails := outlook.Ahead(k.feet, b.Today(), d.Pavement); len(nails) > 0 {
		r.Progress = plan.On(b.Today(), nails, outlook.LowestTrimmed(k.feet), held)
	}
	return &r, nil
}

// StartPlan begins to bring a dog's quicks back: the plan's rhythm becomes the dog's.
func (b *Book) StartPlan(ctx context.Context, dogID, id uuid.UUID, wanted rhythm.Rhythm, goal *float64) error {
	return b.ResumePlan(ctx, dogID, id, wanted, goal, b.Today())
}

// ResumePlan keeps a plan that was begun on an earlier day, after the last sitting told so far.
func (b *Book) ResumePlan(
	ctx context.Context,
	dogID, id uuid.UUID,
	wanted rhythm.Rhythm,
	goal *float64,
	on date.Date,
) error {
	if !slices.Contains(rhythm.Rhythms(), wanted) {
		return fault.Fields{{Name: "rhythm", Value: string(wanted), Want: say.Of(mustBeWithinTheGeneral)}}
	}
	r, err := b.rhythmsOn(ctx, dogID, on, nil, goal)
	if err != nil {
		return err
	}
	for _, p := range r.Plans {
		if p.Rhythm != wanted {
			continue
		}
		if p.Never {
			return fault.Fields{{Name: "rhythm", Value: string(wanted), Want: say.Of(mustBeOneAtWhich)}}
		}
		r.Dog.Rhythm = wanted
		return b.store.StartQuickPlan(ctx, r.Dog, store.QuickPlan{ID: id, DogID: dogID, Plan: p}, b.now())
	}
	return fault.Fields{{Name: "rhythm", Value: string(wanted), Want: say.Of(mustBeForADog)}}
}

// EndPlan ends a dog's plan; its rhythm stays.
func (b *Book) EndPlan(ctx context.Context, dogID uuid.UUID) error {
	return b.store.EndQuickPlan(ctx, dogID, b.now())
}

// History follows some nails of a dog through its records and on.
func (b *Book) History(ctx context.Context, dogID uuid.UUID, codes []nail.Code) (feet.History, error) {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return feet.History{}, err
	}
	var has []nail.Code
	for _, c := range codes {
		if _, is := d.Nail(c); is {
			has = append(has, c)
		}
	}
	if len(has) == 0 {
		return feet.History{}, store.ErrNotFound
	}
	sittings, checks, err := b.told(ctx, d)
	if err != nil {
		return feet.History{}, err
	}
	return feet.HistoryOf(d.Dog, has, b.Today(), trimsOf(sittings), walksOf(checks)...), nil
}
