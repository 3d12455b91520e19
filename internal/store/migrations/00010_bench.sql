-- +goose Up
-- What the bench asks and notes, and how a new dog was said to take it.

ALTER TABLE dogs ADD COLUMN takes TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN colour TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN edged INTEGER NOT NULL DEFAULT 0;
ALTER TABLE sittings ADD COLUMN smooth TEXT NOT NULL DEFAULT '';
ALTER TABLE settings ADD COLUMN left_handed INTEGER NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE settings DROP COLUMN left_handed;
ALTER TABLE sittings DROP COLUMN smooth;
ALTER TABLE records DROP COLUMN edged;
ALTER TABLE records DROP COLUMN colour;
ALTER TABLE dogs DROP COLUMN takes;
