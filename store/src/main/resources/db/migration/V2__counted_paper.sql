-- Whether the sheets of a box were counted by its owner; a generic box of the first run was not, and nothing is said of it.
ALTER TABLE paper ADD COLUMN counted INTEGER NOT NULL DEFAULT 1 CHECK (counted IN (0, 1));
