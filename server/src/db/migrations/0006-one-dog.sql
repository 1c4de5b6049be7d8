-- Two records of one dog put together: what went over, so that it can be taken apart again.
CREATE TABLE dog_joins (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  other_id TEXT NOT NULL REFERENCES dogs (id) CHECK (other_id <> dog_id),
  moved TEXT NOT NULL,
  filled TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL,
  undone_at TEXT
) STRICT;
-- A record goes into one other at a time.
CREATE UNIQUE INDEX dog_joins_standing ON dog_joins (other_id) WHERE undone_at IS NULL;
CREATE INDEX dog_joins_by_dog ON dog_joins (dog_id);
