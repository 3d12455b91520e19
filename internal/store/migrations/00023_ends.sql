-- +goose Up
-- What was said of a nail's end where its face was not told, at which sign the hand stops, and whether the amounts
-- are a plan's that was accepted.
ALTER TABLE records ADD COLUMN ended TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN stop TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN assumed INTEGER NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE records DROP COLUMN assumed;
ALTER TABLE records DROP COLUMN stop;
ALTER TABLE records DROP COLUMN ended;
