-- What choosing asks beside the tapes.
ALTER TABLE tickets ADD COLUMN traits TEXT NOT NULL DEFAULT '[]';
ALTER TABLE tickets ADD COLUMN team_place TEXT CHECK (team_place IN ('lead', 'middle', 'wheel'));
ALTER TABLE tickets ADD COLUMN budget REAL CHECK (budget >= 0);
ALTER TABLE tickets ADD COLUMN also_worn TEXT NOT NULL DEFAULT '';
ALTER TABLE tickets ADD COLUMN air_c REAL;

-- The pieces the shop can lay a hand on.
CREATE TABLE pieces (
  id TEXT PRIMARY KEY,
  tag TEXT NOT NULL,
  family TEXT NOT NULL,
  maker TEXT NOT NULL,
  label TEXT NOT NULL,
  table_id TEXT,
  flat TEXT NOT NULL,
  sliders TEXT NOT NULL,
  home TEXT NOT NULL CHECK (home IN ('shop', 'loan', 'kennel')),
  holder TEXT NOT NULL,
  wearer_id TEXT REFERENCES dogs (id),
  state TEXT NOT NULL CHECK (state IN ('new', 'good', 'worn', 'to-mend')),
  wear TEXT NOT NULL,
  retired TEXT,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX pieces_by_wearer ON pieces (wearer_id);

-- A supplier's last word on each table, kept for when it cannot be reached.
CREATE TABLE supply (
  table_id TEXT PRIMARY KEY,
  answer TEXT NOT NULL,
  heard_at TEXT NOT NULL
) STRICT;
