-- +goose Up
-- The clipper ladder begins three rungs lower, before the tool touches a paw: one that was begun before stands where it
-- stood. And whether a puppy's nails are tipped while its paws are on a ladder.
ALTER TABLE ladders ADD COLUMN first_step INTEGER NOT NULL DEFAULT 0;
UPDATE ladders SET first_step = 3 WHERE kind = 'clipper';
ALTER TABLE dogs ADD COLUMN tips_meanwhile INTEGER NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE dogs DROP COLUMN tips_meanwhile;
ALTER TABLE ladders DROP COLUMN first_step;
