-- +goose Up
-- In which language the book speaks where nobody's browser tells, and each owner; empty: as the book does.
ALTER TABLE settings ADD COLUMN language TEXT NOT NULL DEFAULT 'en' CHECK (length(language) BETWEEN 2 AND 12);
ALTER TABLE owners ADD COLUMN language TEXT NOT NULL DEFAULT '' CHECK (length(language) <= 12);

-- +goose Down
ALTER TABLE owners DROP COLUMN language;
ALTER TABLE settings DROP COLUMN language;
