-- +goose Up
-- What is to be worked out anew since the tables were changed, until it is: a book whose upgrade was broken off
-- finds it here when it is next opened. Every sitting gets a log, those from before there were logs too, and what
-- the kit bore at them comes back with it. Lists from before they held what each cut showed, and where the quick
-- was seen, are worked out again from the logs.
CREATE TABLE owed (what TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;
INSERT INTO owed SELECT 'logs' WHERE EXISTS (SELECT 1 FROM sittings WHERE id NOT IN (SELECT sitting_id FROM logs));
INSERT INTO owed SELECT 'lists' WHERE
    NOT EXISTS (SELECT 1 FROM cuts WHERE face <> '') AND EXISTS (SELECT 1 FROM events WHERE body LIKE '%"kind":"face"%')
    OR NOT EXISTS (SELECT 1 FROM landmarks) AND EXISTS (SELECT 1 FROM events WHERE body LIKE '%"kind":"landmark"%');

-- +goose Down
DROP TABLE owed;
