-- What a frame needs in a print beside another frame, as their proof shows it.
CREATE TABLE frame_need (
  frame_id TEXT PRIMARY KEY REFERENCES frame (id),
  against_id TEXT NOT NULL REFERENCES frame (id),
  -- How many stops more light, and the 95 % limit of that.
  more_stops REAL NOT NULL CHECK (more_stops BETWEEN -6 AND 6),
  limit_stops REAL NOT NULL CHECK (limit_stops BETWEEN 0 AND 6),
  -- The cast it has beside the other, by its hue and in points of a viewing filter; null = none.
  cast_hue TEXT CHECK (cast_hue IN ('R', 'Y', 'G', 'C', 'B', 'M')),
  cast_points REAL
    CHECK ((cast_points IS NULL) = (cast_hue IS NULL) AND (cast_points IS NULL OR cast_points BETWEEN 1 AND 60)),
  -- How far its tones spread, over how far the other's do.
  contrast REAL NOT NULL CHECK (contrast BETWEEN 0.3 AND 3),
  source TEXT NOT NULL CHECK (source IN ('EYE', 'SCAN')),
  found_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX need_against ON frame_need (against_id);
