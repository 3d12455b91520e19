-- +goose Up
-- What every length, gap and quick was read with, and how far it may be off: one standard deviation, mm.
-- Until now nobody was asked: what is usual, and a gap that is exactly a feeler's was felt.

CREATE TABLE readings (
    sitting_id TEXT NOT NULL,
    code       TEXT NOT NULL,
    measure    TEXT NOT NULL,
    mm         REAL NOT NULL,
    by_means   TEXT NOT NULL,
    sd_mm      REAL NOT NULL,
    PRIMARY KEY (sitting_id, code, measure),
    FOREIGN KEY (sitting_id, code) REFERENCES records (sitting_id, code)
) STRICT, WITHOUT ROWID;

INSERT INTO readings SELECT sitting_id, code, 'length_before', length_before_mm, 'caliper', 0.5 FROM records WHERE length_before_mm IS NOT NULL;
INSERT INTO readings SELECT sitting_id, code, 'length_after', length_after_mm, 'caliper', 0.5 FROM records WHERE length_after_mm IS NOT NULL;
INSERT INTO readings SELECT sitting_id, code, 'gap_before', gap_before_mm, IIF(gap_before_mm IN (0, 0.1, 0.76), 'feeler', 'caliper'), IIF(gap_before_mm IN (0, 0.1, 0.76), 0.1, 0.2) FROM records WHERE gap_before_mm IS NOT NULL;
INSERT INTO readings SELECT sitting_id, code, 'gap_after', gap_after_mm, IIF(gap_after_mm IN (0, 0.1, 0.76), 'feeler', 'caliper'), IIF(gap_after_mm IN (0, 0.1, 0.76), 0.1, 0.2) FROM records WHERE gap_after_mm IS NOT NULL;
INSERT INTO readings SELECT sitting_id, code, 'spare_left', spare_left_mm, 'eye', 0.4 FROM records WHERE spare_left_mm IS NOT NULL;

ALTER TABLE records DROP COLUMN length_before_mm;
ALTER TABLE records DROP COLUMN length_after_mm;
ALTER TABLE records DROP COLUMN gap_before_mm;
ALTER TABLE records DROP COLUMN gap_after_mm;
ALTER TABLE records DROP COLUMN spare_left_mm;

ALTER TABLE landmarks ADD COLUMN by_means TEXT NOT NULL DEFAULT 'eye';
ALTER TABLE landmarks ADD COLUMN sd_mm REAL NOT NULL DEFAULT 0;
UPDATE landmarks SET sd_mm = CASE kind WHEN 'seen' THEN 0.4 WHEN 'torch' THEN 0.8 WHEN 'groove' THEN 1 ELSE 1.5 END;

ALTER TABLE looks ADD COLUMN gap_by TEXT;
ALTER TABLE looks ADD COLUMN gap_sd_mm REAL;
ALTER TABLE looks ADD COLUMN length_by TEXT;
ALTER TABLE looks ADD COLUMN length_sd_mm REAL;
UPDATE looks SET gap_by = IIF(gap_mm IN (0, 0.1, 0.76), 'feeler', 'caliper'), gap_sd_mm = IIF(gap_mm IN (0, 0.1, 0.76), 0.1, 0.2) WHERE gap_mm IS NOT NULL;
UPDATE looks SET length_by = 'caliper', length_sd_mm = 0.5 WHERE length_mm IS NOT NULL;

-- +goose Down
ALTER TABLE looks DROP COLUMN length_sd_mm;
ALTER TABLE looks DROP COLUMN length_by;
ALTER TABLE looks DROP COLUMN gap_sd_mm;
ALTER TABLE looks DROP COLUMN gap_by;
ALTER TABLE landmarks DROP COLUMN sd_mm;
ALTER TABLE landmarks DROP COLUMN by_means;
ALTER TABLE records ADD COLUMN length_before_mm REAL;
ALTER TABLE records ADD COLUMN length_after_mm REAL;
ALTER TABLE records ADD COLUMN gap_before_mm REAL;
ALTER TABLE records ADD COLUMN gap_after_mm REAL;
ALTER TABLE records ADD COLUMN spare_left_mm REAL;
UPDATE records SET
    length_before_mm = (SELECT mm FROM readings r WHERE r.sitting_id = records.sitting_id AND r.code = records.code AND measure = 'length_before'),
    length_after_mm = (SELECT mm FROM readings r WHERE r.sitting_id = records.sitting_id AND r.code = records.code AND measure = 'length_after'),
    gap_before_mm = (SELECT mm FROM readings r WHERE r.sitting_id = records.sitting_id AND r.code = records.code AND measure = 'gap_before'),
    gap_after_mm = (SELECT mm FROM readings r WHERE r.sitting_id = records.sitting_id AND r.code = records.code AND measure = 'gap_after'),
    spare_left_mm = (SELECT mm FROM readings r WHERE r.sitting_id = records.sitting_id AND r.code = records.code AND measure = 'spare_left');
DROP TABLE readings;
