-- What a dog that learns to draw did; the shop's and owners' cars, seat by seat.
CREATE TABLE outings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  on_day TEXT NOT NULL,
  rung TEXT NOT NULL CHECK (rung IN ('wear', 'lines', 'empty', 'load')),
  calm INTEGER NOT NULL CHECK (calm IN (0, 1)),
  load_kg REAL,
  minutes REAL,
  rig_id TEXT REFERENCES rigs (id),
  note TEXT NOT NULL,
  removed INTEGER NOT NULL CHECK (removed IN (0, 1)),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX outings_by_dog ON outings (dog_id, on_day);
CREATE TABLE cars (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  owner_id TEXT REFERENCES owners (id),
  seats TEXT NOT NULL,
  notes TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT;

-- A set-up knows its way and the dog beside.
ALTER TABLE set_ups ADD COLUMN route TEXT NOT NULL DEFAULT '[]';
ALTER TABLE set_ups ADD COLUMN pair TEXT;
ALTER TABLE set_ups ADD COLUMN hitch_mm REAL;

-- A locked set-up is a choice.
CREATE TABLE choices_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  kind TEXT NOT NULL CHECK (kind IN ('size', 'gear', 'series', 'paws', 'made', 'set-up')),
  what TEXT NOT NULL,
  predicted TEXT NOT NULL,
  rules_version INTEGER,
  overruled TEXT,
  at TEXT NOT NULL,
  on_day TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO choices_new SELECT seq, id, ticket_id, item_id, kind, what, predicted, rules_version, overruled, at, on_day, by_whom FROM choices;
DROP TABLE choices;
ALTER TABLE choices_new RENAME TO choices;
CREATE INDEX choices_by_ticket ON choices (ticket_id, seq);
CREATE INDEX choices_by_day ON choices (on_day);
CREATE TRIGGER choices_stay BEFORE UPDATE ON choices BEGIN SELECT RAISE(ABORT, 'choices are never updated'); END;
CREATE TRIGGER choices_are_kept BEFORE DELETE ON choices BEGIN SELECT RAISE(ABORT, 'choices are never deleted'); END;
