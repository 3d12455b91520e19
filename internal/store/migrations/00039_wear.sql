-- +goose Up
-- What each piece bore is added up by the core, day by day, in the transaction that changes it (store/wear.go).
DROP TRIGGER stint_withdrawn;
DROP TRIGGER stint_removed;
DROP TRIGGER stint_added;

-- +goose Down
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
