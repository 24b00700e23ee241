-- One file holds everything the user owns. Times are ISO 8601 in UTC with three digits of milliseconds. Units stand in the names.
-- A light is written as it is said: "grade 2½", "0/52/47". JSON columns hold records of the store's own (keyslate.store.json).
-- What was exposed and what was decided is append-only; triggers at the end hold that.

CREATE TABLE enlarger (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  head TEXT NOT NULL CHECK (length(head) BETWEEN 1 AND 80),
  -- How its lamp is timed: by the application, by a timer the printer presses, or it burns and a card moves.
  lamp TEXT NOT NULL CHECK (lamp IN ('SWITCHED', 'MY_TIMER', 'BURNS')),
  -- Whether the head has dials for a pack.
  dials INTEGER NOT NULL CHECK (dials IN (0, 1)),
  strength_log10 REAL NOT NULL CHECK (strength_log10 BETWEEN 0 AND 8),
  lag_seconds REAL NOT NULL CHECK (lag_seconds BETWEEN 0 AND 2),
  lag_source TEXT NOT NULL CHECK (lag_source IN ('default', 'entered', 'measured')),
  column_mm REAL NOT NULL CHECK (column_mm > 0),
  column_source TEXT NOT NULL CHECK (column_source IN ('default', 'entered', 'measured'))
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
  kind TEXT NOT NULL CHECK (kind IN ('MONOCHROME', 'COLOUR')),
  base TEXT NOT NULL CHECK (base IN ('RC', 'FB')),
  width_mm REAL NOT NULL CHECK (width_mm > 0),
  height_mm REAL NOT NULL CHECK (height_mm > 0),
  batch TEXT NOT NULL CHECK (length(batch) <= 80),
  sheets_in_box INTEGER NOT NULL CHECK (sheets_in_box > 0),
  sheets_left REAL NOT NULL CHECK (sheets_left >= 0),
  reserve_sheets INTEGER NOT NULL CHECK (reserve_sheets >= 0),
  -- The light its owner begins with; null = a plain default.
  start_light TEXT
) STRICT;

CREATE TABLE bath (
  id TEXT PRIMARY KEY,
  place INTEGER NOT NULL,
  process TEXT NOT NULL CHECK (process IN ('MONOCHROME', 'COLOUR')),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  mixed_at TEXT NOT NULL,
  capacity_m2 REAL NOT NULL CHECK (capacity_m2 > 0),
  used_m2 REAL NOT NULL CHECK (used_m2 >= 0)
) STRICT;

-- A picture as it was put in, in parts of 1 MB, and the working copy, which alone is ever read whole.
CREATE TABLE picture (
  id TEXT PRIMARY KEY,
  media_type TEXT NOT NULL CHECK (media_type IN ('image/png', 'image/jpeg')),
  -- How code values stand for light: linear16 = 16 bit, code 16384 is a white diffuser; srgb8 = 8 bit sRGB.
  encoding TEXT NOT NULL CHECK (encoding IN ('linear16', 'srgb8')),
  width_px INTEGER NOT NULL CHECK (width_px > 0),
  height_px INTEGER NOT NULL CHECK (height_px > 0),
  size_bytes INTEGER NOT NULL CHECK (size_bytes > 0)
) STRICT;

CREATE TABLE picture_part (
  picture_id TEXT NOT NULL REFERENCES picture (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  bytes BLOB NOT NULL CHECK (length(bytes) BETWEEN 1 AND 1048576),
  PRIMARY KEY (picture_id, place)
) STRICT;

CREATE TABLE picture_working (
  picture_id TEXT PRIMARY KEY REFERENCES picture (id),
  media_type TEXT NOT NULL CHECK (media_type IN ('image/png', 'image/jpeg')),
  bytes BLOB NOT NULL CHECK (length(bytes) BETWEEN 1 AND 16777216)
) STRICT;

CREATE TABLE roll (
  id TEXT PRIMARY KEY,
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
  film TEXT NOT NULL CHECK (length(film) <= 80),
  kind TEXT NOT NULL CHECK (kind IN ('MONOCHROME', 'COLOUR')),
  -- Long and short side of one frame.
  long_mm REAL NOT NULL CHECK (long_mm BETWEEN 5 AND 600),
  short_mm REAL NOT NULL CHECK (short_mm BETWEEN 5 AND 600 AND short_mm <= long_mm),
  added_at TEXT NOT NULL
) STRICT;

CREATE TABLE frame (
  id TEXT PRIMARY KEY,
  roll_id TEXT NOT NULL REFERENCES roll (id),
  number TEXT NOT NULL CHECK (length(number) BETWEEN 1 AND 8),
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
  caption TEXT NOT NULL CHECK (length(caption) <= 400),
  upright INTEGER NOT NULL CHECK (upright IN (0, 1)),
  picture_id TEXT REFERENCES picture (id),
  UNIQUE (roll_id, number)
) STRICT;

CREATE TABLE slate (
  id TEXT PRIMARY KEY,
  frame_id TEXT NOT NULL REFERENCES frame (id),
  created_at TEXT NOT NULL,
  -- Counts every change, so that two windows notice each other.
  version INTEGER NOT NULL CHECK (version BETWEEN 1 AND 1000000000),
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
  -- Whether a true white and a true black must be in the print.
  white_wanted INTEGER NOT NULL CHECK (white_wanted IN (0, 1)),
  black_wanted INTEGER NOT NULL CHECK (black_wanted IN (0, 1)),
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
  -- Where the time comes from: default, rescaled, read, judged or own.
  base_source TEXT NOT NULL CHECK (base_source IN ('default', 'rescaled', 'read', 'judged', 'own')),
  base_because TEXT NOT NULL,
  local_way TEXT NOT NULL CHECK (local_way IN ('ONE_EXPOSURE', 'BURSTS')),
  -- The plan of the next test: keyslate.store.json.StoredTest.
  test TEXT NOT NULL CHECK (json_valid(test))
) STRICT;

-- The base exposure, part by part; one part for a single filter or pack. Times are exact and as received.
CREATE TABLE base_part (
  recipe_id TEXT NOT NULL REFERENCES recipe (id),
  place INTEGER NOT NULL CHECK (place BETWEEN 1 AND 3),
  light TEXT NOT NULL CHECK (length(light) BETWEEN 1 AND 40),
  seconds REAL NOT NULL CHECK (seconds > 0 AND seconds <= 36000),
  PRIMARY KEY (recipe_id, place)
) STRICT, WITHOUT ROWID;

CREATE TABLE area (
  recipe_id TEXT NOT NULL REFERENCES recipe (id),
  place INTEGER NOT NULL,
  -- The same area keeps its key from recipe to recipe.
  area_key TEXT NOT NULL CHECK (length(area_key) BETWEEN 1 AND 60),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 40),
  -- Points in fractions of the frame: keyslate.store.json.StoredShape.
  shape TEXT NOT NULL CHECK (json_valid(shape)),
  soft_edge REAL NOT NULL CHECK (soft_edge BETWEEN 0 AND 1),
  change_stops REAL NOT NULL CHECK (change_stops BETWEEN -4 AND 6),
  -- Light of a burn; null = the base's.
  light TEXT CHECK (length(light) BETWEEN 1 AND 40),
  tool TEXT NOT NULL CHECK (length(tool) <= 60),
  PRIMARY KEY (recipe_id, place),
  UNIQUE (recipe_id, area_key)
) STRICT, WITHOUT ROWID;

CREATE TABLE sheet (
  id TEXT PRIMARY KEY,
  slate_id TEXT NOT NULL REFERENCES slate (id),
  number INTEGER NOT NULL CHECK (number BETWEEN 1 AND 100000),
  kind TEXT NOT NULL CHECK (length(kind) BETWEEN 1 AND 40),
  recipe_id TEXT NOT NULL REFERENCES recipe (id),
  begun_at TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('EXPOSING', 'HUNG', 'ABANDONED')),
  ended_at TEXT,
  -- Share of a sheet of paper that was used.
  paper_used REAL NOT NULL CHECK (paper_used > 0),
  magnification REAL NOT NULL CHECK (magnification > 0),
  -- What it rested on when it was begun: keyslate.store.json.Stood; null = not recorded (from an older slate file).
  stood TEXT CHECK (json_valid(stood)),
  note TEXT NOT NULL CHECK (length(note) <= 400),
  UNIQUE (slate_id, number)
) STRICT;

-- The pieces of a sheet, each with its part of the frame in fractions of it.
CREATE TABLE piece (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  view_left REAL NOT NULL,
  view_top REAL NOT NULL,
  view_width REAL NOT NULL CHECK (view_width > 0),
  view_height REAL NOT NULL CHECK (view_height > 0),
  PRIMARY KEY (sheet_id, number)
) STRICT, WITHOUT ROWID;

-- The script of a sheet, frozen when it was begun; every exposure says by itself where its light falls.
CREATE TABLE step (
  sheet_id TEXT NOT NULL,
  place INTEGER NOT NULL CHECK (place >= 1),
  piece INTEGER NOT NULL,
  light TEXT NOT NULL CHECK (length(light) BETWEEN 1 AND 40),
  opening REAL NOT NULL CHECK (opening > 0),
  set_seconds REAL NOT NULL CHECK (set_seconds > 0),
  presses INTEGER NOT NULL CHECK (presses BETWEEN 1 AND 99),
  -- keyslate.store.json.StoredPhase, a list; cues: keyslate.core.script.Cue by name, a list.
  phases TEXT NOT NULL CHECK (json_valid(phases)),
  cues TEXT NOT NULL CHECK (json_valid(cues)),
  PRIMARY KEY (sheet_id, place),
  FOREIGN KEY (sheet_id, piece) REFERENCES piece (sheet_id, number)
) STRICT, WITHOUT ROWID;

-- What the lamp really did: a row when it goes on, completed when it goes off.
CREATE TABLE lamp (
  sheet_id TEXT NOT NULL,
  step_place INTEGER NOT NULL,
  attempt INTEGER NOT NULL CHECK (attempt >= 1),
  set_seconds REAL NOT NULL CHECK (set_seconds > 0),
  on_at TEXT NOT NULL,
  off_at TEXT,
  given_seconds REAL CHECK (given_seconds >= 0),
  outcome TEXT CHECK (outcome IN ('COMPLETE', 'STOPPED', 'POWER_LOST')),
  -- 1 = the printer said so; the application switched nothing.
  told INTEGER NOT NULL CHECK (told IN (0, 1)),
  PRIMARY KEY (sheet_id, step_place, attempt),
  FOREIGN KEY (sheet_id, step_place) REFERENCES step (sheet_id, place)
) STRICT, WITHOUT ROWID;

-- What happened to a sheet after its light, in order.
CREATE TABLE event (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('DRUM_CLOSED', 'IN_DEVELOPER', 'IN_STOP', 'IN_FIXER', 'GLANCE')),
  happened_at TEXT NOT NULL,
  PRIMARY KEY (sheet_id, place)
) STRICT, WITHOUT ROWID;

-- Pictures of a sheet as they were handed in; the last one counts. Offsets: how much faster the paper acted than labelled, stops, a list.
CREATE TABLE scan (
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  place INTEGER NOT NULL CHECK (place >= 1),
  picture_id TEXT NOT NULL REFERENCES picture (id),
  handed_at TEXT NOT NULL,
  offsets TEXT CHECK (json_valid(offsets)),
  -- Where it comes from: the scanner of the practice darkroom, or a file of the user's.
  source TEXT NOT NULL CHECK (source IN ('SIMULATED', 'HANDED_IN')),
  PRIMARY KEY (sheet_id, place)
) STRICT, WITHOUT ROWID;

CREATE TABLE decision (
  id TEXT PRIMARY KEY,
  slate_id TEXT NOT NULL REFERENCES slate (id),
  sheet_id TEXT NOT NULL REFERENCES sheet (id),
  kind TEXT NOT NULL CHECK (kind IN ('READING', 'CAST', 'JUDGEMENT', 'ACCEPTANCE')),
  made_at TEXT NOT NULL,
  -- What was seen or wished: keyslate.store.json.Seen.
  seen TEXT NOT NULL CHECK (json_valid(seen)),
  remark TEXT NOT NULL CHECK (length(remark) <= 400),
  -- The verdict as it was shown, and what was taken.
  headline TEXT NOT NULL,
  why TEXT NOT NULL,
  proposed_light TEXT,
  proposed_seconds REAL CHECK (proposed_seconds > 0),
  overruled INTEGER NOT NULL CHECK (overruled IN (0, 1)),
  taken_light TEXT,
  taken_seconds REAL CHECK (taken_seconds > 0)
) STRICT;

CREATE INDEX recipe_of_slate ON recipe (slate_id);
CREATE INDEX sheet_of_slate ON sheet (slate_id);
CREATE INDEX decision_of_slate ON decision (slate_id);
CREATE INDEX decision_of_sheet ON decision (sheet_id);
CREATE INDEX frame_of_roll ON frame (roll_id);
CREATE INDEX slate_of_frame ON slate (frame_id);

CREATE TRIGGER recipe_stays BEFORE UPDATE ON recipe BEGIN SELECT RAISE(ABORT, 'a recipe is never changed, a new one follows it'); END;
CREATE TRIGGER recipe_kept BEFORE DELETE ON recipe BEGIN SELECT RAISE(ABORT, 'a recipe is never deleted'); END;
CREATE TRIGGER base_part_stays BEFORE UPDATE ON base_part BEGIN SELECT RAISE(ABORT, 'the base of a recipe is never changed'); END;
CREATE TRIGGER base_part_kept BEFORE DELETE ON base_part BEGIN SELECT RAISE(ABORT, 'the base of a recipe is never deleted'); END;
CREATE TRIGGER area_stays BEFORE UPDATE ON area BEGIN SELECT RAISE(ABORT, 'an area of a recipe is never changed'); END;
CREATE TRIGGER area_kept BEFORE DELETE ON area BEGIN SELECT RAISE(ABORT, 'an area of a recipe is never deleted'); END;
CREATE TRIGGER piece_stays BEFORE UPDATE ON piece BEGIN SELECT RAISE(ABORT, 'a piece of a sheet is never changed'); END;
CREATE TRIGGER piece_kept BEFORE DELETE ON piece BEGIN SELECT RAISE(ABORT, 'a piece of a sheet is never deleted'); END;
CREATE TRIGGER step_stays BEFORE UPDATE ON step BEGIN SELECT RAISE(ABORT, 'the script of a sheet is never changed'); END;
CREATE TRIGGER step_kept BEFORE DELETE ON step BEGIN SELECT RAISE(ABORT, 'the script of a sheet is never deleted'); END;
CREATE TRIGGER lamp_stays BEFORE UPDATE ON lamp WHEN OLD.off_at IS NOT NULL
  BEGIN SELECT RAISE(ABORT, 'what was exposed is never changed'); END;
CREATE TRIGGER lamp_kept BEFORE DELETE ON lamp BEGIN SELECT RAISE(ABORT, 'what was exposed is never deleted'); END;
CREATE TRIGGER sheet_stays BEFORE UPDATE ON sheet WHEN OLD.state <> 'EXPOSING'
  BEGIN SELECT RAISE(ABORT, 'an exposed sheet is never changed'); END;
CREATE TRIGGER sheet_as_begun BEFORE UPDATE ON sheet
  WHEN NEW.stood IS NOT OLD.stood OR NEW.recipe_id <> OLD.recipe_id OR NEW.kind <> OLD.kind OR NEW.magnification <> OLD.magnification
  BEGIN SELECT RAISE(ABORT, 'what a sheet was begun with is never changed'); END;
CREATE TRIGGER sheet_kept BEFORE DELETE ON sheet BEGIN SELECT RAISE(ABORT, 'an exposed sheet is never deleted'); END;
CREATE TRIGGER event_stays BEFORE UPDATE ON event BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END;
CREATE TRIGGER event_kept BEFORE DELETE ON event BEGIN SELECT RAISE(ABORT, 'what happened is never deleted'); END;
CREATE TRIGGER scan_stays BEFORE UPDATE ON scan BEGIN SELECT RAISE(ABORT, 'a scan is never changed, a new one follows it'); END;
CREATE TRIGGER scan_kept BEFORE DELETE ON scan BEGIN SELECT RAISE(ABORT, 'a scan is never deleted'); END;
CREATE TRIGGER decision_stays BEFORE UPDATE ON decision BEGIN SELECT RAISE(ABORT, 'a decision is never changed, a new one follows it'); END;
CREATE TRIGGER decision_kept BEFORE DELETE ON decision BEGIN SELECT RAISE(ABORT, 'a decision is never deleted'); END;
