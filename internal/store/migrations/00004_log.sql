-- +goose Up
-- A sitting is its log. The tables sittings, records and cuts are projections of it, which
-- fribbet rebuild works out again.

CREATE TABLE logs (
    sitting_id   TEXT PRIMARY KEY,
    dog_id       TEXT NOT NULL REFERENCES dogs (id),
    on_date      TEXT NOT NULL,
    begun_at     TEXT NOT NULL,
    ended        INTEGER NOT NULL,
    withdrawn_at TEXT
) STRICT;
CREATE INDEX logs_open ON logs (begun_at) WHERE ended = 0;

-- It only grows: an event that was a mistake is undone by another.
CREATE TABLE events (
    sitting_id  TEXT NOT NULL REFERENCES logs (sitting_id),
    number      INTEGER NOT NULL,
    id          TEXT NOT NULL UNIQUE,
    recorded_at TEXT NOT NULL,
    body        TEXT NOT NULL,
    PRIMARY KEY (sitting_id, number)
) STRICT, WITHOUT ROWID;

-- What a sitting asked of each piece of kit: a projection too.
CREATE TABLE stints (
    sitting_id TEXT NOT NULL REFERENCES sittings (id),
    item_id    TEXT NOT NULL REFERENCES kit_items (id),
    cuts       INTEGER NOT NULL,
    nails      INTEGER NOT NULL,
    all_nails  INTEGER NOT NULL,
    took_force INTEGER NOT NULL,
    PRIMARY KEY (sitting_id, item_id)
) STRICT, WITHOUT ROWID;

ALTER TABLE records ADD COLUMN end_face TEXT NOT NULL DEFAULT '';
ALTER TABLE settings ADD COLUMN end_point TEXT NOT NULL DEFAULT 'first_sign';

-- +goose Down
ALTER TABLE settings DROP COLUMN end_point;
ALTER TABLE records DROP COLUMN end_face;
DROP TABLE stints;
DROP TABLE events;
DROP TABLE logs;
