-- A garment's plan is a choice.
CREATE TABLE choices_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  kind TEXT NOT NULL CHECK (kind IN ('size', 'gear', 'series', 'paws', 'made', 'set-up', 'pattern')),
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
