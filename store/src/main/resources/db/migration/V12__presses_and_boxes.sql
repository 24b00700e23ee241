-- A base exposure may be given in equal exposures; the lag of the lamp counts in each.
ALTER TABLE recipe ADD COLUMN presses INTEGER NOT NULL DEFAULT 1 CHECK (presses BETWEEN 1 AND 16);

-- A box of paper that was said to lie open: from when to when, and when light came on meanwhile.
CREATE TABLE box_opening (
  id TEXT PRIMARY KEY,
  paper_id TEXT NOT NULL REFERENCES paper (id),
  opened_at TEXT NOT NULL,
  shut_at TEXT CHECK (shut_at >= opened_at),
  lit_at TEXT CHECK (lit_at >= opened_at)
) STRICT;
CREATE INDEX box_opening_of ON box_opening (paper_id, opened_at);
-- One box is open once at a time.
CREATE UNIQUE INDEX box_opening_now ON box_opening (paper_id) WHERE shut_at IS NULL;
