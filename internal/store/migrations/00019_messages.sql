-- +goose Up
-- What owners are told: a log, each with how far it has come; and up to where the message service was heard.
CREATE TABLE messages (
    id         TEXT PRIMARY KEY,
    owner_id   TEXT NOT NULL REFERENCES owners (id),
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    kind       TEXT NOT NULL,
    recipient  TEXT NOT NULL,
    text       TEXT NOT NULL,
    places     TEXT NOT NULL, -- that are offered, JSON
    state      TEXT NOT NULL,
    failures   INTEGER NOT NULL,
    next_at    TEXT NOT NULL,
    made_at    TEXT NOT NULL,
    changed_at TEXT NOT NULL,
    answer     TEXT NOT NULL,
    heard      INTEGER NOT NULL, -- the last report of it
    said       TEXT NOT NULL -- why it waits for a person, or what came of the answer
) STRICT;
CREATE INDEX messages_waiting ON messages (next_at) WHERE state = 'waiting';
CREATE INDEX messages_of_owner ON messages (owner_id);
CREATE TABLE heard (
    one    INTEGER PRIMARY KEY CHECK (one = 1),
    number INTEGER NOT NULL
) STRICT;

-- +goose Down
DROP TABLE heard;
DROP TABLE messages;
