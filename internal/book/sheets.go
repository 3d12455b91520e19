package book

import (
	"context"
	"fmt"
	"math"
	"strconv"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/core/nail"
	"fribbet/internal/store"
)

func decimal(v float64) string { return strconv.FormatFloat(v, 'f', 1, 64) }

func yes(is bool) string {
	if is {
		return "yes"
	}
	return ""
}

// mostSheet is how many dogs a sheet holds at most.
const mostSheet = 100_000

// Sheet is one of the book's tables for people; ErrNotFound where there is none of that name.
func (b *Book) Sheet(ctx context.Context, of string) (Sheet, error) {
	sheets := map[string]func(context.Context) (Sheet, error){
		"due":      b.dueSheet,
		"visits":   b.visitSheet,
		"kit":      b.kitSheet,
		"owners":   b.ownerSheet,
		"messages": b.messageSheet,
	}
	sheet, is := sheets[of]
	if !is {
		return Sheet{}, ErrNotFound
	}
	return sheet(ctx)
}

// dueSheet is the list of due dogs.
func (b *Book) dueSheet(ctx context.Context) (Sheet, error) {
	s := Sheet{Name: "due-" + b.Today().String(), Header: []string{"dog", "due", "standing", "reason"}}
	found, err := b.DueList(ctx, store.Find{Limit: mostSheet})
	if err != nil {
		return s, err
	}
	speaks, err := b.Words(ctx)
	if err != nil {
		return s, err
	}
	for _, r := range found.Rows {
		turn, err := r.Turn()
		if err != nil {
			return s, err
		}
		due := ""
		if !turn.On.IsZero() {
			due = turn.On.String()
		}
		s.Rows = append(s.Rows, []string{r.Name, due, string(turn.Standing), speaks.Say(turn.Reason)})
	}
	return s, nil
}

// visitSheet is the visits of the year behind and the year ahead.
func (b *Book) visitSheet(ctx context.Context) (Sheet, error) {
	s := Sheet{
		Name:   "visits-" + b.Today().String(),
		Header: []string{"day", "begins", "ends", "minutes", "dog", "owner", "state"},
	}
	const days = 366
	kept, err := b.store.Visits(ctx, b.Today().AddDays(-days), b.Today().AddDays(days))
	if err != nil {
		return s, err
	}
	all, err := b.visits(ctx, kept)
	if err != nil {
		return s, err
	}
	for _, v := range all {
		owner := ""
		if v.Kept.Dog.OwnerName != nil {
			owner = *v.Kept.Dog.OwnerName
		}
		s.Rows = append(
			s.Rows,
			[]string{
				v.On.String(),
				v.Start.String(),
				v.Ends().String(),
				strconv.Itoa(v.Kept.Minutes),
				v.Dog.Name,
				owner,
				string(v.State),
			},
		)
	}
	return s, nil
}

// kitSheet is the kit as it stands.
func (b *Book) kitSheet(ctx context.Context) (Sheet, error) {
	s := Sheet{
		Name:   "kit-" + b.Today().String(),
		Header: []string{"kind", "name", "grit", "used", "limit", "counts", "last service", "level", "what to do"},
	}
	pieces, err := b.Kit(ctx)
	if err != nil {
		return s, err
	}
	speaks, err := b.Words(ctx)
	if err != nil {
		return s, err
	}
	for _, p := range pieces {
		grit, used, limit, served := "", "", "", ""
		if p.Item.Grit > 0 {
			grit = strconv.Itoa(p.Item.Grit)
		}
		if p.State.Limit < 1e9 {
			used, limit = decimal(p.State.Used), decimal(p.State.Limit)
		}
		if !p.Serviced.On.IsZero() {
			served = p.Serviced.On.String()
		}
		s.Rows = append(
			s.Rows,
			[]string{
				strings.ReplaceAll(string(p.Item.Kind), "_", " "),
				p.Item.Name,
				grit,
				used,
				limit,
				string(p.State.Counts),
				served,
				string(p.State.Level),
				speaks.Say(p.State.Words),
			},
		)
	}
	return s, nil
}

// ownerSheet is the owners and how they are reached.
func (b *Book) ownerSheet(ctx context.Context) (Sheet, error) {
	s := Sheet{
		Name: "owners-" + b.Today().String(),
		Header: []string{
			"owner",
			"reached by",
			"address",
			"may be offered places",
			"may be reminded",
			"said stop",
			"dogs",
			"note",
		},
	}
	all, err := b.store.Owners(ctx, "")
	for _, o := range all {
		var dogs []string
		for _, d := range o.Dogs {
			dogs = append(dogs, d.Name)
		}
		s.Rows = append(
			s.Rows,
			[]string{
				o.Name,
				string(o.Reach),
				o.Address,
				yes(o.MayOffer),
				yes(o.MayRemind),
				yes(o.Stopped),
				strings.Join(dogs, ", "),
				o.Note,
			},
		)
	}
	return s, err
}

// messageSheet is what owners were told, the latest first.
func (b *Book) messageSheet(ctx context.Context) (Sheet, error) {
	s := Sheet{
		Name:   "messages-" + b.Today().String(),
		Header: []string{"written", "owner", "dog", "about", "text", "state", "answer", "what came of it"},
	}
	speaks, err := b.Words(ctx)
	if err != nil {
		return s, err
	}
	all, err := b.store.Messages(ctx, mostSheet)
	for _, m := range all {
		s.Rows = append(
			s.Rows,
			[]string{
				m.Made.In(b.now().Location()).Format("2006-01-02 15:04"),
				m.OwnerName,
				m.DogName,
				string(m.Kind),
				m.Text,
				string(m.State),
				m.Answer,
				speaks.Say(m.Said),
			},
		)
	}
	return s, err
}

// NailSheet is the history of a nail: what it is believed to have been, twice at a sitting, before and after it.
func (b *Book) NailSheet(ctx context.Context, dogID uuid.UUID, code nail.Code) (Sheet, error) {
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return Sheet{}, err
	}
	s := Sheet{
		Name: fmt.Sprintf("%s-%s", code, b.Today()),
		Header: []string{
			"dog",
			"nail",
			"day",
			"length mm",
			"length from mm",
			"length to mm",
			"quick ends at mm",
			"touches at mm",
			"taken off mm",
			"bled",
			"measured",
		},
	}
	h, err := b.History(ctx, dogID, []nail.Code{code})
	if err != nil {
		return s, err
	}
	for _, p := range h.Past {
		floor := ""
		if !math.IsInf(p.Floor, 1) {
			floor = decimal(p.Floor)
		}
		s.Rows = append(
			s.Rows,
			[]string{
				d.Name,
				code.String(),
				p.On.String(),
				decimal(p.Length.Value),
				decimal(p.Length.Low),
				decimal(p.Length.High),
				decimal(p.Quick.Value),
				floor,
				decimal(p.Removed),
				yes(p.Blood),
				yes(p.Measured),
			},
		)
	}
	return s, nil
}
