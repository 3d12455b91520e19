-- +goose Up
-- What is to be worked out anew since the tables were changed, until it is: a book whose upgrade was broken
-- off finds it here when it is next opened. Every sitting gets a log, from before there were logs too, and
-- what the lists read of all of them is worked out again.

CREATE TABLE owed (what TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;
INSERT INTO owed SELECT 'lists' WHERE EXISTS (SELECT 1 FROM sittings) OR EXISTS (SELECT 1 FROM logs);

-- +goose Down
DROP TABLE owed;
