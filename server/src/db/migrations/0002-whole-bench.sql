-- Readings gain their circumstances. M00 is in kg or lb, and M37 may be 0 where there is no dewclaw.
CREATE TABLE readings_whole (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  measure TEXT NOT NULL,
  mm REAL NOT NULL CHECK (mm > 0 OR (mm = 0 AND measure = 'M37')),
  side TEXT NOT NULL CHECK (side IN ('both', 'one')),
  as_typed TEXT NOT NULL,
  unit TEXT NOT NULL CHECK (unit IN ('in', 'cm', 'mm', 'kg', 'lb')),
  method TEXT NOT NULL,
  taken_at TEXT NOT NULL,
  by_whom TEXT NOT NULL,
  place TEXT,
  definition INTEGER NOT NULL DEFAULT 1,
  school TEXT CHECK (school IN ('A', 'B')),
  coat TEXT,
  posture_doubt TEXT NOT NULL DEFAULT '',
  chalk_mark INTEGER NOT NULL DEFAULT 0 CHECK (chalk_mark IN (0, 1)),
  dewclaw TEXT CHECK (dewclaw IN ('none', 'single', 'double')),
  remark TEXT NOT NULL DEFAULT '',
  held_by TEXT NOT NULL DEFAULT ''
) STRICT;
INSERT INTO readings_whole (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, by_whom)
  SELECT id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, by_whom FROM readings;

-- Marks strike a fact out or restore it; the newest decides, all are kept.
CREATE TABLE marks (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  what TEXT NOT NULL CHECK (what IN ('reading', 'acknowledgement', 'as-written')),
  about TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('struck', 'restored')),
  why TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
-- A strike of before becomes a mark under its reading's own id with the last digits turned, so that it stays one.
INSERT INTO marks (id, ticket_id, what, about, kind, why, at, by_whom)
  SELECT substr(strikes.reading_id, 1, 35) || CASE substr(strikes.reading_id, 36) WHEN '0' THEN '1' ELSE '0' END,
         readings.ticket_id, 'reading', strikes.reading_id, 'struck', strikes.why, strikes.at, strikes.by_whom
  FROM strikes JOIN readings ON readings.id = strikes.reading_id ORDER BY strikes.at;
DROP TABLE strikes;
DROP TRIGGER readings_stay;
DROP TRIGGER readings_are_kept;
DROP TABLE readings;
ALTER TABLE readings_whole RENAME TO readings;
CREATE INDEX readings_by_ticket ON readings (ticket_id, taken_at);
CREATE INDEX marks_by_ticket ON marks (ticket_id, seq);
CREATE TRIGGER readings_stay BEFORE UPDATE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never updated'); END;
CREATE TRIGGER readings_are_kept BEFORE DELETE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never deleted'); END;
CREATE TRIGGER marks_stay BEFORE UPDATE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never updated'); END;
CREATE TRIGGER marks_are_kept BEFORE DELETE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never deleted'); END;

ALTER TABLE tickets ADD COLUMN whole_body INTEGER NOT NULL DEFAULT 0 CHECK (whole_body IN (0, 1));

-- Numbers under somebody else's letters: kept as written, never sized on.
CREATE TABLE as_written (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  letters TEXT NOT NULL,
  as_written TEXT NOT NULL,
  came TEXT NOT NULL CHECK (came IN ('mail', 'phone', 'form', 'message')),
  wanted TEXT,
  remark TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX as_written_by_ticket ON as_written (ticket_id);
CREATE TABLE answers (
  as_written_id TEXT PRIMARY KEY REFERENCES as_written (id),
  reading_id TEXT NOT NULL REFERENCES readings (id),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;

-- The shop's own agreements: one row, one document.
CREATE TABLE shop (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  fields TEXT NOT NULL
) STRICT;

CREATE TABLE fitters (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  gauge TEXT,
  left INTEGER NOT NULL DEFAULT 0 CHECK (left IN (0, 1)),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE dog_notes (
  id TEXT PRIMARY KEY,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  kind TEXT NOT NULL,
  text TEXT NOT NULL,
  on_day TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL,
  over_day TEXT
) STRICT;
CREATE INDEX dog_notes_by_dog ON dog_notes (dog_id);

CREATE TABLE photos (
  id TEXT PRIMARY KEY,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  view TEXT NOT NULL CHECK (view IN ('front', 'side', 'top')),
  type TEXT NOT NULL,
  picture BLOB NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX photos_by_dog ON photos (dog_id);

-- Words that find a dog, an owner or a ticket; kept by the repositories, made anew when it is empty.
CREATE TABLE search_words (
  kind TEXT NOT NULL,
  word TEXT NOT NULL,
  ref TEXT NOT NULL,
  title TEXT NOT NULL,
  detail TEXT NOT NULL,
  PRIMARY KEY (kind, word, ref)
) STRICT, WITHOUT ROWID;
CREATE INDEX search_words_by_ref ON search_words (ref);
CREATE INDEX dogs_by_owner ON dogs (owner_id);
CREATE INDEX tickets_by_owner ON tickets (owner_id);
