-- +goose Up
-- Who waits for a place on a day that is full, in the order in which they were written down.
CREATE TABLE waiting (
    dog_id  TEXT NOT NULL REFERENCES dogs (id),
    on_date TEXT NOT NULL,
    note    TEXT NOT NULL DEFAULT '',
    told_at TEXT NOT NULL,
    PRIMARY KEY (dog_id, on_date)
);
CREATE INDEX waiting_by_day ON waiting (on_date, told_at);

-- +goose Down
DROP TABLE waiting;
