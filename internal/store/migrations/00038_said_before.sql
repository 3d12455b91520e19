-- +goose Up
-- What was said of each dog beforehand, added up, as it was last worked out: by which of its records and which rules.
CREATE TABLE said_before (
    dog_id   TEXT PRIMARY KEY REFERENCES dogs (id),
    revision INTEGER NOT NULL, -- of the dog's records, as its standing counts them
    terms    TEXT NOT NULL,    -- rules and settings
    body     TEXT NOT NULL     -- JSON
) STRICT;

-- +goose Down
DROP TABLE said_before;
