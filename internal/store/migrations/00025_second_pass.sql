-- +goose Up
-- A nail that was clipped may be ground round at the same sitting: its second pass. What is usual of a hand and of a dog.
ALTER TABLE records ADD COLUMN ground_tool TEXT NOT NULL DEFAULT '';
ALTER TABLE records ADD COLUMN ground_item TEXT;
ALTER TABLE cuts ADD COLUMN second_pass INTEGER NOT NULL DEFAULT 0;
ALTER TABLE settings ADD COLUMN way TEXT NOT NULL DEFAULT '';
ALTER TABLE dogs ADD COLUMN way TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE dogs DROP COLUMN way;
ALTER TABLE settings DROP COLUMN way;
ALTER TABLE cuts DROP COLUMN second_pass;
ALTER TABLE records DROP COLUMN ground_item;
ALTER TABLE records DROP COLUMN ground_tool;
