-- +goose Up
-- Lengths are mm, weights kg, dates YYYY-MM-DD in the user's zone, instants UTC (RFC 3339).

CREATE TABLE settings (
    one              INTEGER PRIMARY KEY CHECK (one = 1),
    role             TEXT NOT NULL,
    length_unit      TEXT NOT NULL,
    weight_unit      TEXT NOT NULL,
    margin_mm        REAL NOT NULL,
    working_weekdays TEXT NOT NULL
) STRICT;

CREATE TABLE dogs (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    name             TEXT NOT NULL,
    birth_date       TEXT NOT NULL,
    birth_estimated  INTEGER NOT NULL,
    foot_coat        TEXT NOT NULL,
    pavement_km_week REAL NOT NULL,
    rhythm           TEXT NOT NULL,
    working_weekdays TEXT NOT NULL,
    wished_gap_mm    REAL NOT NULL
) STRICT;

CREATE TABLE weights (
    dog_id  TEXT NOT NULL REFERENCES dogs (id),
    on_date TEXT NOT NULL,
    kg      REAL NOT NULL,
    PRIMARY KEY (dog_id, on_date)
) STRICT, WITHOUT ROWID;

-- A nail that the dog does not have is not listed.
CREATE TABLE nails (
    dog_id TEXT NOT NULL REFERENCES dogs (id),
    code   TEXT NOT NULL,
    state  TEXT NOT NULL,
    colour TEXT NOT NULL,
    shape  TEXT NOT NULL,
    PRIMARY KEY (dog_id, code)
) STRICT, WITHOUT ROWID;

-- A sitting is never deleted: one taken back keeps its row and counts no more.
CREATE TABLE sittings (
    id           TEXT PRIMARY KEY,
    dog_id       TEXT NOT NULL REFERENCES dogs (id),
    on_date      TEXT NOT NULL,
    note         TEXT NOT NULL,
    recorded_at  TEXT NOT NULL,
    withdrawn_at TEXT
) STRICT;
CREATE INDEX sittings_by_dog ON sittings (dog_id, on_date);

CREATE TABLE records (
    sitting_id       TEXT NOT NULL REFERENCES sittings (id),
    code             TEXT NOT NULL,
    length_before_mm REAL,
    length_after_mm  REAL,
    gap_before_mm    REAL,
    gap_after_mm     REAL,
    spare_left_mm    REAL,
    tool             TEXT NOT NULL,
    reaction         TEXT NOT NULL,
    blood            INTEGER NOT NULL,
    PRIMARY KEY (sitting_id, code)
) STRICT, WITHOUT ROWID;

CREATE TABLE cuts (
    sitting_id TEXT NOT NULL,
    code       TEXT NOT NULL,
    number     INTEGER NOT NULL,
    mm         REAL NOT NULL,
    PRIMARY KEY (sitting_id, code, number),
    FOREIGN KEY (sitting_id, code) REFERENCES records (sitting_id, code)
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE cuts;
DROP TABLE records;
DROP TABLE sittings;
DROP TABLE nails;
DROP TABLE weights;
DROP TABLE dogs;
DROP TABLE settings;
