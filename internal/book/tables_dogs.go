package book

import "fribbet/internal/formats"

// dogTables are dogs, and what they are done with.
var dogTables = []exchanged{
	{
		formats.Table{
			Name:  "dogs",
			About: "A dog, as its keeper told of it.",
			Key:   []string{"id"},
			Columns: []formats.Column{
				column("id", "string!", "its own"),
				column("version", "integer!", "how often its profile was changed"),
				column("name", "string!", "what it is called"),
				column("birth_date", "date!", "when it was born"),
				column("birth_estimated", "boolean!", "that is a guess"),
				column("foot_coat", "string!", "hair on its feet"),
				column("pavement_km_week", "number!", "how far it walks on hard ground, km a week"),
				column("rhythm", "string!", "how often it is done"),
				column("working_weekdays", "string", "its own weekdays, separated by commas; missing: the user's"),
				column("wished_gap_mm", "number!", "wished gap under its nails, mm"),
				column("school", "string!", "how its nails are cut"),
				column("paw_order", "string!", "in which order its paws are done"),
				column("own_order", "string", "its own order, where it has one"),
				column("position", "string!", "how it is held"),
				column("by_paw", "string", "paws that are held otherwise, such as LF:lap RH:ground"),
				column("helper", "string!", "whether somebody must hold it"),
				column("muzzle", "boolean!", "it wears one"),
				column("sore", "boolean!", "sore legs or back"),
				column("noise", "string!", "how it takes noise"),
				column("most_nails", "integer", "nails that it takes a day at most"),
				column("most_minutes", "number", "minutes that it takes at most"),
				column("largest_cut_mm", "number", "the largest cut with it, mm for a nail 7 mm deep"),
				column("way", "string", "clip, grind or clip_then_grind; empty is as settings have it"),
				column("short_quicks", "boolean!", "its quicks are known to be short"),
				column("dates", "string", "floor or calendar: what sets its dates; empty is as the role has it"),
				column("come_once", "date", "a day on which it was agreed to come once"),
				column("entered_on", "date", "when it came into the book"),
				column("last_done_weeks", "number", "how long ago it had been done then, weeks"),
				column("sore_told", "boolean!", "somebody said so, or that it is not"),
				column("takes", "string", "how it takes a trim, as it was told"),
				column("tips_meanwhile", "boolean", "a puppy's nails are tipped while its paws are on a ladder"),
			},
		},
		`id = ?`,
	},
	{
		formats.Table{
			Name:  "weights",
			About: "What a dog weighed.",
			Key:   []string{"dog_id", "on_date"},
			Columns: []formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("on_date", "date!", "when"),
				column("kg", "number!", "weight, kg"),
			},
		},
		itsOwn,
	},
	{
		formats.Table{
			Name:  "nails",
			About: "The nails that a dog has.",
			Key:   []string{"dog_id", "code"},
			Columns: []formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("code", "string!", "paw and digit, such as LF3"),
				column("state", "string!", "sound, split, torn and so on"),
				column("colour", "string!", "of the horn"),
				column("shape", "string!", "its run seen from the side"),
			},
		},
		itsOwn,
	},
	{
		formats.Table{
			Name:  "walked",
			About: "How far a dog walked on hard ground until a day on which that changed.",
			Key:   []string{"dog_id", "until_date"},
			Columns: []formats.Column{
				column("dog_id", "string!>dogs", dogItself),
				column("until_date", "date!", "the last day"),
				column("km_week", "number!", "km a week"),
			},
		},
		itsOwn,
	},
	{formats.Table{Name: "kit_items", About: "The kit, piece by piece.", Key: []string{"id"}, Columns: []formats.Column{
		column("id", "string!", "its own"),
		column("version", "integer!", "how often it was changed"),
		column("kind", "string!", "what it is"),
		column("name", "string", "the user's own name for it"),
		column("guard", "boolean!", "it has a stop plate"),
		column("grit", "integer!", "of what grinds; 0: nobody said"),
		column("tip", "string", "form of a bit"),
		column("on_item_id", "string>kit_items", "the machine on which it runs"),
		column("most", "number", "cuts or minutes that it bears; missing: what is usual"),
		column("expires_on", "date", "of a supply"),
		column("stock", "string", "of a supply"),
		column("added_at", "datetime!", someWhen),
		column("removed_at", "datetime", "when it was taken out"),
	}}, `id IN (SELECT item_id FROM records WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?1))
		OR id IN (SELECT on_item_id FROM kit_items WHERE id IN (
			SELECT item_id FROM records WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?1)))`},
	{
		formats.Table{
			Name:  "kit_services",
			About: "When a piece was sharpened, changed, charged or refilled.",
			Key:   []string{"item_id", "at"},
			Columns: []formats.Column{
				column("item_id", "string!>kit_items", "the piece"),
				column("on_date", "date!", "when"),
				column("at", "datetime!", someWhen),
				column("withdrawn_at", "datetime", "when that was deleted"),
			},
		},
		"",
	},
}
