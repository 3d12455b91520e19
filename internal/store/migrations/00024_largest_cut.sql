-- +goose Up
-- The largest cut, mm for a nail 7 mm deep: a hand's, and what a dog wants; none is what is usual of the hand.
ALTER TABLE settings ADD COLUMN largest_cut_mm REAL;
ALTER TABLE dogs ADD COLUMN largest_cut_mm REAL;

-- +goose Down
ALTER TABLE dogs DROP COLUMN largest_cut_mm;
ALTER TABLE settings DROP COLUMN largest_cut_mm;
