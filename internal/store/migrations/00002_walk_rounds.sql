-- +goose Up
-- Walk-round checks: what was seen of the feet, and how a dog's nails are cut.

ALTER TABLE dogs ADD COLUMN school TEXT NOT NULL DEFAULT 'square';
ALTER TABLE settings ADD COLUMN coin_mm REAL;

CREATE TABLE checks (
    id          TEXT PRIMARY KEY,
    dog_id      TEXT NOT NULL REFERENCES dogs (id),
    on_date     TEXT NOT NULL,
    clicks      INTEGER NOT NULL,
    hair        INTEGER NOT NULL,
    swelling    INTEGER NOT NULL,
    limping     INTEGER NOT NULL,
    breaking    INTEGER NOT NULL,
    recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX checks_by_dog ON checks (dog_id, on_date);

-- What nobody looked at is null.
CREATE TABLE looks (
    check_id  TEXT NOT NULL REFERENCES checks (id),
    code      TEXT NOT NULL,
    gap_mm    REAL,
    length_mm REAL,
    past_pad  INTEGER NOT NULL,
    present   INTEGER,
    colour    TEXT,
    shape     TEXT,
    state     TEXT,
    PRIMARY KEY (check_id, code)
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE looks;
DROP TABLE checks;
ALTER TABLE settings DROP COLUMN coin_mm;
ALTER TABLE dogs DROP COLUMN school;
