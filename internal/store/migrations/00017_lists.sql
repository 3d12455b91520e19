-- +goose Up
-- What a list brought in, so that it can be taken back in one press.
CREATE TABLE lists (
    id       TEXT PRIMARY KEY,
    taken_at TEXT NOT NULL
) STRICT;
CREATE TABLE list_parts (
    list_id TEXT NOT NULL REFERENCES lists (id),
    part_id TEXT NOT NULL, -- of a dog or an owner
    what    TEXT NOT NULL, -- dog, owner
    PRIMARY KEY (list_id, part_id)
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE list_parts;
DROP TABLE lists;
