-- What a ticket asks beside its work, how the dog goes, and the air of the day.
ALTER TABLE tickets ADD COLUMN needs TEXT NOT NULL DEFAULT '[]';
ALTER TABLE tickets ADD COLUMN footing TEXT NOT NULL DEFAULT '[]';
ALTER TABLE tickets ADD COLUMN pulls INTEGER CHECK (pulls IN (0, 1));
ALTER TABLE tickets ADD COLUMN wears TEXT NOT NULL DEFAULT '';
ALTER TABLE tickets ADD COLUMN wears_trouble TEXT NOT NULL DEFAULT '[]';
ALTER TABLE tickets ADD COLUMN one_for_all INTEGER CHECK (one_for_all IN (0, 1));
ALTER TABLE tickets ADD COLUMN humidity REAL CHECK (humidity BETWEEN 0 AND 100);

-- Whose or what for, where a ticket has several of one kind.
ALTER TABLE items ADD COLUMN purpose TEXT NOT NULL DEFAULT '';

-- What a dog weighed on a day: kept, never overwritten; the dog's own weight is the newest of them.
CREATE TABLE weighings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  dog_id TEXT NOT NULL REFERENCES dogs (id),
  kg REAL NOT NULL CHECK (kg > 0),
  as_typed TEXT NOT NULL,
  unit TEXT NOT NULL CHECK (unit IN ('kg', 'lb')),
  on_day TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX weighings_by_dog ON weighings (dog_id, on_day);
-- The weight a record had is the first of them, of the day the record was made.
INSERT INTO weighings (id, dog_id, kg, as_typed, unit, on_day, at, by_whom)
  SELECT id, id, weight_kg, '', 'kg', substr(created_at, 1, 10), created_at, '' FROM dogs WHERE weight_kg IS NOT NULL ORDER BY created_at, id;
