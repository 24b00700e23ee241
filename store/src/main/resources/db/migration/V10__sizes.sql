-- How picture and sheet meet, in full. NULL for the down place = that of crop_place, as before both could be moved.
ALTER TABLE recipe ADD COLUMN crop_down REAL CHECK (crop_down BETWEEN 0 AND 1);
ALTER TABLE recipe ADD COLUMN overfill_percent REAL NOT NULL DEFAULT 0 CHECK (overfill_percent BETWEEN 0 AND 50);
-- Blades that do not stand alike: left, top, right, bottom in mm, a list; border_mm is then the narrowest of them.
ALTER TABLE recipe ADD COLUMN blades TEXT CHECK (json_valid(blades));
-- A size that was set on the enlarger by eye, what told how large it is, and the reading in mm.
ALTER TABLE recipe ADD COLUMN sized_times REAL CHECK (sized_times > 0);
ALTER TABLE recipe ADD COLUMN sized_by TEXT CHECK ((sized_by IS NULL) = (sized_times IS NULL) AND sized_by IN ('COLUMN', 'HEIGHT', 'PICTURE'));
ALTER TABLE recipe ADD COLUMN sized_reading REAL CHECK ((sized_reading IS NULL) = (sized_times IS NULL));

-- That focus and frame were looked at, with what stood then; the last one of an enlarger counts.
CREATE TABLE focus_check (
  id INTEGER PRIMARY KEY,
  enlarger_id TEXT NOT NULL REFERENCES enlarger (id),
  recipe_id TEXT NOT NULL REFERENCES recipe (id) ON DELETE CASCADE,
  checked_at TEXT NOT NULL
) STRICT;
CREATE INDEX focus_check_of ON focus_check (enlarger_id, checked_at);
CREATE INDEX focus_check_recipe ON focus_check (recipe_id);
CREATE INDEX sheet_begun ON sheet (begun_at);

ALTER TABLE paper ADD COLUMN opened_on TEXT NOT NULL DEFAULT '' CHECK (length(opened_on) <= 10);
-- Of a whole sheet, in the user's own money; null where nobody said.
ALTER TABLE paper ADD COLUMN sheet_price REAL CHECK (sheet_price BETWEEN 0 AND 100000);

-- See V4 for the way. More can be tested, stand in a darkroom, and be preferred.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''DRY_DOWN'', ''SAFE_MINUTES''', '''DRY_DOWN'', ''SAFE_MINUTES'', ''FOG_MINUTES'', ''STRAY_MINUTES'', ''COIN_MINUTES'', ''RECIPROCITY'', ''ALIGNMENT''')
  WHERE type = 'table' AND name = 'constant';
UPDATE sqlite_schema SET sql = replace(sql, '''VIEWING_LIGHT'', ''SAFELIGHT''', '''VIEWING_LIGHT'', ''SAFELIGHT'', ''ROOM'', ''SCREEN''')
  WHERE type = 'table' AND name = 'thing';
UPDATE sqlite_schema SET sql = replace(sql, 'name IN (''LENGTH'', ''TEMPERATURE'')', 'name IN (''LENGTH'', ''TEMPERATURE'', ''SHORTEST_S'', ''LONGEST_S'')')
  WHERE type = 'table' AND name = 'preference';
PRAGMA writable_schema = RESET;
