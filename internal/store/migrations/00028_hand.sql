-- +goose Up
-- How a hand's slices come out, as slices off a stick were measured: JSON, pairs of mm and how far off that may be. And
-- as it was known when a nail was cut (0: not).
CREATE TABLE sticks (
    id           TEXT PRIMARY KEY,
    on_date      TEXT NOT NULL,
    meant_mm     REAL NOT NULL,
    slices       TEXT NOT NULL,
    told_at      TEXT NOT NULL,
    withdrawn_at TEXT
) STRICT;
ALTER TABLE records ADD COLUMN hand_times REAL NOT NULL DEFAULT 0;
ALTER TABLE records ADD COLUMN hand_spread REAL NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE records DROP COLUMN hand_spread;
ALTER TABLE records DROP COLUMN hand_times;
DROP TABLE sticks;
