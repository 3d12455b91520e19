-- +goose Up
-- So that of two pages that change the settings the later one is told, and not the earlier one lost.

ALTER TABLE settings ADD COLUMN version INTEGER NOT NULL DEFAULT 1;

-- +goose Down
ALTER TABLE settings DROP COLUMN version;
