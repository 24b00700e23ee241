-- More that can happen to a sheet: white light against advice, the alarm, leaving and coming back, a slip, a good one, one to be made again, and an answer taken back.
CREATE TABLE event_3 (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('PAPER_BOXED', 'PAPER_TAKEN', 'DRUM_CLOSED', 'IN_DEVELOPER', 'IN_STOP', 'IN_FIXER', 'GLANCE', 'WHITE_LIGHT',
    'ALARM', 'LEFT', 'CAME_BACK', 'SLIP', 'GOOD', 'AGAIN', 'TAKEN_BACK')),
  happened_at TEXT NOT NULL,
  PRIMARY KEY (sheet_id, place)
) STRICT, WITHOUT ROWID;
INSERT INTO event_3 (sheet_id, place, kind, happened_at) SELECT sheet_id, place, kind, happened_at FROM event;
DROP TRIGGER event_stays;
DROP TRIGGER event_kept;
DROP TABLE event;
ALTER TABLE event_3 RENAME TO event;
CREATE TRIGGER event_stays BEFORE UPDATE ON event BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END;
CREATE TRIGGER event_kept BEFORE DELETE ON event
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'what happened is never deleted'); END;
-- How long paper lies in a bath before white light is safe; NULL = as is usual.
ALTER TABLE bath ADD COLUMN least_seconds REAL CHECK (least_seconds > 0);
