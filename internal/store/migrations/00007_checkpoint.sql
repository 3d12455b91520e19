-- +goose Up
-- What is kept of a dog's feet is how its last ended sitting or look left them: a sitting under way
-- does not make it stale, since every tap would then fold years anew. Ending one does, or undoing
-- its end, or taking it back.
DROP TRIGGER sitting_added;
DROP TRIGGER sitting_changed;
DROP TRIGGER sitting_removed;

-- +goose StatementBegin
CREATE TRIGGER sitting_added AFTER INSERT ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
    DELETE FROM feet WHERE dog_id = NEW.dog_id AND NOT EXISTS (SELECT 1 FROM logs WHERE sitting_id = NEW.id AND ended = 0);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sitting_changed AFTER UPDATE ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = NEW.dog_id;
    DELETE FROM feet WHERE dog_id = NEW.dog_id AND NOT EXISTS (SELECT 1 FROM logs WHERE sitting_id = NEW.id AND ended = 0);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sitting_removed AFTER DELETE ON sittings BEGIN
    UPDATE standings SET revision = revision + 1, terms = NULL WHERE dog_id = OLD.dog_id;
    DELETE FROM feet WHERE dog_id = OLD.dog_id AND NOT EXISTS (SELECT 1 FROM logs WHERE sitting_id = OLD.id AND ended = 0);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER log_ended AFTER UPDATE ON logs WHEN OLD.ended <> NEW.ended OR OLD.withdrawn_at IS NOT NEW.withdrawn_at BEGIN
    DELETE FROM feet WHERE dog_id = NEW.dog_id;
END;
-- +goose StatementEnd

-- Whether anybody has said how an old dog's joints are, so that it is asked once.
ALTER TABLE dogs ADD COLUMN sore_told INTEGER NOT NULL DEFAULT 0;
UPDATE dogs SET sore_told = sore;

-- The version of the rules under which a dog's date was set, and the date before they were changed,
-- until the user has seen that it moved.
ALTER TABLE standings ADD COLUMN rules INTEGER NOT NULL DEFAULT 0;
ALTER TABLE standings ADD COLUMN was_on TEXT;

DELETE FROM feet;
UPDATE standings SET terms = NULL;

-- +goose Down
ALTER TABLE dogs DROP COLUMN sore_told;
ALTER TABLE standings DROP COLUMN was_on;
ALTER TABLE standings DROP COLUMN rules;
DROP TRIGGER log_ended;
