-- In contact the light comes through the empty carrier's lens or from a bare lamp, so far from the paper; null = enlarged.
ALTER TABLE recipe ADD COLUMN contact TEXT CHECK (contact IN ('LENS', 'LAMP'));
ALTER TABLE recipe ADD COLUMN contact_mm REAL
  CHECK ((contact_mm IS NULL) = (contact IS NULL) AND (contact_mm IS NULL OR contact_mm BETWEEN 50 AND 3000));
-- What the column's own scale showed then, as it is read there.
ALTER TABLE recipe ADD COLUMN column_reading TEXT NOT NULL DEFAULT '' CHECK (length(column_reading) <= 20);

-- A slate is of a frame, or of a whole roll on one sheet: its proof.
ALTER TABLE slate ADD COLUMN roll_id TEXT REFERENCES roll (id) CHECK ((roll_id IS NULL) <> (frame_id IS NULL));
CREATE INDEX slate_of_roll ON slate (roll_id);

-- See V4 for the way.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, 'frame_id TEXT NOT NULL REFERENCES frame (id)', 'frame_id TEXT REFERENCES frame (id)')
  WHERE type = 'table' AND name = 'slate';
PRAGMA writable_schema = RESET;
