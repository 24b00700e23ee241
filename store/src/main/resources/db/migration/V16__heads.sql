-- See V4 for the way. How time follows the pack of a head can be found, and which gels make one.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''HEAD_TABLE'', ', '''HEAD_TABLE'', ''PACK_TIMES'', ''GELS'', ')
  WHERE type = 'table' AND name = 'constant';
PRAGMA writable_schema = RESET;
