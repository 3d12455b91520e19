-- +goose Up
-- The groomer's round: owners and their dogs, when there is work, visits, and whom not to call yet.
CREATE TABLE owners (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    name       TEXT NOT NULL,
    name_key   TEXT NOT NULL,
    reach      TEXT NOT NULL, -- text, mail, hand
    address    TEXT NOT NULL, -- a number or a mail address; empty by hand
    may_offer  INTEGER NOT NULL,
    may_remind INTEGER NOT NULL,
    stopped    INTEGER NOT NULL,
    suits      TEXT NOT NULL, -- the hours that suit, JSON; null: any
    note       TEXT NOT NULL,
    made_at    TEXT NOT NULL,
    removed_at TEXT
) STRICT;
CREATE TABLE owned (
    dog_id   TEXT PRIMARY KEY REFERENCES dogs (id),
    owner_id TEXT NOT NULL REFERENCES owners (id)
) STRICT, WITHOUT ROWID;
CREATE INDEX owned_by ON owned (owner_id);
CREATE TABLE working_week (
    one     INTEGER PRIMARY KEY CHECK (one = 1),
    version INTEGER NOT NULL,
    body    TEXT NOT NULL
) STRICT;
CREATE TABLE visits (
    id         TEXT PRIMARY KEY,
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    on_date    TEXT NOT NULL,
    start      INTEGER NOT NULL, -- minutes since midnight
    minutes    INTEGER NOT NULL,
    state      TEXT NOT NULL,
    sequence   INTEGER NOT NULL, -- how often it was changed
    changed_at TEXT NOT NULL
) STRICT;
CREATE INDEX visits_by_day ON visits (on_date);
CREATE INDEX visits_by_dog ON visits (dog_id, on_date);
CREATE TABLE not_now (
    dog_id     TEXT PRIMARY KEY REFERENCES dogs (id),
    until_date TEXT NOT NULL -- that day it is asked again
) STRICT, WITHOUT ROWID;
ALTER TABLE standings ADD COLUMN visit TEXT; -- what the dog asks of a visit, and when one serves it; JSON, worked out when it is asked for

-- +goose Down
ALTER TABLE standings DROP COLUMN visit;
DROP TABLE not_now;
DROP TABLE visits;
DROP TABLE working_week;
DROP TABLE owned;
DROP TABLE owners;
