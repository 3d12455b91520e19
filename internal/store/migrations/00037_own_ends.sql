-- +goose Up
-- Pictures of cut ends, taken at the bench: whose end, at which trim, after how many cuts, and who took it; no code: the
-- picture is of a paw. What somebody said the next slice shows, and how their eye reads ends where that sets the care.
ALTER TABLE pictures ADD COLUMN code TEXT NOT NULL DEFAULT '';
ALTER TABLE pictures ADD COLUMN sitting_id TEXT NOT NULL DEFAULT '';
ALTER TABLE pictures ADD COLUMN cuts INTEGER NOT NULL DEFAULT 0 CHECK (cuts BETWEEN 0 AND 60);
ALTER TABLE pictures ADD COLUMN taken_by TEXT NOT NULL DEFAULT '' CHECK (length(taken_by) <= 200);
CREATE TABLE own_ends (
    id         TEXT PRIMARY KEY,
    picture_id TEXT NOT NULL,
    said       TEXT NOT NULL,
    who        TEXT NOT NULL DEFAULT '',
    said_at    TEXT NOT NULL
) STRICT;
CREATE INDEX own_ends_of ON own_ends (picture_id, said_at);
ALTER TABLE records ADD COLUMN eye_milder REAL NOT NULL DEFAULT 0;
-- Whose practice sets the care at the bench, by their device's name; null: nobody's.
ALTER TABLE settings ADD COLUMN eye_of TEXT;

-- What is usual by the book's own record, where the user let it say so: growth by size, times that of most dogs, or how
-- ends show. All dogs are folded anew by it.
CREATE TABLE own_usual (
    kind   TEXT NOT NULL,
    class  REAL NOT NULL, -- kg under which the dogs lie; 0: the heaviest, or all
    value  TEXT NOT NULL, -- JSON
    set_at TEXT NOT NULL,
    PRIMARY KEY (kind, class)
) STRICT, WITHOUT ROWID;
-- +goose StatementBegin
CREATE TRIGGER own_usual_set AFTER INSERT ON own_usual BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL;
    DELETE FROM feet;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER own_usual_taken_back AFTER DELETE ON own_usual BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL;
    DELETE FROM feet;
END;
-- +goose StatementEnd

-- +goose Down
DROP TABLE own_usual;
ALTER TABLE settings DROP COLUMN eye_of;
ALTER TABLE records DROP COLUMN eye_milder;
DROP TABLE own_ends;
ALTER TABLE pictures DROP COLUMN taken_by;
ALTER TABLE pictures DROP COLUMN cuts;
ALTER TABLE pictures DROP COLUMN sitting_id;
ALTER TABLE pictures DROP COLUMN code;
