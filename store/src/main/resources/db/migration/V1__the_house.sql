-- One file holds everything the user owns. Times are ISO 8601 in UTC. Units stand in the names.
-- What was exposed and what was decided is append-only; triggers at the end hold that.

CREATE TABLE enlarger (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  head TEXT NOT NULL,
  strength_log10 REAL NOT NULL CHECK (strength_log10 BETWEEN 0 AND 8),
  lag_seconds REAL NOT NULL CHECK (lag_seconds BETWEEN 0 AND 2),
  lag_source TEXT NOT NULL CHECK (lag_source IN ('default', 'measured')),
  column_mm REAL NOT NULL CHECK (column_mm > 0)
) STRICT;

CREATE TABLE lens (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  focal_mm REAL NOT NULL CHECK (focal_mm > 0),
  open_mark REAL NOT NULL CHECK (open_mark > 0),
  smallest_mark REAL NOT NULL CHECK (smallest_mark >= open_mark),
  marks_per_stop INTEGER NOT NULL CHECK (marks_per_stop BETWEEN 1 AND 3),
  covers_mm REAL NOT NULL CHECK (covers_mm > 0)
) STRICT;

CREATE TABLE paper (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  base TEXT NOT NULL CHECK (base IN ('RC', 'FB')),
  width_mm REAL NOT NULL CHECK (width_mm > 0),
  height_mm REAL NOT NULL CHECK (height_mm > 0),
  batch TEXT NOT NULL,
  sheets_in_box INTEGER NOT NULL CHECK (sheets_in_box > 0),
  sheets_left REAL NOT NULL CHECK (sheets_left >= 0),
  reserve_sheets INTEGER NOT NULL CHECK (reserve_sheets >= 0)
) STRICT;

CREATE TABLE bath (
  id TEXT PRIMARY KEY,
  place INTEGER NOT NULL,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  mixed_at TEXT NOT NULL,
  capacity_m2 REAL NOT NULL CHECK (capacity_m2 > 0),
  used_m2 REAL NOT NULL CHECK (used_m2 >= 0)
) STRICT;

CREATE TABLE picture (
  id TEXT PRIMARY KEY,
  media_type TEXT NOT NULL CHECK (media_type IN ('image/png', 'image/jpeg')),
  -- How code values stand for light: linear16 = 16 bit, code 16384 is a white diffuser; srgb8 = 8 bit sRGB.
  encoding TEXT NOT NULL CHECK (encoding IN ('linear16', 'srgb8')),
  width_px INTEGER NOT NULL CHECK (width_px > 0),
  height_px INTEGER NOT NULL CHECK (height_px > 0),
  bytes BLOB NOT NULL
) STRICT;

CREATE TABLE roll (
  id TEXT PRIMARY KEY,
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
  film TEXT NOT NULL,
  -- Long and short side of one frame.
  long_mm REAL NOT NULL CHECK (long_mm > 0),
  short_mm REAL NOT NULL CHECK (short_mm > 0 AND short_mm <= long_mm),
  added_at TEXT NOT NULL
) STRICT;

CREATE TABLE frame (
  id TEXT PRIMARY KEY,
  roll_id TEXT NOT NULL REFERENCES roll (id),
  number TEXT NOT NULL CHECK (length(number) BETWEEN 1 AND 8),
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
  caption TEXT NOT NULL,
  upright INTEGER NOT NULL CHECK (upright IN (0, 1)),
  picture_id TEXT REFERENCES picture (id),
  UNIQUE (roll_id, number)
) STRICT;

CREATE TABLE slate (
  id TEXT PRIMARY KEY,
  frame_id TEXT NOT NULL REFERENCES frame (id),
  created_at TEXT NOT NULL,
  -- Counts every change, so that two windows notice each other.
  version INTEGER NOT NULL CHECK (version >= 1),
  -- The standing recipe, and the one that undo came from.
  recipe_id TEXT NOT NULL REFERENCES recipe (id) DEFERRABLE INITIALLY DEFERRED,
  redo_id TEXT REFERENCES recipe (id) DEFERRABLE INITIALLY DEFERRED,
  -- The print that was accepted, if any.
  accepted_sheet_id TEXT REFERENCES sheet (id) DEFERRABLE INITIALLY DEFERRED,
  touched_at TEXT NOT NULL
) STRICT;

CREATE TABLE recipe (
  id TEXT PRIMARY KEY,
  slate_id TEXT NOT NULL REFERENCES slate (id) DEFERRABLE INITIALLY DEFERRED,
  previous_id TEXT REFERENCES recipe (id),
  made_at TEXT NOT NULL,
  -- What the edit was, for undo: "grade 2 to 3".
  edit TEXT NOT NULL,
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
  intent TEXT NOT NULL CHECK (length(intent) <= 400),
  enlarger_id TEXT NOT NULL REFERENCES enlarger (id),
  lens_id TEXT NOT NULL REFERENCES lens (id),
  aperture_mark REAL NOT NULL CHECK (aperture_mark > 0),
  paper_id TEXT NOT NULL REFERENCES paper (id),
  sheet_width_mm REAL NOT NULL CHECK (sheet_width_mm BETWEEN 20 AND 2000),
  sheet_height_mm REAL NOT NULL CHECK (sheet_height_mm BETWEEN 20 AND 2000),
  border_mm REAL NOT NULL CHECK (border_mm BETWEEN 0 AND 200),
  fit TEXT NOT NULL CHECK (fit IN ('WHOLE_PICTURE', 'FILL_SHEET')),
  -- Where the kept part lies when a part is lost: 0 = at the left or top, 1 = at the right or bottom.
  crop_place REAL NOT NULL CHECK (crop_place BETWEEN 0 AND 1),
  filter TEXT NOT NULL CHECK (filter IN ('00', '0', '½', '1', '1½', '2', '2½', '3', '3½', '4', '4½', '5')),
  base_seconds REAL NOT NULL CHECK (base_seconds > 0 AND base_seconds <= 36000),
  -- Where the time comes from: default, rescaled, read, judged or own.
  base_source TEXT NOT NULL CHECK (base_source IN ('default', 'rescaled', 'read', 'judged', 'own')),
  base_because TEXT NOT NULL,
  strip_kind TEXT NOT NULL CHECK (strip_kind IN ('EQUAL_STOPS', 'EQUAL_SECONDS')),
  strip_centre_seconds REAL CHECK (strip_centre_seconds > 0),
  strip_step_stops REAL NOT NULL CHECK (strip_step_stops > 0),
  strip_step_seconds REAL NOT NULL CHECK (strip_step_seconds > 0),
  strip_patches INTEGER NOT NULL CHECK (strip_patches BETWEEN 2 AND 15),
  strip_direction TEXT NOT NULL CHECK (strip_direction IN ('DARK_RIGHT', 'DARK_LEFT', 'DARK_BOTTOM', 'DARK_TOP')),
  strip_patch_mm REAL NOT NULL CHECK (strip_patch_mm > 0),
  strip_breadth_mm REAL NOT NULL CHECK (strip_breadth_mm > 0),
  -- Where the strip lies across the picture, 0 to 1; null = placed where it tells most.
  strip_place REAL CHECK (strip_place BETWEEN 0 AND 1)
) STRICT;

CREATE TABLE area (
  recipe_id TEXT NOT NULL REFERENCES recipe (id),
  place INTEGER NOT NULL,
  -- The same area keeps its key from recipe to recipe.
  area_key TEXT NOT NULL,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 40),
  -- ellipse, lasso or edge, with points in fractions of the frame, as JSON.
  shape TEXT NOT NULL CHECK (json_valid(shape)),
  soft_edge REAL NOT NULL CHECK (soft_edge BETWEEN 0 AND 1),
  change_stops REAL NOT NULL CHECK (change_stops BETWEEN -4 AND 6),
  -- Filter of a burn; null = the base's.
  filter TEXT CHECK (filter IN ('00', '0', '½', '1', '1½', '2', '2½', '3', '3½', '4', '4½', '5')),
  tool TEXT NOT NULL CHECK (length(tool) <= 60),
  PRIMARY KEY (recipe_id, place)
) STRICT, WITHOUT ROWID;

CREATE TABLE sheet (
  id TEXT PRIMARY KEY,
  slate_id TEXT NOT NULL REFERENCES slate (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('STRIP', 'PRINT')),
  recipe_id TEXT NOT NULL REFERENCES recipe (id),
  begun_at TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('EXPOSING', 'HUNG', 'ABANDONED')),
  ended_at TEXT,
  -- Share of a sheet of paper that was used.
  paper_used REAL NOT NULL CHECK (paper_used > 0),
  magnification REAL NOT NULL CHECK (magnification > 0),
  -- The printed part of the frame, in fractions of it; for a strip the part under the strip.
  view_left REAL NOT NULL, view_top REAL NOT NULL, view_width REAL NOT NULL, view_height REAL NOT NULL,
  picture_id TEXT REFERENCES picture (id),
  -- Learned from the scan of this sheet: how much faster the paper acted than assumed.
  speed_offset_stops REAL,
  note TEXT NOT NULL,
  UNIQUE (slate_id, number)
) STRICT;

CREATE TABLE burst (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('PATCH', 'BASE', 'BURN')),
  filter TEXT NOT NULL,
  set_seconds REAL NOT NULL CHECK (set_seconds > 0),
  received_seconds REAL NOT NULL CHECK (received_seconds >= 0),
  -- For a patch: its number and its total.
  patch INTEGER, patch_total_seconds REAL,
  -- Keys of the areas held back all through it, as a JSON list.
  held TEXT NOT NULL CHECK (json_valid(held)),
  burned TEXT,
  PRIMARY KEY (sheet_id, place)
) STRICT, WITHOUT ROWID;

-- What the lamp really did: a row when it goes on, completed when it goes off.
CREATE TABLE lamp (
  sheet_id TEXT NOT NULL,
  burst_place INTEGER NOT NULL,
  attempt INTEGER NOT NULL CHECK (attempt >= 1),
  set_seconds REAL NOT NULL CHECK (set_seconds > 0),
  on_at TEXT NOT NULL,
  off_at TEXT,
  given_seconds REAL CHECK (given_seconds >= 0),
  outcome TEXT CHECK (outcome IN ('COMPLETE', 'STOPPED', 'POWER_LOST')),
  PRIMARY KEY (sheet_id, burst_place, attempt),
  FOREIGN KEY (sheet_id, burst_place) REFERENCES burst (sheet_id, place)
) STRICT, WITHOUT ROWID;

CREATE TABLE decision (
  id TEXT PRIMARY KEY,
  slate_id TEXT NOT NULL REFERENCES slate (id),
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  kind TEXT NOT NULL CHECK (kind IN ('READING', 'JUDGEMENT', 'ACCEPTANCE')),
  made_at TEXT NOT NULL,
  -- A reading: places counted in patches from the first.
  whites_at REAL, blacks_at REAL,
  -- A judgement: how the next print should differ.
  darker_stops REAL, harder_grades REAL,
  remark TEXT NOT NULL,
  -- The verdict as it was shown, and what was taken.
  headline TEXT NOT NULL, why TEXT NOT NULL,
  proposed_filter TEXT, proposed_seconds REAL,
  overruled INTEGER NOT NULL CHECK (overruled IN (0, 1)),
  taken_filter TEXT, taken_seconds REAL
) STRICT;

CREATE INDEX recipe_of_slate ON recipe (slate_id);
CREATE INDEX sheet_of_slate ON sheet (slate_id);
CREATE INDEX decision_of_slate ON decision (slate_id);
CREATE INDEX frame_of_roll ON frame (roll_id);
CREATE INDEX slate_of_frame ON slate (frame_id);

CREATE TRIGGER recipe_stays BEFORE UPDATE ON recipe BEGIN SELECT RAISE(ABORT, 'a recipe is never changed, a new one follows it'); END;
CREATE TRIGGER recipe_kept BEFORE DELETE ON recipe BEGIN SELECT RAISE(ABORT, 'a recipe is never deleted'); END;
CREATE TRIGGER area_stays BEFORE UPDATE ON area BEGIN SELECT RAISE(ABORT, 'an area of a recipe is never changed'); END;
CREATE TRIGGER area_kept BEFORE DELETE ON area BEGIN SELECT RAISE(ABORT, 'an area of a recipe is never deleted'); END;
CREATE TRIGGER burst_stays BEFORE UPDATE ON burst BEGIN SELECT RAISE(ABORT, 'the script of a sheet is never changed'); END;
CREATE TRIGGER burst_kept BEFORE DELETE ON burst BEGIN SELECT RAISE(ABORT, 'the script of a sheet is never deleted'); END;
CREATE TRIGGER lamp_stays BEFORE UPDATE ON lamp WHEN OLD.off_at IS NOT NULL
  BEGIN SELECT RAISE(ABORT, 'what was exposed is never changed'); END;
CREATE TRIGGER lamp_kept BEFORE DELETE ON lamp BEGIN SELECT RAISE(ABORT, 'what was exposed is never deleted'); END;
CREATE TRIGGER sheet_stays BEFORE UPDATE ON sheet WHEN OLD.state <> 'EXPOSING'
  BEGIN SELECT RAISE(ABORT, 'an exposed sheet is never changed'); END;
CREATE TRIGGER sheet_kept BEFORE DELETE ON sheet BEGIN SELECT RAISE(ABORT, 'an exposed sheet is never deleted'); END;
CREATE TRIGGER decision_stays BEFORE UPDATE ON decision BEGIN SELECT RAISE(ABORT, 'a decision is never changed, a new one follows it'); END;
CREATE TRIGGER decision_kept BEFORE DELETE ON decision BEGIN SELECT RAISE(ABORT, 'a decision is never deleted'); END;
