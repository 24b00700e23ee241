-- Slates and rolls that are put away are left out of the Bench and of Rolls until they are asked for.
ALTER TABLE slate ADD COLUMN put_away_at TEXT;
ALTER TABLE roll ADD COLUMN put_away_at TEXT;

-- Whether lamp, paper and scans of a slate are simulated: nothing real was exposed for it.
ALTER TABLE slate ADD COLUMN practice INTEGER NOT NULL DEFAULT 0 CHECK (practice IN (0, 1));
UPDATE slate SET practice = 1 WHERE EXISTS
  (SELECT 1 FROM sheet JOIN scan ON scan.sheet_id = sheet.id WHERE sheet.slate_id = slate.id AND scan.source = 'SIMULATED');

-- When and where copies of this file are made by itself: one row.
CREATE TABLE backup_plan (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  every_days INTEGER NOT NULL CHECK (every_days BETWEEN 0 AND 365),
  kept INTEGER NOT NULL CHECK (kept BETWEEN 1 AND 99),
  -- null = the folder "backups" beside this file.
  folder TEXT CHECK (length(folder) BETWEEN 1 AND 1000)
) STRICT;
INSERT INTO backup_plan (id, every_days, kept, folder) VALUES (1, 1, 7, NULL);

CREATE INDEX slate_by_touch ON slate (touched_at DESC, id);
CREATE INDEX roll_by_age ON roll (added_at DESC, id);
CREATE INDEX scan_of_picture ON scan (picture_id);
CREATE INDEX frame_of_picture ON frame (picture_id);

-- Slates for which paper was exposed. The exception of the rules below is what is not one of these: it may be deleted whole.
CREATE VIEW exposed_slate AS SELECT slate.id FROM slate WHERE slate.practice = 0 AND EXISTS
  (SELECT 1 FROM sheet WHERE sheet.slate_id = slate.id
    AND (sheet.state <> 'ABANDONED' OR EXISTS (SELECT 1 FROM lamp WHERE lamp.sheet_id = sheet.id)));

DROP TRIGGER recipe_kept;
DROP TRIGGER base_part_kept;
DROP TRIGGER area_kept;
DROP TRIGGER piece_kept;
DROP TRIGGER step_kept;
DROP TRIGGER lamp_kept;
DROP TRIGGER sheet_kept;
DROP TRIGGER event_kept;
DROP TRIGGER scan_kept;
DROP TRIGGER decision_kept;
CREATE TRIGGER recipe_kept BEFORE DELETE ON recipe WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = OLD.slate_id)
  BEGIN SELECT RAISE(ABORT, 'a recipe that paper was exposed for is never deleted'); END;
CREATE TRIGGER base_part_kept BEFORE DELETE ON base_part
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM recipe WHERE recipe.id = OLD.recipe_id))
  BEGIN SELECT RAISE(ABORT, 'the base of a recipe is never deleted'); END;
CREATE TRIGGER area_kept BEFORE DELETE ON area
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM recipe WHERE recipe.id = OLD.recipe_id))
  BEGIN SELECT RAISE(ABORT, 'an area of a recipe is never deleted'); END;
CREATE TRIGGER piece_kept BEFORE DELETE ON piece
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'a piece of a sheet is never deleted'); END;
CREATE TRIGGER step_kept BEFORE DELETE ON step
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'the script of a sheet is never deleted'); END;
CREATE TRIGGER lamp_kept BEFORE DELETE ON lamp
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'what was exposed is never deleted'); END;
CREATE TRIGGER sheet_kept BEFORE DELETE ON sheet WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = OLD.slate_id)
  BEGIN SELECT RAISE(ABORT, 'an exposed sheet is never deleted'); END;
CREATE TRIGGER event_kept BEFORE DELETE ON event
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'what happened is never deleted'); END;
CREATE TRIGGER scan_kept BEFORE DELETE ON scan
  WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = (SELECT slate_id FROM sheet WHERE sheet.id = OLD.sheet_id))
  BEGIN SELECT RAISE(ABORT, 'a scan is never deleted'); END;
CREATE TRIGGER decision_kept BEFORE DELETE ON decision WHEN EXISTS (SELECT 1 FROM exposed_slate WHERE id = OLD.slate_id)
  BEGIN SELECT RAISE(ABORT, 'a decision is never deleted'); END;
CREATE TRIGGER slate_practice BEFORE UPDATE ON slate WHEN NEW.practice <> OLD.practice
  BEGIN SELECT RAISE(ABORT, 'whether a slate is practice is never changed'); END;
CREATE TRIGGER sheet_of_its_slate BEFORE UPDATE ON sheet WHEN NEW.slate_id <> OLD.slate_id
  BEGIN SELECT RAISE(ABORT, 'a sheet never goes to another slate'); END;
