-- +goose Up
-- What is kept of a dog says which writing of it it is, so that a copy in memory is known to be the same; and
-- the dates that a change of the rules moved are found without going through every dog's.
ALTER TABLE feet ADD COLUMN stamp TEXT NOT NULL DEFAULT '';
CREATE INDEX standings_moved ON standings (due_on) WHERE was_on IS NOT NULL;

-- +goose Down
DROP INDEX standings_moved;
ALTER TABLE feet DROP COLUMN stamp;
