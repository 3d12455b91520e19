-- +goose Up
-- What was walked before, holidays, plans to bring a quick back, and what the lists read of a dog.

ALTER TABLE dogs ADD COLUMN short_quicks INTEGER NOT NULL DEFAULT 0;

CREATE TABLE walked (
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    until_date TEXT NOT NULL,
    km_week    REAL NOT NULL,
    PRIMARY KEY (dog_id, until_date)
) STRICT, WITHOUT ROWID;

CREATE TABLE holidays (
    from_date TEXT PRIMARY KEY,
    to_date   TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- The secret part of the address under which a calendar program reads the dates.
ALTER TABLE settings ADD COLUMN calendar_key TEXT NOT NULL DEFAULT '';

-- A dog has one plan at a time; its steps are JSON, as they were promised.
CREATE TABLE plans (
    id         TEXT PRIMARY KEY,
    dog_id     TEXT NOT NULL REFERENCES dogs (id),
    started_on TEXT NOT NULL,
    rhythm     TEXT NOT NULL,
    goal_mm    REAL NOT NULL,
    steps      TEXT NOT NULL,
    begun_at   TEXT NOT NULL,
    ended_at   TEXT
) STRICT;
CREATE UNIQUE INDEX plans_open ON plans (dog_id) WHERE ended_at IS NULL;

-- A projection: what the lists read of a dog, so that they need not read its whole history.
-- Whatever changes the dog makes it stale, by the triggers below.
CREATE TABLE standings (
    dog_id   TEXT PRIMARY KEY REFERENCES dogs (id),
    revision INTEGER NOT NULL DEFAULT 1, -- goes up with everything that is told of the dog
    terms    TEXT,                       -- rules, day and settings under which the date was set; null: to be set
    foremost INTEGER NOT NULL DEFAULT 0, -- a veterinarian's matter: before all others
    turn_on  TEXT NOT NULL DEFAULT '',   -- the day by which the list is sorted
    name_key TEXT NOT NULL DEFAULT '',   -- the name in small letters, to be searched
    standing TEXT NOT NULL DEFAULT '',
    due      TEXT,                       -- the date, its reasons, and the nails as they look that day, JSON
    due_on   TEXT,                       -- for the calendar; stays while the date is being set anew
    sequence INTEGER NOT NULL DEFAULT 0, -- how often that date has moved
    moved_at TEXT                        -- when it last did
) STRICT;
-- Both hold all that their question asks, so that it does not read the dates and reasons of every dog.
CREATE INDEX standings_turn ON standings (foremost DESC, turn_on, name_key, dog_id, standing);
CREATE INDEX standings_terms ON standings (terms, turn_on, dog_id);

-- The same of its feet, as the records fold; no row: to be folded. Apart, since they are large.
CREATE TABLE feet (
    dog_id   TEXT PRIMARY KEY REFERENCES dogs (id),
    fold     INTEGER NOT NULL, -- the version of the rules that folded them
    body     TEXT NOT NULL
) STRICT;

INSERT INTO standings (dog_id) SELECT id FROM dogs;

-- +goose StatementBegin
CREATE TRIGGER dog_added AFTER INSERT ON dogs BEGIN
    INSERT INTO standings (dog_id) VALUES (NEW.id);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER dog_changed AFTER UPDATE ON dogs BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.id;
    DELETE FROM feet WHERE dog_id = NEW.id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER check_added AFTER INSERT ON checks BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
    DELETE FROM feet WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sitting_added AFTER INSERT ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
    DELETE FROM feet WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sitting_changed AFTER UPDATE ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
    DELETE FROM feet WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sitting_removed AFTER DELETE ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = OLD.dog_id;
    DELETE FROM feet WHERE dog_id = OLD.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER ladder_added AFTER INSERT ON ladders BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER ladder_changed AFTER UPDATE ON ladders BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER try_added AFTER INSERT ON tries BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = (SELECT dog_id FROM ladders WHERE id = NEW.ladder_id);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER try_changed AFTER UPDATE ON tries BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = (SELECT dog_id FROM ladders WHERE id = NEW.ladder_id);
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER try_changed;
DROP TRIGGER try_added;
DROP TRIGGER ladder_changed;
DROP TRIGGER ladder_added;
DROP TRIGGER sitting_removed;
DROP TRIGGER sitting_changed;
DROP TRIGGER sitting_added;
DROP TRIGGER check_added;
DROP TRIGGER dog_changed;
DROP TRIGGER dog_added;
DROP TABLE feet;
DROP TABLE standings;
DROP TABLE plans;
ALTER TABLE settings DROP COLUMN calendar_key;
DROP TABLE holidays;
DROP TABLE walked;
ALTER TABLE dogs DROP COLUMN short_quicks;
