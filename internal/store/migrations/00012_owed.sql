-- +goose Up
-- Every sitting gets a log, those from before there were logs too; and what the kit bore at them, which an
-- upgrade had forgotten, comes back with it.
CREATE TABLE IF NOT EXISTS owed (what TEXT PRIMARY KEY) STRICT, WITHOUT ROWID;
INSERT INTO owed SELECT 'logs' WHERE EXISTS (SELECT 1 FROM sittings WHERE id NOT IN (SELECT sitting_id FROM logs));

-- +goose Down
DROP TABLE owed;
