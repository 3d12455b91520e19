package book

import "fribbet/internal/formats"

// userTables are what belongs to whoever uses the book.
var userTables = []exchanged{
	{
		formats.Table{
			Name:  "settings",
			About: "The user's choices; one row.",
			Key:   []string{"one"},
			Columns: []formats.Column{
				column("one", "integer!", "always 1"),
				column("role", "string!", "keeper or groomer"),
				column("length_unit", "string!", "in which lengths are shown"),
				column("weight_unit", "string!", "in which weights are shown"),
				column("margin_mm", "number!", "safe to trim that is left before the quick, mm"),
				column("working_weekdays", "string", "on which dogs are done, separated by commas"),
				column("coin_mm", "number", "thickness of the user's own coin, mm"),
				column("largest_cut_mm", "number", "the largest cut of the hand, mm for a nail 7 mm deep"),
				column("way", "string", "clip, grind or clip_then_grind; empty is what suits"),
				column("hand", "string!", "how practised"),
				column("end_point", "string!", "where a cut stops"),
				column("left_handed", "boolean!", "holds the cutter in the left hand"),
				column("language", "string", "in which the book speaks to others"),
				column("version", "integer!", "how often it was changed"),
				column("eye_of", "string", "whose practice sets the care at the bench; none: nobody's"),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "sticks",
			About: "Slices off a stick, as they were measured: how thick the hand's slices come out.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "its own"),
				column("on_date", "date!", "when"),
				column("meant_mm", "number!", "how thick they were meant to be, mm"),
				column("slices", "json!", "how thick each is and how far off that may be, pairs of mm, JSON"),
				column("told_at", "datetime!", someWhen),
				column("withdrawn_at", "datetime", "when that was deleted"),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "practised",
			About: "Drawn nails that somebody practised on, and drills of naming cut ends.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "its own"),
				column("done_at", "datetime!", someWhen),
				column("who", "string", "who did it; empty: nobody said"),
				column("kind", "string!", "what is hard about the nail; ends: a drill"),
				column("seed", "integer!", "of the series"),
				column("number", "integer!", "of the nail in it"),
				column("end_point", "string!", "at which they stop"),
				column("moves", "json!", "looks, cuts and the end, JSON"),
				column("named", "json!", "what was said of a drill's ends, JSON"),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "own_ends",
			About: "What somebody said that the slice after a pictured cut end showed.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "its own"),
				column("picture_id", "string!", "of which end"),
				column("said", "string!", "the face that was said"),
				column("who", "string", "who said it; empty: nobody told"),
				column("said_at", "datetime!", someWhen),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "own_usual",
			About: "What is usual by the book's own record, where the user let it say so.",
			Key:   []string{"kind", "class"},
			Columns: []formats.Column{
				column("kind", "string!", "growth of dogs of one size, times that of most; or faces, how ends show"),
				column("class", "number!", "kg under which the dogs lie; 0: the heaviest, or all"),
				column("value", "json!", "a number, or five chances, JSON"),
				column("set_at", "datetime!", someWhen),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "holidays",
			About: "Days off, on which nobody is done.",
			Key:   []string{"from_date"},
			Columns: []formats.Column{
				column("from_date", "date!", "the first day"), column("to_date", "date!", "the last day"),
			},
		},
		"",
	},
}
