-- +goose Up
-- A stint holds its own share of a timed sitting, and what nobody timed as nails; and what each piece
-- bore is kept added up by day, so that a tap need not go through years of sittings.

CREATE TABLE shares (
    sitting_id TEXT NOT NULL REFERENCES sittings (id),
    item_id    TEXT NOT NULL REFERENCES kit_items (id),
    cuts       INTEGER NOT NULL,
    seconds    INTEGER NOT NULL, -- of a timed sitting
    untimed    INTEGER NOT NULL, -- nails of one that nobody timed
    took_force INTEGER NOT NULL,
    PRIMARY KEY (sitting_id, item_id)
) STRICT, WITHOUT ROWID;
INSERT INTO shares
    SELECT t.sitting_id, t.item_id, t.cuts,
        IIF(s.minutes IS NULL OR t.all_nails = 0, 0, CAST(ROUND(60 * s.minutes * t.nails / t.all_nails) AS INTEGER)),
        IIF(s.minutes IS NULL OR t.all_nails = 0, t.nails, 0), t.took_force
    FROM stints t JOIN sittings s ON s.id = t.sitting_id;
DROP TABLE stints;
ALTER TABLE shares RENAME TO stints;

CREATE TABLE worn (
    item_id    TEXT NOT NULL REFERENCES kit_items (id),
    on_date    TEXT NOT NULL,
    cuts       INTEGER NOT NULL,
    seconds    INTEGER NOT NULL,
    untimed    INTEGER NOT NULL,
    took_force INTEGER NOT NULL, -- how often
    PRIMARY KEY (item_id, on_date)
) STRICT, WITHOUT ROWID;
INSERT INTO worn
    SELECT t.item_id, s.on_date, SUM(t.cuts), SUM(t.seconds), SUM(t.untimed), SUM(t.took_force)
    FROM stints t JOIN sittings s ON s.id = t.sitting_id WHERE s.withdrawn_at IS NULL GROUP BY t.item_id, s.on_date;

CREATE INDEX sittings_by_day ON sittings (on_date);

-- +goose StatementBegin
CREATE TRIGGER stint_added AFTER INSERT ON stints BEGIN
    INSERT INTO worn
        SELECT NEW.item_id, on_date, NEW.cuts, NEW.seconds, NEW.untimed, NEW.took_force
        FROM sittings WHERE id = NEW.sitting_id AND withdrawn_at IS NULL
    ON CONFLICT DO UPDATE SET cuts = cuts + excluded.cuts, seconds = seconds + excluded.seconds,
        untimed = untimed + excluded.untimed, took_force = took_force + excluded.took_force;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER stint_removed AFTER DELETE ON stints BEGIN
    UPDATE worn SET cuts = cuts - OLD.cuts, seconds = seconds - OLD.seconds, untimed = untimed - OLD.untimed, took_force = took_force - OLD.took_force
    WHERE item_id = OLD.item_id AND on_date = (SELECT on_date FROM sittings WHERE id = OLD.sitting_id AND withdrawn_at IS NULL);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER stint_withdrawn AFTER UPDATE OF withdrawn_at ON sittings WHEN OLD.withdrawn_at IS NULL AND NEW.withdrawn_at IS NOT NULL BEGIN
    UPDATE worn SET cuts = worn.cuts - t.cuts, seconds = worn.seconds - t.seconds, untimed = worn.untimed - t.untimed, took_force = worn.took_force - t.took_force
    FROM stints t WHERE t.sitting_id = NEW.id AND worn.item_id = t.item_id AND worn.on_date = NEW.on_date;
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER stint_withdrawn;
DROP TRIGGER stint_removed;
DROP TRIGGER stint_added;
DROP INDEX sittings_by_day;
DROP TABLE worn;
ALTER TABLE stints RENAME TO shares;
CREATE TABLE stints (
    sitting_id TEXT NOT NULL REFERENCES sittings (id),
    item_id    TEXT NOT NULL REFERENCES kit_items (id),
    cuts       INTEGER NOT NULL,
    nails      INTEGER NOT NULL,
    all_nails  INTEGER NOT NULL,
    took_force INTEGER NOT NULL,
    PRIMARY KEY (sitting_id, item_id)
) STRICT, WITHOUT ROWID;
INSERT INTO stints SELECT t.sitting_id, t.item_id, t.cuts,
        (SELECT COUNT(*) FROM records r WHERE r.sitting_id = t.sitting_id AND r.item_id = t.item_id AND EXISTS (SELECT 1 FROM cuts c WHERE c.sitting_id = r.sitting_id AND c.code = r.code)),
        (SELECT COUNT(*) FROM records r WHERE r.sitting_id = t.sitting_id AND EXISTS (SELECT 1 FROM cuts c WHERE c.sitting_id = r.sitting_id AND c.code = r.code)),
        t.took_force
    FROM shares t;
DROP TABLE shares;
