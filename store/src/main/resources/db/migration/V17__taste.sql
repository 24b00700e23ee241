-- How far a print is meant to be off neutral: keyslate.store.json.StoredTaste; null where it is to be neutral.
ALTER TABLE recipe ADD COLUMN taste TEXT CHECK (taste IS NULL OR json_valid(taste));
