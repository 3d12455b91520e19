-- +goose Up
-- What each cut showed and where the quick was seen go into the projections, since the state of a
-- dog's nails is folded from them; they are worked out from the logs when the book is next opened.
ALTER TABLE cuts ADD COLUMN face TEXT NOT NULL DEFAULT '';

CREATE TABLE landmarks (
    sitting_id TEXT NOT NULL REFERENCES sittings (id),
    code       TEXT NOT NULL,
    number     INTEGER NOT NULL,
    kind       TEXT NOT NULL,
    spare_mm   REAL NOT NULL,
    PRIMARY KEY (sitting_id, code, number)
) STRICT, WITHOUT ROWID;

-- When the dog came into the book, and how long before that somebody trimmed it; null: nobody knows.
ALTER TABLE dogs ADD COLUMN entered_on TEXT;
ALTER TABLE dogs ADD COLUMN last_done_weeks REAL;

-- The rules were changed: every dog's feet are folded anew, and a date that moves by it is told once.
DELETE FROM feet;
UPDATE standings SET terms = NULL;

-- +goose Down
ALTER TABLE dogs DROP COLUMN last_done_weeks;
ALTER TABLE dogs DROP COLUMN entered_on;
DROP TABLE landmarks;
ALTER TABLE cuts DROP COLUMN face;
