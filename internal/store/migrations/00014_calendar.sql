-- +goose Up
-- The sentence of each date stands by itself: the calendar of two thousand dogs need not read all that lists show.
ALTER TABLE standings ADD COLUMN due_why TEXT NOT NULL DEFAULT '';
UPDATE standings SET due_why = coalesce(json_extract(due, '$.Why.Sentence'), '') WHERE due IS NOT NULL;

-- +goose Down
ALTER TABLE standings DROP COLUMN due_why;
