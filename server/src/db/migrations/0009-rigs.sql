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
