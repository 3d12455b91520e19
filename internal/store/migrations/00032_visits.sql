-- +goose Up
-- A note of the call, who called a visit off (owner or us), and until when that was late.
ALTER TABLE visits ADD COLUMN note TEXT NOT NULL DEFAULT '';
ALTER TABLE visits ADD COLUMN off_by TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE visits DROP COLUMN off_by;
ALTER TABLE visits DROP COLUMN note;
