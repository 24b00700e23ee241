-- See V4 for the way. A head may print with red, green and blue light one after another, of which the shares can be found; dials end somewhere.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''GELS'', ', '''GELS'', ''LIGHTS'', ''DIAL_END'', ')
  WHERE type = 'table' AND name = 'constant';
PRAGMA writable_schema = RESET;
