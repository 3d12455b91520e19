-- +goose Up
-- The kit, how a dog is held and how it took it, and the ladders.

ALTER TABLE settings ADD COLUMN hand TEXT NOT NULL DEFAULT 'new';
UPDATE settings SET hand = 'practised' WHERE role = 'groomer';

ALTER TABLE dogs ADD COLUMN paw_order TEXT NOT NULL DEFAULT 'hind_first';
ALTER TABLE dogs ADD COLUMN own_order TEXT NOT NULL DEFAULT '';
ALTER TABLE dogs ADD COLUMN position TEXT NOT NULL DEFAULT 'standing';
ALTER TABLE dogs ADD COLUMN helper TEXT NOT NULL DEFAULT 'alone';
ALTER TABLE dogs ADD COLUMN muzzle INTEGER NOT NULL DEFAULT 0;
ALTER TABLE dogs ADD COLUMN sore INTEGER NOT NULL DEFAULT 0;
ALTER TABLE dogs ADD COLUMN noise TEXT NOT NULL DEFAULT 'unknown';
ALTER TABLE dogs ADD COLUMN most_nails INTEGER;
ALTER TABLE dogs ADD COLUMN most_minutes REAL;

-- A piece that is taken out of the kit keeps its row: sittings name it.
CREATE TABLE kit_items (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    kind       TEXT NOT NULL,
    name       TEXT NOT NULL,
    guard      INTEGER NOT NULL,
    grit       INTEGER NOT NULL,
    tip        TEXT NOT NULL,
    on_item_id TEXT REFERENCES kit_items (id),
    most       REAL,
    expires_on TEXT,
    stock      TEXT NOT NULL,
    added_at   TEXT NOT NULL,
    removed_at TEXT
) STRICT;

-- Sharpened, changed, charged or refilled: what a sitting after it used, counts.
CREATE TABLE kit_services (
    item_id      TEXT NOT NULL REFERENCES kit_items (id),
    on_date      TEXT NOT NULL,
    at           TEXT NOT NULL,
    withdrawn_at TEXT,
    PRIMARY KEY (item_id, at)
) STRICT, WITHOUT ROWID;

ALTER TABLE sittings ADD COLUMN minutes REAL;
ALTER TABLE sittings ADD COLUMN calm_minutes REAL;
ALTER TABLE sittings ADD COLUMN helper INTEGER NOT NULL DEFAULT 0;
ALTER TABLE sittings ADD COLUMN ticks TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN number INTEGER NOT NULL DEFAULT 0;
ALTER TABLE records ADD COLUMN item_id TEXT REFERENCES kit_items (id);
ALTER TABLE records ADD COLUMN took_force INTEGER NOT NULL DEFAULT 0;
CREATE INDEX records_by_item ON records (item_id) WHERE item_id IS NOT NULL;

CREATE TABLE ladders (
    id         TEXT PRIMARY KEY,
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    kind       TEXT NOT NULL,
    paw        TEXT,
    started_on TEXT NOT NULL,
    begun_at   TEXT NOT NULL,
    ended_at   TEXT
) STRICT;
CREATE INDEX ladders_by_dog ON ladders (dog_id);

CREATE TABLE tries (
    id           TEXT PRIMARY KEY,
    ladder_id    TEXT NOT NULL REFERENCES ladders (id),
    on_date      TEXT NOT NULL,
    reaction     TEXT NOT NULL,
    paw          TEXT,
    note         TEXT NOT NULL,
    recorded_at  TEXT NOT NULL,
    withdrawn_at TEXT
) STRICT;
CREATE INDEX tries_by_ladder ON tries (ladder_id, on_date);

-- +goose Down
DROP TABLE tries;
DROP TABLE ladders;
DROP INDEX records_by_item;
ALTER TABLE records DROP COLUMN took_force;
ALTER TABLE records DROP COLUMN item_id;
ALTER TABLE records DROP COLUMN number;
ALTER TABLE sittings DROP COLUMN ticks;
ALTER TABLE sittings DROP COLUMN helper;
ALTER TABLE sittings DROP COLUMN calm_minutes;
ALTER TABLE sittings DROP COLUMN minutes;
DROP TABLE kit_services;
DROP TABLE kit_items;
ALTER TABLE dogs DROP COLUMN most_minutes;
ALTER TABLE dogs DROP COLUMN most_nails;
ALTER TABLE dogs DROP COLUMN noise;
ALTER TABLE dogs DROP COLUMN sore;
ALTER TABLE dogs DROP COLUMN muzzle;
ALTER TABLE dogs DROP COLUMN helper;
ALTER TABLE dogs DROP COLUMN position;
ALTER TABLE dogs DROP COLUMN own_order;
ALTER TABLE dogs DROP COLUMN paw_order;
ALTER TABLE settings DROP COLUMN hand;
