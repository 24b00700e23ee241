-- Kits of viewing filters, each entered once: what stands on its filters, and how strong they are. What a kit was taught to mean lies with the
-- decisions it was looked through for (keyslate.store.json.Taught).
CREATE TABLE viewing_kit (
  name TEXT PRIMARY KEY COLLATE NOCASE CHECK (length(name) BETWEEN 1 AND 40),
  says TEXT NOT NULL CHECK (says IN ('STRENGTH', 'CORRECTION')),
  strengths TEXT NOT NULL CHECK (json_valid(strengths)),
  taken_at TEXT NOT NULL
);
