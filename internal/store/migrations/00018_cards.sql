-- +goose Up
-- The page of an owner's card: whoever has its key sees that card and nothing else.
CREATE TABLE cards (
    sitting_id TEXT PRIMARY KEY,
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    card_key   TEXT NOT NULL UNIQUE
) STRICT;

-- +goose Down
DROP TABLE cards;
