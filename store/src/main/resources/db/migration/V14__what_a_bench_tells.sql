-- What the tests of a slate told, as marks on one set-up, for the filters and the lamp that outlive it.
CREATE TABLE slate_marks (
  slate_id TEXT PRIMARY KEY REFERENCES slate (id) ON DELETE CASCADE,
  -- A paper by its name: the filters print the same on the next box of it.
  paper_name TEXT NOT NULL CHECK (length(paper_name) BETWEEN 1 AND 200),
  enlarger_id TEXT NOT NULL REFERENCES enlarger (id),
  -- The lag that the times of the marks were reckoned with.
  lag_seconds REAL NOT NULL CHECK (lag_seconds BETWEEN 0 AND 2),
  -- keyslate.store.json.ToldMark, a list.
  marks TEXT NOT NULL CHECK (json_valid(marks)),
  -- By how many stops the middle of its first strip missed what its whites needed; null where no strip told.
  guess_stops REAL CHECK (guess_stops BETWEEN -20 AND 20),
  told_at TEXT NOT NULL
) STRICT;
CREATE INDEX slate_marks_of ON slate_marks (enlarger_id, paper_name, told_at);

-- See V4 for the way. Filters on a paper, the dials of a head, and what a batch is beside another can be found.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''RECIPROCITY'', ''ALIGNMENT''', '''RECIPROCITY'', ''ALIGNMENT'', ''FILTERS'', ''HEAD_TABLE'', ''BATCH_SPEED''')
  WHERE type = 'table' AND name = 'constant';
PRAGMA writable_schema = RESET;
