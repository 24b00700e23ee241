-- Whether the sheets of a box were counted by its owner; a generic box of the first run was not, and nothing is said of it.
ALTER TABLE paper ADD COLUMN counted INTEGER NOT NULL DEFAULT 1 CHECK (counted IN (0, 1));

-- Two events more: the paper lies in its box while a setting is changed in the light, and comes out again. A CHECK is changed by a table written anew.
CREATE TABLE event_2 (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('PAPER_BOXED', 'PAPER_TAKEN', 'DRUM_CLOSED', 'IN_DEVELOPER', 'IN_STOP', 'IN_FIXER', 'GLANCE')),
  happened_at TEXT NOT NULL,
  PRIMARY KEY (sheet_id, place)
) STRICT, WITHOUT ROWID;
INSERT INTO event_2 (sheet_id, place, kind, happened_at) SELECT sheet_id, place, kind, happened_at FROM event;
DROP TRIGGER event_stays;
DROP TRIGGER event_kept;
DROP TABLE event;
ALTER TABLE event_2 RENAME TO event;
CREATE TRIGGER event_stays BEFORE UPDATE ON event BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END;
CREATE TRIGGER event_kept BEFORE DELETE ON event BEGIN SELECT RAISE(ABORT, 'what happened is never deleted'); END;

-- Tones that have a name, of the whole frame: keyslate.store.json.StoredTone, a list.
ALTER TABLE recipe ADD COLUMN tones TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(tones));
