-- Kits of viewing filters stand on the shelf with the other things: what stands on their filters and how strong they are are facts of them.
UPDATE thing SET facts = (
    SELECT json_patch(thing.facts, json_object('says', k.says, 'strengths', json(k.strengths))) FROM viewing_kit k WHERE k.name = thing.name)
  WHERE kind = 'VIEWING_KIT' AND EXISTS (SELECT 1 FROM viewing_kit k WHERE k.name = thing.name);
INSERT INTO thing (id, kind, name, facts, added_at, retired_at)
  SELECT lower(hex(randomblob(16))), 'VIEWING_KIT', k.name, json_object('says', k.says, 'strengths', json(k.strengths)), k.taken_at, NULL
  FROM viewing_kit k
  WHERE NOT EXISTS (SELECT 1 FROM thing WHERE thing.kind = 'VIEWING_KIT' AND k.name = thing.name)
  ORDER BY k.taken_at;
DROP TABLE viewing_kit;

-- See V4 for the way. Which kit is in hand is the user's choice; its value is the id of a thing.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(
    replace(sql, '''LONGEST_S'')', '''LONGEST_S'', ''KIT'')'),
    'length(value) BETWEEN 1 AND 20', 'length(value) BETWEEN 1 AND 40')
  WHERE type = 'table' AND name = 'preference';
PRAGMA writable_schema = RESET;
