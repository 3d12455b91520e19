-- +goose Up
-- On which day of the user's a message was written: one of a kind for a dog a day.
ALTER TABLE messages ADD COLUMN made_on TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE messages DROP COLUMN made_on;
