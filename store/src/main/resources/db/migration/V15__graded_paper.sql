-- The grade of a paper that has but one contrast; null = it changes with the light, or is colour.
ALTER TABLE paper ADD COLUMN grade REAL CHECK (grade BETWEEN -1 AND 5);
