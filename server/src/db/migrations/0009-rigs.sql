-- Carts, wagons, runners and drags, described standing level and empty.
CREATE TABLE rigs (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  kind TEXT NOT NULL,
  mass_kg REAL NOT NULL,
  mass_ahead_mm REAL NOT NULL,
  mass_height_mm REAL NOT NULL,
  axle_mm REAL NOT NULL,
  track_mm REAL NOT NULL,
  wheelbase_mm REAL,
  lock_rad REAL,
  shafts TEXT,
  hitch TEXT NOT NULL,
  bar TEXT NOT NULL,
  bed TEXT NOT NULL,
  brake INTEGER NOT NULL CHECK (brake IN (0, 1)),
  notes TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT;

-- What an item's harness draws: a fact of the ticket, taken back by a mark.
CREATE TABLE set_ups (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  piece_id TEXT REFERENCES pieces (id),
  rig_id TEXT NOT NULL REFERENCES rigs (id),
  loads TEXT NOT NULL,
  surface TEXT NOT NULL,
  grade_percent REAL NOT NULL,
  lasts TEXT NOT NULL CHECK (lasts IN ('long', 'short')),
  loop_mm REAL,
  rear_mm TEXT NOT NULL,
  minutes TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX set_ups_by_ticket ON set_ups (ticket_id, seq);

-- Marks stand on set-ups too.
CREATE TABLE marks_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  what TEXT NOT NULL CHECK (what IN ('reading', 'acknowledgement', 'as-written', 'choice', 'hitch', 'set-up', 'try-on', 'observation', 'symptom', 'setting')),
  about TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('struck', 'restored')),
  why TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO marks_new SELECT seq, id, ticket_id, what, about, kind, why, at, by_whom FROM marks;
DROP TABLE marks;
ALTER TABLE marks_new RENAME TO marks;
CREATE INDEX marks_by_ticket ON marks (ticket_id, seq);
CREATE INDEX marks_by_about ON marks (about, seq);
CREATE TRIGGER marks_stay BEFORE UPDATE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never updated'); END;
CREATE TRIGGER marks_are_kept BEFORE DELETE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never deleted'); END;
CREATE TRIGGER set_ups_stay BEFORE UPDATE ON set_ups BEGIN SELECT RAISE(ABORT, 'set-ups are never updated'); END;
CREATE TRIGGER set_ups_are_kept BEFORE DELETE ON set_ups BEGIN SELECT RAISE(ABORT, 'set-ups are never deleted'); END;
