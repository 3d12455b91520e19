-- +goose Up
-- What was seen of a dog before the first cut: how many nails touch (none, some, most; empty: nobody looked), and what
-- else, separated by commas (clicks, limps, sore). And a mood that nobody told is not told any more: the lists are
-- worked out again from the logs.
ALTER TABLE sittings ADD COLUMN touching TEXT NOT NULL DEFAULT '';
ALTER TABLE sittings ADD COLUMN signs TEXT NOT NULL DEFAULT '';
INSERT OR IGNORE INTO owed (what) VALUES ('lists');

-- +goose Down
ALTER TABLE sittings DROP COLUMN signs;
ALTER TABLE sittings DROP COLUMN touching;
