package book

import "fribbet/internal/formats"

// roundTables are owners and the round.
var roundTables = []exchanged{
	{
		formats.Table{
			Name:  "owners",
			About: "Whose dogs they are, and how they are reached.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "their own"),
				column("version", "integer!", "how often it was changed"),
				column("name", "string!", "their name"),
				column("name_key", "string!", "the same in small letters, by which they are found"),
				column("reach", "string!", "text, mail or hand"),
				column("address", "string", "a number, or a mail address"),
				column("may_offer", "boolean!", "they may be offered places"),
				column("may_remind", "boolean!", "they may be reminded"),
				column("stopped", "boolean!", "they said stop: nothing is sent"),
				column("suits", "json!", "hours that suit, JSON; null: any"),
				column("note", "string", "in the user's words"),
				column("made_at", "datetime!", someWhen),
				column("removed_at", "datetime", "when they were taken out"),
				column("language", "string", "in which they are spoken to; empty: as the book is"),
			},
		},
		`id IN (SELECT owner_id FROM owned WHERE dog_id = ?)`,
	},
	{formats.Table{Name: "owned", About: "Which dog is whose.", Key: []string{"dog_id"}, Columns: []formats.Column{
		column("dog_id", "string!>dogs", dogItself), column("owner_id", "string!>owners", "its owner"),
	}}, itsOwn},
	{
		formats.Table{
			Name:  "working_week",
			About: "When there is work, limits, and the words of messages; one row.",
			Key:   []string{"one"},
			Columns: []formats.Column{
				column("one", "integer!", "always 1"),
				column("version", "integer!", "how often it was changed"),
				column("body", "json!", "all of it, JSON"),
			},
		},
		"",
	},
	{
		formats.Table{
			Name:  "visits",
			About: "Visits, as they were agreed; what became of one that was begun, its trim says.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "its own"),
				column("dog_id", "string!>dogs", dogItself),
				column("on_date", "date!", "when"),
				column("start", "integer!", "when that day, minutes since midnight"),
				column("minutes", "integer!", "that it holds"),
				column("state", "string!", "offered, agreed, missed or called off"),
				column("sequence", "integer!", "how often it was changed"),
				column("changed_at", "datetime!", "when it last was, UTC"),
				column("note", "string", "of the call"),
				column("off_by", "string", "who called it off: owner or us"),
			},
		},
		itsOwn,
	},
	{
		formats.Table{
			Name:  "not_now",
			About: "Dogs that are not called for before a day.",
			Key:   []string{"dog_id"},
			Columns: []formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("until_date", "date!", "that day it is asked again"),
			},
		},
		itsOwn,
	},
	{
		formats.Table{
			Name:  "waiting",
			About: "Who waits for a place on a day that is full.",
			Key:   []string{"dog_id", "on_date"},
			Columns: []formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("on_date", "date!", "the day"),
				column("note", "string", "of the call"),
				column("told_at", "datetime!", someWhen),
			},
		},
		itsOwn,
	},
	{formats.Table{Name: "messages", About: "What owners were told.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"),
		column("owner_id", "string!>owners", "who was told"),
		column("dog_id", "string!>dogs", "of which dog"),
		column("kind", "string!", "what about"),
		column("recipient", "string", "to which address"),
		column("text", "string!", "the words"),
		column("places", "json!", "that were offered or told, JSON"),
		column("state", "string!", "how far it came"),
		column("failures", "integer!", "how often it failed"),
		column("next_at", "datetime!", "it goes out no sooner, UTC"),
		column("made_on", "string", "the day on which it was written"),
		column("made_at", "datetime!", someWhen),
		column("changed_at", "datetime!", "when it last moved on, UTC"),
		column("answer", "string", "what was answered"),
		column("heard", "integer!", "the last report of it"),
		column("said", "string", "what came of it"),
	}}, ""},
}
