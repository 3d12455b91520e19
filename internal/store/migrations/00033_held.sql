-- +goose Up
-- How a dog was held and the hour at which it began, of sittings that begin at the bench from now on (empty, none: told
-- afterwards, or from before).
ALTER TABLE sittings ADD COLUMN held TEXT NOT NULL DEFAULT '';
ALTER TABLE sittings ADD COLUMN hour INTEGER;

-- +goose Down
ALTER TABLE sittings DROP COLUMN hour;
ALTER TABLE sittings DROP COLUMN held;
