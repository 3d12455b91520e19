-- +goose Up
-- Paws that are held otherwise than the rest of the dog: "LF:lap RH:ground".
ALTER TABLE dogs ADD COLUMN by_paw TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE dogs DROP COLUMN by_paw;
