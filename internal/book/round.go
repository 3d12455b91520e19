package book

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// WorkingWeek is when there is work; the usual, version 0, as long as none was told. Nobody works on holidays.
func (b *Book) WorkingWeek(ctx context.Context) (store.WorkingWeek, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return store.WorkingWeek{}, err
	}
	w, err := b.store.WorkingWeek(ctx)
	if errors.Is(err, store.ErrNotFound) || err == nil && len(w.Week.Check()) > 0 { // nobody told it, or it cannot be
		w, err = store.WorkingWeek{Week: round.UsualWeek(settings.Workdays.Has), Limits: round.Usual}, nil
	}
	w.Week.Closed, w.Texts = settings.Holidays, round.TextsWith(w.Texts)
	return w, err
}

// ChangeWorkingWeek keeps when there is work, read as w.Version.
func (b *Book) ChangeWorkingWeek(ctx context.Context, w store.WorkingWeek) error {
	if err := append(w.Week.Check(), round.CheckTexts(w.Texts)...).Err(); err != nil {
		return err
	}
	w.Week.Closed = nil // they are the settings'
	return b.store.SaveWorkingWeek(ctx, w)
}

// Visit is a visit as it stands.
type Visit struct {
	Kept        store.Visit
	round.Visit // with what its sitting has made of it
	Standing    round.Standing
	Breaks      string            // at its place; empty where nothing is
	Runs        *round.Runs       // when it will begin, of today's that are still to come
	Tell        round.MessageKind // what its owner is to be told; empty where that is nothing
}

// Fit is a dog that would fit into a gap.
type Fit struct {
	round.Offer
	Row store.RoundDog
}

// asked fills in what dogs ask of a visit, where it is not kept.
func (b *Book) asked(ctx context.Context, dogs []store.RoundDog) (map[uuid.UUID]round.Dog, error) {
	all := map[uuid.UUID]round.Dog{}
	var missing []uuid.UUID
	for _, d := range dogs {
		if d.Asks == nil && !slices.Contains(missing, d.DogID) {
			missing = append(missing, d.DogID)
		}
	}
	worked, err := b.ask(ctx, missing)
	if err != nil {
		return nil, err
	}
	for _, d := range dogs {
		one := worked[d.DogID]
		if d.Asks != nil {
			if err := json.Unmarshal([]byte(*d.Asks), &one); err != nil {
				return nil, fmt.Errorf("visit of %s: %w", d.DogID, err)
			}
		}
		one.ID, one.Name = d.DogID.String(), d.Name
		if d.OwnerID != nil {
			one.Owner = d.OwnerID.String()
			_ = json.Unmarshal([]byte(*d.Suits), &one.Suits) // what cannot be read: any hour suits
		}
		all[d.DogID] = one
	}
	return all, nil
}

// ask works out what dogs ask of a visit on the day on which each is due, or today where that has gone by, and
// keeps it.
func (b *Book) ask(ctx context.Context, ids []uuid.UUID) (map[uuid.UUID]round.Dog, error) {
	if len(ids) == 0 {
		return nil, nil
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	pieces, err := b.pieces(ctx)
	if err != nil {
		return nil, err
	}
	standings, err := b.store.Standings(ctx, ids)
	if err != nil {
		return nil, err
	}
	dogs, err := b.store.DogsOf(ctx, ids)
	if err != nil {
		return nil, err
	}
	ladders, err := b.store.LaddersOf(ctx, ids)
	if err != nil {
		return nil, err
	}
	worked, kept := make([]round.Dog, len(ids)), make([][]byte, len(ids))
	err = each(len(ids), func(i int) error {
		d := dogs[ids[i]]
		k, err := b.known(ctx, d)
		if errors.As(err, new(Unreckonable)) || err == nil && reckonable(d, nil, nil) != nil { // its place is kept for it all the same
			worked[i] = round.Unreckoned(d.ID.String(), d.Name)
			kept[i], err = json.Marshal(worked[i])
			return err
		}
		if err != nil {
			return err
		}
		training := b.training(ladders[d.ID])
		next, has, err := outlook.NextOf(k.feet, terms(settings, training, k.feet))
		if err != nil {
			return err
		}
		day := b.Today()
		if has && next.Due.After(day) {
			day = next.Due
		}
		worked[i] = question(d, k, day, training, settings, pieces).Visit()
		if has {
			worked[i].Window = next.Window(k.feet)
		}
		kept[i], err = json.Marshal(worked[i])
		return err
	})
	if err != nil {
		return nil, err
	}
	all, text, revisions := map[uuid.UUID]round.Dog{}, map[uuid.UUID][]byte{}, map[uuid.UUID]int{}
	for i, id := range ids {
		all[id], text[id], revisions[id] = worked[i], kept[i], standings[id].Revision
	}
	err = store.InOwnWords(b.store.KeepAsks(ctx, text, revisions))
	if errors.Is(err, store.ErrCannotWrite) { // then it is worked out once more the next time
		slog.Warn("what dogs ask of a visit cannot be kept", "err", err)
		err = nil
	}
	return all, err
}

// visits are some visits as they stand.
func (b *Book) visits(ctx context.Context, kept []store.Visit) ([]Visit, error) {
	dogs := make([]store.RoundDog, len(kept))
	for i, v := range kept {
		dogs[i] = v.Dog
	}
	asked, err := b.asked(ctx, dogs)
	if err != nil {
		return nil, err
	}
	all := make([]Visit, len(kept))
	for i, v := range kept {
		d := asked[v.Dog.DogID]
		d.Minutes = v.Minutes
		all[i] = Visit{Kept: v, Visit: round.Visit{ID: v.ID.String(), Dog: d, On: v.On, Start: v.Start, State: v.State.After(v.Sitting != nil, v.Ended)}}
		if begun := v.Begun.In(b.now().Location()); date.Of(begun) == v.On {
			all[i].Begun = round.At(begun.Hour(), begun.Minute())
		}
		if all[i].State == round.Agreed || all[i].State == round.Offered { // agreed before the dog said no
			all[i].Breaks = d.Window.Refuses(v.On)
		}
		all[i].Standing = round.Standings([]round.Visit{all[i].Visit}, v.On.Before(b.Today()))[0]
	}
	return all, nil
}

func plain(all []Visit) []round.Visit {
	visits := make([]round.Visit, len(all))
	for i, v := range all {
		visits[i] = v.Visit
	}
	return visits
}

// Day is a day of the round.
type Day struct {
	On     date.Date
	Hours  round.Hours // none when it is closed
	Open   bool
	Now    round.Clock // today's; on other days its beginning, or its end when it has gone by
	Visits []Visit
	Ways   []round.Way // to ease it, where somebody waits
	Gaps   []Gap
}

// DayLoad is what a day asks of the hands and of the kit.
type DayLoad struct {
	On      date.Date
	Hours   round.Hours // none when it is closed
	Open    bool
	Visits  []Visit
	Load    round.Load
	Prepare []string // what is to be done to the kit for it
}

// Gap is a free stretch of a day, with who would fit.
type Gap struct {
	round.Stretch
	Fits []Fit
}

// mostFits is how many dogs a gap names, and mostCandidates how many are looked at for a week.
const (
	mostFits       = 3
	mostCandidates = 300
)

// Round is a day of the round as it stands.
func (b *Book) Round(ctx context.Context, on date.Date) (Day, error) {
	if err := b.within(on); err != nil {
		return Day{}, err
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return Day{}, err
	}
	kept, err := b.store.Visits(ctx, on, on)
	if err != nil {
		return Day{}, err
	}
	d := Day{On: on, Now: b.clock(on)}
	if d.Visits, err = b.visits(ctx, kept); err != nil {
		return Day{}, err
	}
	there := plain(d.Visits)
	d.Hours, d.Open = w.Week.On(on)
	for i, standing := range round.Standings(there, on.Before(b.Today())) {
		d.Visits[i].Standing = standing
		if standing == round.Next || standing == round.ToCome {
			d.Visits[i].Breaks = w.Week.Breaks(there[i])
		}
	}
	if on == b.Today() {
		runs := w.Week.Running(there, d.Now)
		for i := range d.Visits {
			if k := slices.IndexFunc(runs, func(r round.Runs) bool { return r.ID == there[i].ID }); k >= 0 {
				d.Visits[i].Runs = &runs[k]
			}
		}
		d.Ways = w.Week.Since(b.Today(), d.Now).Ways(there, d.Now)
	}
	if err := b.toTell(ctx, d.Visits); err != nil {
		return Day{}, err
	}
	if d.Open && !on.Before(b.Today()) {
		d.Gaps, err = b.gaps(ctx, w.Week.Since(b.Today(), d.Now), d, there)
	}
	return d, err
}

// gaps are what is free of a day, with the dogs that would gain most by it.
func (b *Book) gaps(ctx context.Context, w round.Week, d Day, there []round.Visit) ([]Gap, error) {
	dogs, rows, err := b.candidates(ctx, d.On.AddDays(7))
	if err != nil {
		return nil, err
	}
	gaps := []Gap{}
	for _, free := range w.Free(d.On, there) {
		if free.Minutes() < round.LeastGap {
			continue
		}
		g := Gap{Stretch: free}
		for _, one := range dogs {
			if o, is := w.Within(one, there, d.On, free); is {
				g.Fits = append(g.Fits, Fit{o, rows[one.ID]})
			}
		}
		slices.SortStableFunc(g.Fits, func(x, y Fit) int { return cmp.Compare(y.Saves, x.Saves) })
		g.Fits = g.Fits[:min(mostFits, len(g.Fits))]
		gaps = append(gaps, g)
	}
	return gaps, nil
}

// candidates are the dogs that are due by a day and have no place yet.
func (b *Book) candidates(ctx context.Context, until date.Date) ([]round.Dog, map[string]store.RoundDog, error) {
	if _, err := b.upToDate(ctx); err != nil {
		return nil, nil, err
	}
	rows, err := b.store.Candidates(ctx, b.Today(), until, mostCandidates)
	if err != nil {
		return nil, nil, err
	}
	asked, err := b.asked(ctx, rows)
	if err != nil {
		return nil, nil, err
	}
	dogs, byID := []round.Dog{}, map[string]store.RoundDog{}
	for _, r := range rows {
		if d := asked[r.DogID]; d.Minutes > 0 {
			dogs, byID[d.ID] = append(dogs, d), r
		}
	}
	return dogs, byID, nil
}

// Clock is the user's own time of day.
func (b *Book) Clock() round.Clock { return b.clock(b.Today()) }

// clock is where the day stands.
func (b *Book) clock(on date.Date) round.Clock {
	switch now := b.now(); {
	case on == b.Today():
		return round.At(now.Hour(), now.Minute())
	case on.Before(b.Today()):
		return round.At(24, 0)
	default:
		return 0
	}
}

// farthest is how many days from today a day of the round may be.
const farthest = 2 * 366

// at is the moment of a time of a day, by the user's clock.
func (b *Book) at(on date.Date, c round.Clock) time.Time {
	return on.At(int(c)/60, int(c)%60, b.now().Location())
}

// once tells whether a time of a day comes once: where the clocks change some come twice, or never.
func (b *Book) once(on date.Date, c round.Clock) bool {
	at := b.at(on, c)
	same := func(t time.Time) bool { return date.Of(t) == on && round.At(t.Hour(), t.Minute()) == c }
	return same(at) && !same(at.Add(time.Hour)) && !same(at.Add(-time.Hour)) && !same(at.Add(30*time.Minute)) && !same(at.Add(-30*time.Minute))
}

// within refuses days far from today.
func (b *Book) within(on date.Date) error {
	if days := on.Sub(b.Today()); days < -farthest || days > farthest {
		return fault.Fields{{Name: "on", Value: on.String(), Want: "must be a day within two years of today"}}
	}
	return nil
}

// Loads are the loads of the week in which a day lies.
func (b *Book) Loads(ctx context.Context, on date.Date) ([]DayLoad, error) {
	if err := b.within(on); err != nil {
		return nil, err
	}
	monday, today := on.Monday(), b.Today()
	from, sunday := monday, monday.AddDays(6)
	if today.Before(from) {
		from = today // what wears the blades until then
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return nil, err
	}
	kept, err := b.store.Visits(ctx, from, sunday)
	if err != nil {
		return nil, err
	}
	all, err := b.visits(ctx, kept)
	if err != nil {
		return nil, err
	}
	pieces, err := b.pieces(ctx)
	if err != nil {
		return nil, err
	}
	var days []DayLoad
	earlier := kit.Needs{}
	for day := from; !day.After(sunday); day = day.AddDays(1) {
		d := DayLoad{On: day}
		for _, v := range all {
			if v.Visit.On == day {
				d.Visits = append(d.Visits, v)
			}
		}
		d.Hours, d.Open = w.Week.On(day)
		d.Load = w.Limits.Load(plain(d.Visits))
		if !day.Before(today) {
			asks := round.Ahead(plain(d.Visits))
			d.Prepare = kit.Prepare(pieces, earlier, asks, day == today)
			earlier.Add(asks)
		}
		if !day.Before(monday) {
			days = append(days, d)
		}
	}
	return days, nil
}

// Call is a dog to call for a week, with places to offer.
type Call struct {
	Dog    round.Dog
	Row    store.RoundDog
	Owner  *store.Owner // nil: none told, or it waits
	Offers []round.Offer
}

// offersEach is how many places are offered.
const offersEach = 3

// Calls are whom to call for some days, in order, with places for each; and who waits for a later week.
type Calls struct {
	Recount     *Progress // while dates are being worked out; the list may then lack some
	From, Until date.Date
	All         int // to call, on this page or not
	Now, Later  []Call
}

// Calls says whom to call for the seven days from one on, or from today; of those to call, limit after the first
// offset.
func (b *Book) Calls(ctx context.Context, from date.Date, offset, limit int) (out Calls, err error) {
	if from.Before(b.Today()) {
		from = b.Today()
	}
	if err := b.within(from); err != nil {
		return Calls{}, err
	}
	until := from.AddDays(6)
	out.From, out.Until = from, until
	if out.Recount, err = b.upToDate(ctx); err != nil {
		return Calls{}, err
	}
	dogs, rows, err := b.candidates(ctx, until.AddDays(1))
	if err != nil {
		return Calls{}, err
	}
	w, others, err := b.taken(ctx, from.AddDays(-1), until.AddDays(7))
	if err != nil {
		return Calls{}, err
	}
	f := w.Fill(dogs, others, from, until)
	slices.SortStableFunc(f.Visits, func(x, y round.Visit) int { return x.Dog.Window.Compare(y.Dog.Window, until) })
	out.All = len(f.Visits)
	for i := min(offset, out.All); i < min(offset+limit, out.All); i++ {
		others := append(slices.Clone(others), f.Visits[:i]...) // what is best for another is not offered
		others = append(others, f.Visits[i+1:]...)
		d := f.Visits[i].Dog
		out.Now = append(out.Now, Call{Dog: d, Row: rows[d.ID], Offers: w.Offers(d, others, from, until, offersEach)})
	}
	if offset == 0 {
		for _, d := range f.Left {
			out.Later = append(out.Later, Call{Dog: d, Row: rows[d.ID]})
		}
	}
	for i := range out.Now {
		if id := out.Now[i].Row.OwnerID; id != nil {
			o, err := b.store.Owner(ctx, *id)
			if err != nil {
				return Calls{}, err
			}
			out.Now[i].Owner = &o
		}
	}
	return out, nil
}

// taken are what is left of the week and the visits of some days.
func (b *Book) taken(ctx context.Context, from, until date.Date) (round.Week, []round.Visit, error) {
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return round.Week{}, nil, err
	}
	kept, err := b.store.Visits(ctx, from, until)
	if err != nil {
		return round.Week{}, nil, err
	}
	all, err := b.visits(ctx, kept)
	return w.Week.Since(b.Today(), b.clock(b.Today())), plain(all), err
}

// offers are the best free places for a dog's next visit, in the four weeks round its date.
func (b *Book) offers(ctx context.Context, d round.Dog, n int) ([]round.Offer, error) {
	from := b.Today().AddDays(1)
	if !d.Window.Due.IsZero() {
		if early := d.Window.Due.AddDays(-offersBefore); early.After(from) {
			from = early
		}
	}
	until := from.AddDays(offersDays)
	w, others, err := b.taken(ctx, from, until)
	if err != nil {
		return nil, err
	}
	return w.Offers(d, others, from, until, n), nil
}

// Places are looked for from a week before a dog's date on, for four weeks.
const (
	offersBefore = 7
	offersDays   = 28
)

// KeepVisit keeps a visit, new or moved. What its place breaks is refused by name; anyway, it stands all the
// same, but not two at once, nor a dog twice a day, nor a time that has gone by.
func (b *Book) KeepVisit(ctx context.Context, v store.Visit, anyway bool) (Visit, error) {
	p, err := b.placed(ctx, v)
	if err != nil {
		return Visit{}, err
	}
	err = b.store.KeepVisit(ctx, p.kept, b.now(), func(day []store.Visit) error {
		var f fault.Fields
		if why, never := p.breaks(day); why != "" && (never || !anyway && !p.stays) {
			f.Add("start", p.visit.Start.String(), "must be another time: "+why)
		}
		return f.Err()
	})
	if err != nil {
		return Visit{}, err
	}
	kept, err := b.store.Visit(ctx, v.ID)
	if err != nil {
		return Visit{}, err
	}
	all, err := b.visits(ctx, []store.Visit{kept})
	if err != nil {
		return Visit{}, err
	}
	return all[0], nil
}

// RecallVisit keeps a visit as a diary tells it, whatever its place breaks and though it may have gone by.
func (b *Book) RecallVisit(ctx context.Context, v store.Visit) error {
	p, err := b.placed(ctx, v)
	if err != nil {
		return err
	}
	return b.store.KeepVisit(ctx, p.kept, b.now(), func([]store.Visit) error { return nil })
}

// TryVisit says what a visit would break at its place, and keeps nothing.
func (b *Book) TryVisit(ctx context.Context, v store.Visit) (Visit, error) {
	p, err := b.placed(ctx, v)
	if err != nil {
		return Visit{}, err
	}
	day, err := b.store.Visits(ctx, v.On, v.On)
	if err != nil {
		return Visit{}, err
	}
	why, _ := p.breaks(day)
	return Visit{Kept: p.kept, Visit: p.visit, Standing: round.ToCome, Breaks: why}, nil
}

// placed is a visit at a place that was asked for.
type placed struct {
	kept  store.Visit
	visit round.Visit
	week  round.Week
	stays bool // where it was
	gone  bool // the time has
}

func (b *Book) placed(ctx context.Context, v store.Visit) (p placed, err error) {
	if err := b.within(v.On); err != nil {
		return p, err
	}
	if v.Dog, err = b.store.RoundDogOf(ctx, v.Dog.DogID); err != nil {
		return p, err
	}
	asked, err := b.asked(ctx, []store.RoundDog{v.Dog})
	if err != nil {
		return p, err
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return p, err
	}
	d := asked[v.Dog.DogID]
	if v.Minutes == 0 {
		v.Minutes = max(d.Minutes, round.LeastVisit)
	}
	d.Minutes = v.Minutes
	p = placed{kept: v, visit: round.Visit{ID: v.ID.String(), Dog: d, On: v.On, Start: v.Start, State: v.State}, week: w.Week}
	f := p.visit.Check()
	if len(f) == 0 && !b.once(v.On, v.Start) {
		f.Add("start", fmt.Sprintf("%s, %s", v.On, v.Start), "must be a time that comes once: the clocks change that night")
	}
	if err := f.Err(); err != nil {
		return p, err
	}
	was, err := b.store.Visit(ctx, v.ID)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return p, err
	}
	p.stays = err == nil && was.On == v.On && was.Start == v.Start && was.Minutes == v.Minutes
	p.gone = v.On.Before(b.Today()) || v.On == b.Today() && v.Start+round.Clock(v.Minutes) < b.clock(v.On)
	return p, nil
}

// breaks says what a visit breaks among those of its day, and whether that can never be; empty where nothing is.
func (p placed) breaks(day []store.Visit) (why string, never bool) {
	if !p.visit.State.Takes() {
		return "", false
	}
	if p.gone && !p.stays {
		return "it must not have gone by", true
	}
	others := make([]round.Visit, len(day))
	for i, o := range day { // their places are all that is read of them
		others[i] = round.Visit{ID: o.ID.String(), Dog: round.Dog{ID: o.Dog.DogID.String(), Name: o.Dog.Name, Minutes: o.Minutes}, On: o.On, Start: o.Start, State: o.State}
	}
	if why := p.week.Clash(p.visit, others); why != "" {
		return why, true
	}
	return p.week.Breaks(p.visit), false
}

// DogVisits are a dog's visits, the latest first, and the best places for its next.
type DogVisits struct {
	Dog    round.Dog
	Row    store.RoundDog
	Visits []Visit
	Offers []round.Offer
}

// DogVisits returns them.
func (b *Book) DogVisits(ctx context.Context, dogID uuid.UUID) (DogVisits, error) {
	if _, err := b.upToDate(ctx); err != nil {
		return DogVisits{}, err
	}
	row, err := b.store.RoundDogOf(ctx, dogID)
	if err != nil {
		return DogVisits{}, err
	}
	asked, err := b.asked(ctx, []store.RoundDog{row})
	if err != nil {
		return DogVisits{}, err
	}
	out := DogVisits{Dog: asked[dogID], Row: row}
	kept, err := b.store.VisitsOf(ctx, dogID)
	if err != nil {
		return DogVisits{}, err
	}
	if out.Visits, err = b.visits(ctx, kept); err != nil {
		return DogVisits{}, err
	}
	out.Offers, err = b.offers(ctx, out.Dog, offersEach)
	return out, err
}

// NotNow says not to call for a dog for some weeks.
func (b *Book) NotNow(ctx context.Context, dogID uuid.UUID, weeks int) error {
	const most = 52
	if weeks < 1 || weeks > most {
		return fault.Fields{{Name: "weeks", Value: fmt.Sprint(weeks), Want: fmt.Sprintf("must be from 1 to %d weeks", most)}}
	}
	return b.store.NotNow(ctx, dogID, b.Today().AddDays(7*weeks))
}
