-- +goose Up
-- What a list was, by its hash: another one under the same id is told apart. Empty for those from before.
ALTER TABLE lists ADD COLUMN content TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE lists DROP COLUMN content;
