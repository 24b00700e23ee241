-- A base exposure may be given in equal exposures; the lag of the lamp counts in each.
ALTER TABLE recipe ADD COLUMN presses INTEGER NOT NULL DEFAULT 1 CHECK (presses BETWEEN 1 AND 16);
