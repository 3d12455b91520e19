package demo

import (
	"context"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// owners bring the dogs; every name and number is invented.
var owners = []struct {
	name    string
	reach   round.Reach
	address string
	dogs    []string
	note    string
}{
	{
		"Ottoline Reed",
		round.ByText,
		"+44 1632 960011",
		[]string{"Gantry", "Thimble"},
		"Both in one go, please: she comes by bus.",
	},
	{"Tobin Marsh", round.ByMail, "tobin@marsh.example", []string{"Sedge"}, ""},
	{"Isla Ferrow", round.ByText, "+44 1632 960012", []string{"Marl"}, "Sends photographs of everything."},
	{"Corwin Hale", round.ByText, "+44 1632 960013", []string{"Bosun"}, ""},
	{"Petra Lund", round.ByHand, "", []string{"Puddle", "Oatcake"}, "Two berths down."},
	{"Jory Penhale", round.ByText, "+44 1632 960014", []string{"Teasel"}, ""},
	{"Maude Ashby", round.ByMail, "maude@ashby.example", []string{"Kipper", "Windlass"}, ""},
	{"Hanno Brandt", round.ByText, "+44 1632 960015", []string{"Bobbin"}, ""},
	{"Вера Лозовая", round.ByText, "+44 1632 960016", []string{"Плюшка"}, "Ask for Vera."},
	{"Ruta Simms", round.ByText, "+44 1632 960017", []string{"Fig", "Nettle"}, ""},
	{"Alban Croft", round.ByHand, "", []string{"Tiller"}, ""},
	{"Sunniva Dale", round.ByText, "+44 1632 960018", []string{"Rudder"}, "Works nights: not before eleven."},
	{"Emrys Vane", round.ByMail, "emrys@vane.example", []string{"Sorrel", "Lantern"}, ""},
	{"Delphine Orr", round.ByText, "+44 1632 960019", []string{"Clove"}, ""},
	{"Wilf Tanner", round.ByText, "+44 1632 960020", []string{"Barge", "Quill"}, ""},
	{"Noor Keane", round.ByText, "+44 1632 960021", []string{"Hatch", "Pennant"}, ""},
}

// fillRound gives the dogs owners, and books half of this week: a day that runs late, one place that
// nobody has answered, one that was missed.
func fillRound(ctx context.Context, b *book.Book, dogs map[string]uuid.UUID) error {
	for i, o := range owners {
		id := uuid.NewSHA1(uuid.NameSpaceOID, []byte(o.name))
		owner := round.Owner{
			Name:      o.name,
			Reach:     o.reach,
			Address:   o.address,
			MayOffer:  o.reach != round.ByHand,
			MayRemind: i%3 != 0 && o.reach != round.ByHand,
			Note:      o.note,
		}
		if o.name == "Sunniva Dale" {
			owner.Suits = map[time.Weekday][]round.Stretch{}
			for day := time.Sunday; day <= time.Saturday; day++ {
				owner.Suits[day] = []round.Stretch{{From: round.At(11, 0), To: round.At(20, 0)}}
			}
		}
		if err := b.KeepOwner(ctx, store.Owner{ID: id, Owner: owner}); err != nil {
			return err
		}
		for _, name := range o.dogs {
			if err := b.SetOwner(ctx, dogs[name], id); err != nil {
				return err
			}
		}
	}
	week, now := demoWeek(b.Today(), b.Clock())
	if err := b.ChangeWorkingWeek(ctx, store.WorkingWeek{Week: week, Limits: round.Usual}); err != nil {
		return err
	}
	for _, v := range []struct {
		dog   string
		day   int // that is worked, from today
		start round.Clock
		state round.VisitState
	}{
		{"Kipper", -1, round.At(10, 0), round.Missed}, {"Tiller", -1, round.At(11, 0), round.CalledOff},
		{"Teasel", 0, now - 40, round.Agreed}, {"Nettle", 0, now - 25, round.Agreed}, {"Quill", 0, now - 10, round.Agreed},
		{"Hatch", 0, now + 25, round.Agreed}, {"Bobbin", 0, now + 75, round.Agreed},
		{"Bosun", 1, round.At(10, 0), round.Agreed}, {"Oatcake", 1, round.At(11, 0), round.Offered},
		{"Lantern", 2, round.At(9, 30), round.Agreed}, {"Sorrel", 2, round.At(10, 15), round.Agreed},
		{"Puddle", 3, round.At(9, 0), round.Agreed},
	} {
		id := uuid.NewSHA1(dogs[v.dog], []byte("visit"))
		on := b.Today().AddDays(min(0, v.day))
		for range max(0, v.day) {
			for on = on.AddDays(1); ; on = on.AddDays(1) {
				if _, open := week.On(on); open {
					break
				}
			}
		}
		one := store.Visit{ID: id, On: on, Start: max(0, min(round.At(23, 0), v.start)), State: v.state}
		one.Dog.DogID = dogs[v.dog]
		if err := b.RecallVisit(ctx, one); err != nil {
			return err
		}
	}
	return b.Wait(ctx, dogs["Barge"], b.Today(), "Rings again at four.")
}

// demoWeek is Tuesday to Saturday in the cabin; today is worked round the hour at which the demonstration begins,
// whatever day and hour that is.
func demoWeek(today date.Date, at round.Clock) (round.Week, round.Clock) {
	w := round.UsualWeek(func(day time.Weekday) bool { return day != time.Sunday && day != time.Monday })
	for day, h := range w.Days {
		h.Place, h.Helper = "Cabin, lock 9", []round.Stretch{{From: round.At(9, 30), To: round.At(12, 30)}}
		w.Days[day] = h
	}
	now := min(round.At(22, 0), max(round.At(1, 0), at/5*5))
	from := max(0, (now-150)/30*30)
	to := min(round.At(24, 0), from+7*60)
	w.Except = map[date.Date]round.Hours{today: {
		Stretch: round.Stretch{
			From: from,
			To:   to,
		},
		Break:  round.Stretch{From: min(to, now+150), To: min(to, now+180)},
		Place:  "Cabin, lock 9",
		Helper: []round.Stretch{{From: now, To: min(to, now+120)}},
	}}
	return w, now
}
