-- Whether a picture's file says what its colours mean, and whether it is the scan of a negative whose working copy shows the scene.
ALTER TABLE picture ADD COLUMN profiled INTEGER NOT NULL DEFAULT 1 CHECK (profiled IN (0, 1));
ALTER TABLE picture ADD COLUMN negative INTEGER NOT NULL DEFAULT 0 CHECK (negative IN (0, 1));
-- Where in the file the picture lies, eight numbers; null = it is all of it.
ALTER TABLE picture ADD COLUMN corners TEXT CHECK (json_valid(corners));

-- The scan of a whole sleeve or proof sheet, which frames are cut from.
ALTER TABLE roll ADD COLUMN sleeve_picture_id TEXT REFERENCES picture (id);
CREATE INDEX roll_of_picture ON roll (sleeve_picture_id);

-- TIFF files are taken in too; see V4 for the way.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, 'media_type IN (''image/png'', ''image/jpeg'')', 'media_type IN (''image/png'', ''image/jpeg'', ''image/tiff'')')
  WHERE type = 'table' AND name = 'picture';
PRAGMA writable_schema = RESET;
