CREATE TABLE owners (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  contact TEXT NOT NULL DEFAULT '',
  notes TEXT NOT NULL DEFAULT '',
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE dogs (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  breed TEXT NOT NULL DEFAULT '',
  cross_with TEXT NOT NULL DEFAULT '',
  sex TEXT CHECK (sex IN ('male', 'female')),
  born TEXT,
  age_months INTEGER,
  age_said_on TEXT,
  weight_kg REAL,
  coat TEXT,
  flat_face INTEGER CHECK (flat_face IN (0, 1)),
  sparing INTEGER NOT NULL DEFAULT 0 CHECK (sparing IN (0, 1)),
  notes TEXT NOT NULL DEFAULT '',
  owner_id TEXT REFERENCES owners (id),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE tickets (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE,
  dog_id TEXT REFERENCES dogs (id),
  owner_id TEXT REFERENCES owners (id),
  counter INTEGER NOT NULL CHECK (counter IN (0, 1)),
  activities TEXT NOT NULL DEFAULT '[]',
  needed_on TEXT,
  promised_on TEXT,
  next_look_on TEXT,
  notes TEXT NOT NULL DEFAULT '',
  state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'closed')),
  closed_at TEXT,
  created_at TEXT NOT NULL,
  by_whom TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX tickets_by_dog ON tickets (dog_id);
CREATE INDEX tickets_by_state ON tickets (state, created_at);

CREATE TABLE items (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  family TEXT NOT NULL,
  way TEXT NOT NULL,
  school TEXT,
  removed INTEGER NOT NULL DEFAULT 0 CHECK (removed IN (0, 1)),
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX items_by_ticket ON items (ticket_id);

-- Readings are facts: appended, and struck by a row of their own. Nothing updates them.
CREATE TABLE readings (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  measure TEXT NOT NULL,
  mm REAL NOT NULL CHECK (mm > 0),
  side TEXT NOT NULL CHECK (side IN ('both', 'one')),
  as_typed TEXT NOT NULL,
  unit TEXT NOT NULL CHECK (unit IN ('in', 'cm', 'mm')),
  method TEXT NOT NULL,
  taken_at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX readings_by_ticket ON readings (ticket_id);

CREATE TABLE strikes (
  reading_id TEXT PRIMARY KEY REFERENCES readings (id),
  why TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;

CREATE TRIGGER readings_stay BEFORE UPDATE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never updated'); END;
CREATE TRIGGER readings_are_kept BEFORE DELETE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never deleted'); END;

CREATE TABLE size_tables (
  id TEXT NOT NULL,
  version INTEGER NOT NULL,
  document TEXT NOT NULL,
  stored_at TEXT NOT NULL,
  PRIMARY KEY (id, version)
) STRICT;

CREATE TABLE choices (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  table_id TEXT NOT NULL,
  table_version INTEGER NOT NULL,
  labels TEXT NOT NULL,
  advised TEXT,
  overrule_why TEXT,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX choices_by_ticket ON choices (ticket_id);

CREATE TABLE try_ons (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  table_id TEXT NOT NULL,
  table_version INTEGER,
  label TEXT NOT NULL,
  changed TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX try_ons_by_ticket ON try_ons (ticket_id);

CREATE TABLE observations (
  id TEXT PRIMARY KEY,
  try_on_id TEXT NOT NULL REFERENCES try_ons (id),
  check_id TEXT NOT NULL,
  state TEXT NOT NULL,
  grade TEXT NOT NULL CHECK (grade IN ('holds', 'doubt', 'fails')),
  as_typed TEXT NOT NULL,
  mm REAL,
  fingers REAL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX observations_by_try_on ON observations (try_on_id);

CREATE TABLE symptom_notes (
  id TEXT PRIMARY KEY,
  try_on_id TEXT NOT NULL REFERENCES try_ons (id),
  symptom TEXT NOT NULL,
  remedy INTEGER,
  present INTEGER NOT NULL CHECK (present IN (0, 1)),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX symptom_notes_by_try_on ON symptom_notes (try_on_id);

CREATE TABLE acknowledgements (
  id TEXT PRIMARY KEY,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  kind TEXT NOT NULL CHECK (kind IN ('caution', 'stop', 'finding')),
  code TEXT NOT NULL,
  text TEXT NOT NULL,
  reason TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX acknowledgements_by_ticket ON acknowledgements (ticket_id);
