-- +goose Up
-- What measured grinding says of one touch of a bit is kept added up by sitting and by day, like what it wore.
ALTER TABLE stints ADD COLUMN ground INTEGER NOT NULL DEFAULT 0; -- nails, ground from one measured length to another
ALTER TABLE stints ADD COLUMN ground_weight REAL NOT NULL DEFAULT 0; -- 1/mm², added up
ALTER TABLE stints ADD COLUMN ground_sum REAL NOT NULL DEFAULT 0; -- of touches in mm, each with its weight
ALTER TABLE worn ADD COLUMN ground INTEGER NOT NULL DEFAULT 0;
ALTER TABLE worn ADD COLUMN ground_weight REAL NOT NULL DEFAULT 0;
ALTER TABLE worn ADD COLUMN ground_sum REAL NOT NULL DEFAULT 0;

UPDATE stints SET ground = g.nails, ground_weight = g.weight, ground_sum = g.sum FROM (
    SELECT sitting_id, item_id, COUNT(*) AS nails, SUM(touches * touches / variance) AS weight, SUM(touches * took / variance) AS sum
    FROM (
        SELECT r.sitting_id, r.item_id, b.mm - a.mm AS took, b.sd_mm * b.sd_mm + a.sd_mm * a.sd_mm AS variance,
            (SELECT COUNT(*) FROM cuts c WHERE c.sitting_id = r.sitting_id AND c.code = r.code) AS touches
        FROM records r
            JOIN readings b ON b.sitting_id = r.sitting_id AND b.code = r.code AND b.measure = 'length_before'
            JOIN readings a ON a.sitting_id = r.sitting_id AND a.code = r.code AND a.measure = 'length_after'
        WHERE r.item_id IS NOT NULL
    ) WHERE touches > 0 AND variance > 0 GROUP BY sitting_id, item_id
) AS g WHERE stints.sitting_id = g.sitting_id AND stints.item_id = g.item_id;
UPDATE worn SET ground = g.nails, ground_weight = g.weight, ground_sum = g.sum FROM (
    SELECT t.item_id, s.on_date, SUM(t.ground) AS nails, SUM(t.ground_weight) AS weight, SUM(t.ground_sum) AS sum
    FROM stints t JOIN sittings s ON s.id = t.sitting_id WHERE s.withdrawn_at IS NULL AND t.ground > 0 GROUP BY t.item_id, s.on_date
) AS g WHERE worn.item_id = g.item_id AND worn.on_date = g.on_date;

DROP TRIGGER stint_withdrawn;
DROP TRIGGER stint_removed;
DROP TRIGGER stint_added;
-- +goose StatementBegin
CREATE TRIGGER stint_added AFTER INSERT ON stints BEGIN
    INSERT INTO worn (item_id, on_date, cuts, seconds, untimed, took_force, ground, ground_weight, ground_sum)
        SELECT NEW.item_id, on_date, NEW.cuts, NEW.seconds, NEW.untimed, NEW.took_force, NEW.ground, NEW.ground_weight, NEW.ground_sum
        FROM sittings WHERE id = NEW.sitting_id AND withdrawn_at IS NULL
    ON CONFLICT DO UPDATE SET cuts = cuts + excluded.cuts, seconds = seconds + excluded.seconds,
        untimed = untimed + excluded.untimed, took_force = took_force + excluded.took_force, ground = ground + excluded.ground,
        ground_weight = ground_weight + excluded.ground_weight, ground_sum = ground_sum + excluded.ground_sum;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER stint_removed AFTER DELETE ON stints BEGIN
    UPDATE worn SET cuts = cuts - OLD.cuts, seconds = seconds - OLD.seconds, untimed = untimed - OLD.untimed, took_force = took_force - OLD.took_force,
        ground = ground - OLD.ground, ground_weight = ground_weight - OLD.ground_weight, ground_sum = ground_sum - OLD.ground_sum
    WHERE item_id = OLD.item_id AND on_date = (SELECT on_date FROM sittings WHERE id = OLD.sitting_id AND withdrawn_at IS NULL);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER stint_withdrawn AFTER UPDATE OF withdrawn_at ON sittings WHEN OLD.withdrawn_at IS NULL AND NEW.withdrawn_at IS NOT NULL BEGIN
    UPDATE worn SET cuts = worn.cuts - t.cuts, seconds = worn.seconds - t.seconds, untimed = worn.untimed - t.untimed, took_force = worn.took_force - t.took_force,
        ground = worn.ground - t.ground, ground_weight = worn.ground_weight - t.ground_weight, ground_sum = worn.ground_sum - t.ground_sum
    FROM stints t WHERE t.sitting_id = NEW.id AND worn.item_id = t.item_id AND worn.on_date = NEW.on_date;
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER stint_withdrawn;
DROP TRIGGER stint_removed;
DROP TRIGGER stint_added;
-- +goose StatementBegin
CREATE TRIGGER stint_added AFTER INSERT ON stints BEGIN
    INSERT INTO worn (item_id, on_date, cuts, seconds, untimed, took_force)
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
ALTER TABLE worn DROP COLUMN ground_sum;
ALTER TABLE worn DROP COLUMN ground_weight;
ALTER TABLE worn DROP COLUMN ground;
ALTER TABLE stints DROP COLUMN ground_sum;
ALTER TABLE stints DROP COLUMN ground_weight;
ALTER TABLE stints DROP COLUMN ground;
