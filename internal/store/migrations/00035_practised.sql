-- +goose Up
-- Drawn nails that somebody practised on, and drills of naming cut ends: what was done, never what came of it, which is
-- worked out again.
CREATE TABLE practised (
    id        TEXT PRIMARY KEY,
    done_at   TEXT NOT NULL,
    who       TEXT NOT NULL DEFAULT '',
    kind      TEXT NOT NULL,
    seed      INTEGER NOT NULL,
    number    INTEGER NOT NULL,
    end_point TEXT NOT NULL,
    moves     TEXT NOT NULL DEFAULT '[]',
    named     TEXT NOT NULL DEFAULT '[]'
);
CREATE INDEX practised_by_kind ON practised (kind, seed, done_at);

-- +goose Down
DROP TABLE practised;
