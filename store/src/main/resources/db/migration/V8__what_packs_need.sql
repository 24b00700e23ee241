-- What a frame's pack has more than the other's, points, where the scan of their proof tells it; null where it does not.
ALTER TABLE frame_need ADD COLUMN pack_magenta REAL CHECK (pack_magenta BETWEEN -200 AND 200);
ALTER TABLE frame_need ADD COLUMN pack_yellow REAL
  CHECK ((pack_yellow IS NULL) = (pack_magenta IS NULL) AND (pack_yellow IS NULL OR pack_yellow BETWEEN -200 AND 200));
