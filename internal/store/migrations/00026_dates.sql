-- +goose Up
-- What sets a dog's dates, the floor or the calendar; empty is as the role has it. And a day on which it was agreed to
-- come once.
ALTER TABLE dogs ADD COLUMN dates TEXT NOT NULL DEFAULT '';
ALTER TABLE dogs ADD COLUMN come_once TEXT;

-- +goose Down
ALTER TABLE dogs DROP COLUMN come_once;
ALTER TABLE dogs DROP COLUMN dates;
