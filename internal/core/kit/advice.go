package kit

import (
	"fribbet/internal/core/say"
	"slices"
)

// Piece is an item of the user's kit, as it stands today.
type Piece struct {
	ID    string
	Item  Item
	State Condition
}

// Option is one tool for a job, with what speaks for and against it.
type Option struct {
	Tool     Tool
	Piece    *Piece // of the kit; nil when the kit has none
	Score    int    // the higher the better; means nothing beside another job's
	For      []say.Line
	Against  []say.Line
	Disputed []say.Line // where practitioners disagree: both sides
	Out      say.Line   // why it is ruled out; empty when it is not
	Grit     int        // to use, of an abrasive one
	Speed    Speed      // of a grinder
}

// Advise ranks every tool for a job, the best first, those ruled out last. A kit without any
// tool is one that nobody has told yet: then every tool is ranked as if it were there.
func Advise(j Job, kit []Piece) []Option {
	var options []Option
	told := false
	for _, tool := range Tools() {
		owned := false
		for _, p := range kit {
			if p.Item.Kind == Kind(tool) {
				owned, told = true, true
				options = append(options, weigh(j, Option{Tool: tool, Piece: &p}, kit))
			}
		}
		if !owned {
			options = append(options, weigh(j, Option{Tool: tool}, kit))
		}
	}
	if told {
		for i := range options {
			if options[i].Piece == nil {
				options[i].Score -= notOwned
				options[i].Against = append(options[i].Against, say.Of(notInYourKit))
			}
		}
	}
	slices.SortStableFunc(options, func(a, b Option) int {
		if (a.Out.Nothing()) != (b.Out.Nothing()) {
			if a.Out.Nothing() {
				return -1
			}
			return 1
		}
		return b.Score - a.Score
	})
	return options
}

// weigh applies every rule to one tool.
func weigh(j Job, o Option, kit []Piece) Option {
	if o.Tool.Work() != Clipping {
		o.Grit = GritFor(j.Purpose, j.Take)
		if o.Tool == ScratchBoard || o.Tool == File {
			o.Grit = BetweenGrit // coarse paper, 80 better than 120
		}
		if o.Piece != nil && o.Piece.Item.Grit != 0 {
			o.suit(o.Piece.Item.Grit)
		}
	}
	if o.Tool.Work() == Grinding {
		o.Speed = SpeedFor(j)
	}
	for _, r := range rules {
		if slices.Contains(r.tools, o.Tool) && r.when(j) {
			o.apply(r)
		}
	}
	if o.Tool == j.Last && j.Purpose == Length {
		o.Score += weak
		o.For = append(o.For, say.Of(whatThisDogIsUsed))
	}
	o.way(j)
	o.guard(j)
	o.state(kit)
	return o
}

func (o *Option) apply(r rule) {
	switch {
	case r.out:
		o.rule(r.words)
	case r.disputed:
		o.Disputed = append(o.Disputed, r.words)
	case r.points >= 0:
		o.For = append(o.For, r.words)
	default:
		o.Against = append(o.Against, r.words)
	}
	o.Score += r.points
}

// rule rules the option out; the first reason stands.
func (o *Option) rule(words say.Line) {
	if o.Out.Nothing() {
		o.Out = words
	}
}

// suit weighs the grit that the piece has against the one that the job wants.
func (o *Option) suit(has int) {
	switch want := o.Grit; {
	case has == want:
		o.Score += strong
		o.For = append(o.For, say.Of(gritIsRightForThis, say.Args{"has": say.Count(has)}))
	case has > want:
		o.Score -= weak
		o.Against = append(
			o.Against,
			say.Of(gritIsFinerThanThe, say.Args{"has": say.Count(has), "want": say.Whole(want)}),
		)
	default:
		o.Score -= weak
		o.Against = append(
			o.Against,
			say.Of(gritIsCoarserThanThe, say.Args{"has": say.Count(has), "want": say.Whole(want)}),
		)
	}
	o.Grit = has
}

// way weighs how the dog is worked.
func (o *Option) way(j Job) {
	grinds := o.Tool.Work() == Grinding
	switch {
	case j.Purpose != Length:
	case j.Way == OnlyGrind && grinds:
		o.Score += notOwned
		o.For = append(o.For, say.Of(thisDogIsGround))
	case (j.Way == OnlyClip || j.Way == ClipAndGrind) && grinds:
		o.Score -= notOwned
		o.Against = append(o.Against, say.Of(thisDogIsClippedFirst))
	}
}

// guard weighs the stop plate of a cutter.
func (o *Option) guard(j Job) {
	if o.Piece == nil || !o.Piece.Item.Guard {
		return
	}
	if j.Hand == NewHand {
		o.Score += weak
	}
	o.Disputed = append(o.Disputed, say.Of(theGuardSomeGiveIt))
}

// state rules out what is not fit for work today: the piece itself, or the machine it runs on.
func (o *Option) state(kit []Piece) {
	if o.Piece == nil {
		return
	}
	if !o.Piece.State.Usable() {
		o.rule(o.Piece.State.Words)
	}
	if o.Tool.Work() != Grinding {
		return
	}
	reason := say.Of(thereIsNoGrinderIn)
	for _, p := range kit {
		if p.Item.Kind != Grinder || o.Piece.Item.On != "" && o.Piece.Item.On != p.ID {
			continue
		}
		if p.State.Usable() {
			return
		}
		reason = say.Of(theGrinder, say.Args{"words": p.State.Words})
	}
	o.rule(reason)
}
