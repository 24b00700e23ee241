-- How a film is cut for its sleeve: strips of so many frames, the odd one at the end or at the beginning.
ALTER TABLE roll ADD COLUMN strip_frames INTEGER NOT NULL DEFAULT 6 CHECK (strip_frames BETWEEN 1 AND 100);
ALTER TABLE roll ADD COLUMN odd_first INTEGER NOT NULL DEFAULT 0 CHECK (odd_first IN (0, 1));

-- What was decided on the proof sheet; null = not looked at yet.
ALTER TABLE frame ADD COLUMN rating TEXT CHECK (rating IN ('PRINT', 'MAYBE', 'NO'));

-- What is known of a whole film, once; an empty text or null = not recorded.
CREATE TABLE roll_history (
  roll_id TEXT PRIMARY KEY REFERENCES roll (id),
  -- A day, as 2026-11-26.
  taken_on TEXT NOT NULL CHECK (length(taken_on) IN (0, 10)),
  camera TEXT NOT NULL CHECK (length(camera) <= 80),
  -- Where the sleeve lies.
  sleeve TEXT NOT NULL CHECK (length(sleeve) <= 80),
  nominal_iso REAL CHECK (nominal_iso > 0),
  exposed_iso REAL CHECK (exposed_iso > 0),
  development TEXT NOT NULL CHECK (length(development) <= 200),
  remark TEXT NOT NULL CHECK (length(remark) <= 400)
) STRICT, WITHOUT ROWID;

-- What is known of a negative beyond its line; only of those of which something is.
CREATE TABLE frame_notes (
  frame_id TEXT PRIMARY KEY REFERENCES frame (id),
  -- Who is in the picture, and whether they agreed to be shown.
  people TEXT NOT NULL CHECK (length(people) <= 200),
  consent TEXT NOT NULL CHECK (consent IN ('NOT_ASKED', 'GIVEN', 'REFUSED')),
  defects TEXT NOT NULL CHECK (length(defects) <= 200),
  -- No paper is worth it.
  beyond_rescue INTEGER NOT NULL CHECK (beyond_rescue IN (0, 1)),
  -- Diffuse densities as read, base and fog in them.
  base_density REAL CHECK (base_density BETWEEN 0 AND 6),
  shadow_density REAL CHECK (shadow_density BETWEEN 0 AND 6),
  highlight_density REAL CHECK (highlight_density BETWEEN 0 AND 6),
  reader TEXT NOT NULL CHECK (length(reader) <= 80),
  -- Dust, hairs and scratches on the film: keyslate.store.json.StoredMark, a list.
  marks TEXT NOT NULL CHECK (json_valid(marks))
) STRICT, WITHOUT ROWID;

CREATE INDEX frame_by_rating ON frame (rating);

-- A frame need not have a subject yet. This is the way SQLite describes for a CHECK that is loosened: the rows and what refers to them stay as
-- they are. It comes last, as the statements above count on the text that was there.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, 'CHECK (length(title) BETWEEN 1 AND 80)', 'CHECK (length(title) <= 80)')
  WHERE type = 'table' AND name = 'frame';
PRAGMA writable_schema = RESET;
