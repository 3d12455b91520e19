package kit

import (
	"time"

	"fribbet/internal/core/date"
)

// Moment is when something happened: a day, and the instant at which it was written down,
// which orders what happened on one day.
type Moment struct {
	On date.Date
	At time.Time
}

// Before tells whether m came before other.
func (m Moment) Before(other Moment) bool {
	if m.On != other.On {
		return m.On.Before(other.On)
	}
	return m.At.Before(other.At)
}

// Stint is what one sitting, or a day's sittings, asked of one item.
type Stint struct {
	Moment
	Item      string // its id
	Cuts      float64
	Minutes   float64 // its share of timed sittings
	Untimed   float64 // nails that it cut or ground where nobody took the time
	TookForce bool
}

// And is two stints of one item as one, of the earlier moment.
func (s Stint) And(o Stint) Stint {
	if o.Before(s.Moment) {
		s.Moment = o.Moment
	}
	s.Cuts, s.Minutes, s.Untimed, s.TookForce = s.Cuts+o.Cuts, s.Minutes+o.Minutes, s.Untimed+o.Untimed, s.TookForce ||
		o.TookForce
	return s
}

// Owned is an item of the kit with the last time it was sharpened, changed, charged or refilled.
type Owned struct {
	ID       string
	Item     Item
	Serviced Moment // zero when it never was
}

// Wear adds up what the sittings since its last service asked of every item. A band or a bit
// runs its machine down as well: the one that it names, or else the first of the kit.
func Wear(kit []Owned, stints []Stint) map[string]Use {
	pieces := make([]Piece, len(kit))
	for i, o := range kit {
		pieces[i] = Piece{ID: o.ID, Item: o.Item}
	}
	machineOf := machines(pieces)
	uses := map[string]Use{}
	for _, o := range kit {
		use := Use{}
		for _, s := range stints {
			if (s.Item == o.ID || machineOf[s.Item] == o.ID) && !s.Before(o.Serviced) {
				use.add(s)
			}
		}
		uses[o.ID] = use
	}
	return uses
}

// add counts one stint; a nail that nobody timed took what a nail usually takes.
func (u *Use) add(s Stint) {
	u.Cuts += s.Cuts
	u.TookForce = u.TookForce || s.TookForce
	u.Minutes += s.Minutes + s.Untimed*usualRun
	u.Assumed = u.Assumed || s.Untimed > 0
}
