-- Things are changed and retired, never deleted: recipes and sheets name them.
ALTER TABLE enlarger ADD COLUMN retired_at TEXT;
ALTER TABLE lens ADD COLUMN retired_at TEXT;
ALTER TABLE paper ADD COLUMN retired_at TEXT;
ALTER TABLE paper ADD COLUMN surface TEXT NOT NULL DEFAULT '' CHECK (length(surface) <= 40);

-- What stands in the darkroom besides enlargers, lenses, paper and baths; a few facts each: keyslate.store.json.StoredFacts.
CREATE TABLE thing (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('EASEL', 'CARRIER', 'FILTER_SET', 'VIEWING_KIT', 'DRUM', 'MACHINE', 'VIEWING_LIGHT', 'SAFELIGHT')),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  facts TEXT NOT NULL CHECK (json_valid(facts)),
  added_at TEXT NOT NULL,
  retired_at TEXT
) STRICT;

-- What was found of a thing, one after another; the last that was not taken back counts. Without any its default does.
CREATE TABLE constant (
  id TEXT PRIMARY KEY,
  -- An enlarger, a lens, a paper or a thing; and the lens it holds for, '' where it holds for all.
  thing_id TEXT NOT NULL,
  lens_id TEXT NOT NULL DEFAULT '',
  name TEXT NOT NULL CHECK (name IN ('LAG', 'EVENNESS', 'COLUMN', 'OPENINGS', 'PUPIL', 'DRY_DOWN', 'SAFE_MINUTES')),
  found_at TEXT NOT NULL,
  source TEXT NOT NULL CHECK (source IN ('ENTERED', 'MEASURED')),
  -- keyslate.store.json.StoredConstant; readings as they were taken, null where it was entered.
  value TEXT NOT NULL CHECK (json_valid(value)),
  readings TEXT CHECK (json_valid(readings)),
  remark TEXT NOT NULL CHECK (length(remark) <= 400),
  undone_at TEXT
) STRICT;
CREATE INDEX constant_of ON constant (thing_id, name, found_at);
CREATE TRIGGER constant_stays BEFORE UPDATE ON constant WHEN
  NEW.thing_id <> OLD.thing_id OR NEW.lens_id <> OLD.lens_id OR NEW.name <> OLD.name OR NEW.found_at <> OLD.found_at OR NEW.source <> OLD.source
  OR NEW.value <> OLD.value OR NEW.readings IS NOT OLD.readings OR OLD.undone_at IS NOT NULL
  BEGIN SELECT RAISE(ABORT, 'what was measured is never changed'); END;
CREATE TRIGGER constant_kept BEFORE DELETE ON constant BEGIN SELECT RAISE(ABORT, 'what was measured is never deleted'); END;

-- Pieces that were cut and lie in the box beside its whole sheets.
CREATE TABLE piece_stock (
  paper_id TEXT NOT NULL REFERENCES paper (id),
  long_mm REAL NOT NULL CHECK (long_mm BETWEEN 10 AND 2000),
  short_mm REAL NOT NULL CHECK (short_mm BETWEEN 10 AND 2000 AND short_mm <= long_mm),
  pieces INTEGER NOT NULL CHECK (pieces BETWEEN 1 AND 10000),
  PRIMARY KEY (paper_id, long_mm, short_mm)
) STRICT, WITHOUT ROWID;

-- How the user likes units: one row each.
CREATE TABLE preference (
  name TEXT PRIMARY KEY CHECK (name IN ('LENGTH', 'TEMPERATURE')),
  value TEXT NOT NULL CHECK (length(value) BETWEEN 1 AND 20)
) STRICT, WITHOUT ROWID;
