-- Traced paws, outings in boots; a car's load space; readings that were read from a tracing.
CREATE TABLE tracings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  paw TEXT NOT NULL CHECK (paw IN ('front-left', 'front-right', 'rear-left', 'rear-right')),
  points TEXT NOT NULL,
  toes_rad REAL NOT NULL,
  closed_mm REAL NOT NULL,
  pencil_mm REAL,
  line_read INTEGER NOT NULL CHECK (line_read IN (0, 1)),
  rms_mm REAL,
  view TEXT,
  photo_id TEXT,
  edited INTEGER NOT NULL CHECK (edited IN (0, 1)),
  removed INTEGER NOT NULL CHECK (removed IN (0, 1)),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX tracings_by_dog ON tracings (dog_id, seq);
CREATE TABLE boot_outings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  on_day TEXT NOT NULL,
  km REAL NOT NULL,
  footing TEXT NOT NULL,
  minutes REAL,
  paws TEXT NOT NULL,
  note TEXT NOT NULL,
  removed INTEGER NOT NULL CHECK (removed IN (0, 1)),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX boot_outings_by_dog ON boot_outings (dog_id, on_day);
ALTER TABLE cars ADD COLUMN space TEXT;
ALTER TABLE readings ADD COLUMN tracing_id TEXT;
-- A flattened sheet of a traced paw is a picture too.
CREATE TABLE photos_new (
  id TEXT PRIMARY KEY,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  view TEXT NOT NULL CHECK (view IN ('front', 'side', 'top', 'paw')),
  type TEXT NOT NULL,
  picture BLOB NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO photos_new SELECT id, dog_id, view, type, picture, at, by_whom FROM photos;
DROP TABLE photos;
ALTER TABLE photos_new RENAME TO photos;
CREATE INDEX photos_by_dog ON photos (dog_id);
