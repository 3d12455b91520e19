-- +goose Up
-- Pictures of paws. They are files beside the book, under their content's hash; one that was deleted for good is named
-- here, so that what was left of it goes at the next opening.
CREATE TABLE pictures (
    id       TEXT PRIMARY KEY,
    dog_id   TEXT NOT NULL REFERENCES dogs (id),
    paw      TEXT NOT NULL,
    on_date  TEXT NOT NULL,
    hash     TEXT NOT NULL, -- SHA-256
    width    INTEGER NOT NULL,
    height   INTEGER NOT NULL,
    bytes    INTEGER NOT NULL, -- of both files
    corners  TEXT NOT NULL, -- of the card, as they were guessed, JSON; null: none
    added_at TEXT NOT NULL
) STRICT;
CREATE INDEX pictures_of_dog ON pictures (dog_id, on_date);
CREATE INDEX pictures_by_hash ON pictures (hash);
CREATE TABLE pictures_gone (hash TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE pictures_gone;
DROP TABLE pictures;
