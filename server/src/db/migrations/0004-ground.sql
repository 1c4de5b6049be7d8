-- What is newest is what the server took last: every table of facts has a sequence of its own, kept through copies.
CREATE TABLE book (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  id TEXT NOT NULL,
  -- Raised by every bringing back, so that devices know their copies are of before.
  epoch INTEGER NOT NULL CHECK (epoch >= 1),
  -- The highest ticket number ever given: none is given twice, whatever is brought back.
  last_number INTEGER NOT NULL
) STRICT;

-- Every write the book has answered, by the id it was given at the keystroke.
CREATE TABLE writes (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  at TEXT NOT NULL,
  status INTEGER NOT NULL CHECK (status BETWEEN 200 AND 499),
  answer TEXT NOT NULL
) STRICT;

DROP TRIGGER readings_stay;
DROP TRIGGER readings_are_kept;
DROP TRIGGER marks_stay;
DROP TRIGGER marks_are_kept;

CREATE TABLE tickets_new (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE CHECK (number BETWEEN 0 AND 9999999),
  dog_id TEXT REFERENCES dogs (id),
  owner_id TEXT REFERENCES owners (id),
  kind TEXT NOT NULL CHECK (kind IN ('real', 'counter', 'practice')),
  activities TEXT NOT NULL DEFAULT '[]',
  traits TEXT NOT NULL DEFAULT '[]',
  team_place TEXT CHECK (team_place IN ('lead', 'middle', 'wheel')),
  budget REAL CHECK (budget >= 0),
  also_worn TEXT NOT NULL DEFAULT '',
  air_c REAL,
  needed_on TEXT,
  promised_on TEXT,
  next_look_on TEXT,
  notes TEXT NOT NULL DEFAULT '',
  whole_body INTEGER NOT NULL DEFAULT 0 CHECK (whole_body IN (0, 1)),
  state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'closed')),
  closed_at TEXT CHECK (closed_at IS NULL OR state = 'closed'),
  created_at TEXT NOT NULL,
  on_day TEXT NOT NULL,
  by_whom TEXT NOT NULL DEFAULT ''
) STRICT;
INSERT INTO tickets_new (id, number, dog_id, owner_id, kind, activities, traits, team_place, budget, also_worn, air_c, needed_on, promised_on,
    next_look_on, notes, whole_body, state, closed_at, created_at, on_day, by_whom)
  SELECT id, number, dog_id, owner_id, CASE counter WHEN 1 THEN 'counter' ELSE 'real' END, activities, traits, team_place, budget, also_worn, air_c,
    needed_on, promised_on, next_look_on, notes, whole_body, state, CASE state WHEN 'closed' THEN coalesce(closed_at, created_at) END, created_at,
    substr(created_at, 1, 10), by_whom
  FROM tickets;
DROP TABLE tickets;
ALTER TABLE tickets_new RENAME TO tickets;
CREATE INDEX tickets_by_dog ON tickets (dog_id, created_at);
CREATE INDEX tickets_by_state ON tickets (state, created_at);
CREATE INDEX tickets_by_owner ON tickets (owner_id);
CREATE INDEX tickets_by_day ON tickets (on_day);
CREATE INDEX tickets_by_look ON tickets (next_look_on) WHERE next_look_on IS NOT NULL;

CREATE TABLE readings_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  measure TEXT NOT NULL,
  mm REAL NOT NULL CHECK (mm > 0 OR (mm = 0 AND measure = 'M37')),
  side TEXT NOT NULL CHECK (side IN ('both', 'one')),
  as_typed TEXT NOT NULL,
  unit TEXT NOT NULL CHECK (unit IN ('in', 'cm', 'mm', 'kg', 'lb')),
  method TEXT NOT NULL,
  taken_at TEXT NOT NULL,
  on_day TEXT NOT NULL,
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
INSERT INTO readings_new (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, on_day, by_whom, place, definition, school, coat,
    posture_doubt, chalk_mark, dewclaw, remark, held_by)
  SELECT id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, substr(taken_at, 1, 10), by_whom, place, definition, school, coat,
    posture_doubt, chalk_mark, dewclaw, remark, held_by
  FROM readings ORDER BY taken_at, id;
DROP TABLE readings;
ALTER TABLE readings_new RENAME TO readings;
CREATE INDEX readings_by_ticket ON readings (ticket_id, seq);
CREATE INDEX readings_by_day ON readings (on_day);

CREATE TABLE marks_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  what TEXT NOT NULL CHECK (what IN ('reading', 'acknowledgement', 'as-written', 'choice', 'hitch', 'try-on', 'observation', 'symptom', 'setting')),
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

CREATE TABLE as_written_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  letters TEXT NOT NULL,
  as_written TEXT NOT NULL,
  came TEXT NOT NULL CHECK (came IN ('mail', 'phone', 'form', 'message')),
  wanted TEXT,
  remark TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO as_written_new (id, ticket_id, letters, as_written, came, wanted, remark, at, by_whom)
  SELECT id, ticket_id, letters, as_written, came, wanted, remark, at, by_whom FROM as_written ORDER BY at, id;
DROP TABLE as_written;
ALTER TABLE as_written_new RENAME TO as_written;
CREATE INDEX as_written_by_ticket ON as_written (ticket_id, seq);

CREATE TABLE answers_new (
  seq INTEGER PRIMARY KEY,
  as_written_id TEXT NOT NULL UNIQUE REFERENCES as_written (id),
  reading_id TEXT NOT NULL REFERENCES readings (id),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO answers_new (as_written_id, reading_id, at, by_whom) SELECT as_written_id, reading_id, at, by_whom FROM answers ORDER BY at;
DROP TABLE answers;
ALTER TABLE answers_new RENAME TO answers;

-- What an item is settled on is a union by kind; a size called "To measure" was made to measure.
CREATE TABLE choices_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  kind TEXT NOT NULL CHECK (kind IN ('size', 'gear', 'series', 'paws', 'made')),
  what TEXT NOT NULL,
  predicted TEXT NOT NULL,
  rules_version INTEGER,
  overruled TEXT,
  at TEXT NOT NULL,
  on_day TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO choices_new (id, ticket_id, item_id, kind, what, predicted, rules_version, overruled, at, on_day, by_whom)
  SELECT id, ticket_id, item_id,
    CASE json_extract(labels, '$[0]') WHEN 'To measure' THEN 'made' ELSE 'size' END,
    CASE json_extract(labels, '$[0]')
      WHEN 'To measure' THEN json_object('tableId', table_id, 'tableVersion', table_version, 'numbers', json('{}'), 'options', json('{}'))
      ELSE json_object('tableId', table_id, 'tableVersion', table_version, 'labels', json(labels)) END,
    '[]', NULL,
    CASE WHEN advised IS NULL THEN NULL ELSE json_object('advised', advised, 'why', coalesce(nullif(overrule_why, ''), 'not said')) END,
    at, substr(at, 1, 10), by_whom
  FROM choices ORDER BY at, id;

CREATE TABLE try_ons_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  item_id TEXT NOT NULL REFERENCES items (id),
  of_what TEXT NOT NULL,
  label TEXT NOT NULL,
  settings TEXT NOT NULL DEFAULT '[]',
  changed TEXT NOT NULL,
  at TEXT NOT NULL,
  on_day TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
-- A round of what was chosen before it names the choice; any other names its table, or only itself.
INSERT INTO try_ons_new (id, ticket_id, item_id, of_what, label, settings, changed, at, on_day, by_whom)
  SELECT id, ticket_id, item_id,
    coalesce(
      (SELECT json_object('choiceId', choices.id) FROM choices
        WHERE choices.item_id = try_ons.item_id AND choices.table_id = try_ons.table_id AND choices.at <= try_ons.at
          AND EXISTS (SELECT 1 FROM json_each(choices.labels) WHERE json_each.value = try_ons.label)
        ORDER BY choices.at DESC, choices.id DESC LIMIT 1),
      CASE WHEN table_id <> '' AND table_version IS NOT NULL THEN json_object('tableId', table_id, 'tableVersion', table_version)
        ELSE json_object('named', json('true')) END),
    label, '[]', changed, at, substr(at, 1, 10), by_whom
  FROM try_ons ORDER BY at, id;
DROP TABLE choices;
ALTER TABLE choices_new RENAME TO choices;
DROP TABLE try_ons;
ALTER TABLE try_ons_new RENAME TO try_ons;
CREATE INDEX choices_by_ticket ON choices (ticket_id, seq);
CREATE INDEX choices_by_day ON choices (on_day);
CREATE INDEX try_ons_by_ticket ON try_ons (ticket_id, seq);
CREATE INDEX try_ons_by_day ON try_ons (on_day);

CREATE TABLE observations_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
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
INSERT INTO observations_new (id, try_on_id, check_id, state, grade, as_typed, mm, fingers, at, by_whom)
  SELECT id, try_on_id, check_id, state, grade, as_typed, mm, fingers, at, by_whom FROM observations ORDER BY at, id;
DROP TABLE observations;
ALTER TABLE observations_new RENAME TO observations;
CREATE INDEX observations_by_try_on ON observations (try_on_id, seq);

-- A remedy is kept by its code; the old places stand for the list as it was when they were written.
CREATE TEMP TABLE remedies_then (symptom TEXT NOT NULL, place INTEGER NOT NULL, code TEXT NOT NULL);
INSERT INTO remedies_then (symptom, place, code) VALUES
  ('S01', 0, 'draw-the-skin-and-ruff-through'),
  ('S01', 1, 'next-size-up'),
  ('S02', 0, 'next-size-down'),
  ('S02', 1, 'take-harness-neck-again'),
  ('S03', 0, 'next-size-down'),
  ('S04', 0, 'down-one-or-more-sizes'),
  ('S05', 0, 'a-style-with-an-adjustable-neck'),
  ('S05', 1, 'next-size-up'),
  ('S06', 0, 'shorter-or-made-to-measure'),
  ('S06', 1, 'short-pull-harness'),
  ('S07', 0, 'accept-it'),
  ('S08', 0, 'look-at-it-in-the-pull-before-judging'),
  ('S09', 0, 'longer'),
  ('S10', 0, 'feel-by-hand-first-it-may-look-closer-than-it-is'),
  ('S10', 1, 'open-back-or-another-cut'),
  ('S10', 2, 'next-size-up'),
  ('S11', 0, 'next-size-down'),
  ('S11', 1, 'another-style'),
  ('S12', 0, 'cross-back-with-chest-piece-or-stick-harness'),
  ('S13', 0, 'look-for-pain-first-ask-the-vet-if-it-stays'),
  ('S13', 1, 'side-hooks-or-short-pull-harness'),
  ('S14', 0, 'cross-back-with-sliding-tug-loop'),
  ('S15', 0, 'h-back-or-open-back'),
  ('S16', 0, 'wheel-or-stick-harness'),
  ('S17', 0, 'half-back-with-a-tug-loop'),
  ('S18', 0, 'rotate-styles-let-it-heal-check-the-fit-again'),
  ('S19', 0, 'a-padded-one'),
  ('S20', 0, 'fixed-straps'),
  ('S20', 1, 'lock-with-a-few-stitches'),
  ('S21', 0, 'go-through-s01-to-s12'),
  ('S21', 1, 'shorter-lighter-outings'),
  ('S22', 0, 'lower-the-front-piece'),
  ('S22', 1, 'a-y-front-cut-lower'),
  ('S23', 0, 'lower-the-front-piece-lengthen-the-neck'),
  ('S23', 1, 'another-cut'),
  ('S24', 0, 'tighten-and-equalise'),
  ('S25', 0, 'equalise-left-and-right'),
  ('S26', 0, 'lengthen'),
  ('S26', 1, 'next-size-up'),
  ('S27', 0, 'shorten'),
  ('S28', 0, 'lengthen-the-back-piece'),
  ('S28', 1, 'next-size-up'),
  ('S28', 2, 'another-cut'),
  ('S29', 0, 'next-size-down'),
  ('S30', 0, 'draw-the-neck-back-in'),
  ('S30', 1, 'next-size-up-and-draw-in'),
  ('S31', 0, 'next-size-up-shorten-neck-and-girth'),
  ('S32', 0, 'next-size-down'),
  ('S33', 0, 'tighten-neck-and-girth'),
  ('S33', 1, 'assist-harness-with-a-second-belly-strap'),
  ('S34', 0, 'find-the-loosely-hung-leash-ring-first'),
  ('S37', 0, 'move-the-slider'),
  ('S37', 1, 'another-cut');
CREATE TABLE symptom_notes_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  try_on_id TEXT NOT NULL REFERENCES try_ons (id),
  symptom TEXT NOT NULL,
  remedy TEXT,
  present INTEGER NOT NULL CHECK (present IN (0, 1)),
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO symptom_notes_new (id, try_on_id, symptom, remedy, present, at, by_whom)
  SELECT id, try_on_id, symptom, (SELECT code FROM remedies_then WHERE remedies_then.symptom = symptom_notes.symptom AND place = symptom_notes.remedy),
    present, at, by_whom
  FROM symptom_notes ORDER BY at, id;
DROP TABLE remedies_then;
DROP TABLE symptom_notes;
ALTER TABLE symptom_notes_new RENAME TO symptom_notes;
CREATE INDEX symptom_notes_by_try_on ON symptom_notes (try_on_id, seq);

CREATE TABLE acknowledgements_new (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  kind TEXT NOT NULL CHECK (kind IN ('caution', 'stop', 'finding')),
  code TEXT NOT NULL,
  text TEXT NOT NULL,
  reason TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
INSERT INTO acknowledgements_new (id, ticket_id, kind, code, text, reason, at, by_whom)
  SELECT id, ticket_id, kind, code, text, reason, at, by_whom FROM acknowledgements ORDER BY at, id;
DROP TABLE acknowledgements;
ALTER TABLE acknowledgements_new RENAME TO acknowledgements;
CREATE INDEX acknowledgements_by_ticket ON acknowledgements (ticket_id, seq);

-- The other end of the line is a record of the ticket. A pair of M48 of before becomes one, and stays as readings that
-- count for nothing.
CREATE TABLE hitches (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  where_to TEXT NOT NULL CHECK (where_to IN ('hand', 'belt', 'bike-front', 'side-arm', 'ski-belt', 'sled', 'cart', 'wheel')),
  height_mm REAL NOT NULL CHECK (height_mm >= 0),
  line_mm REAL NOT NULL CHECK (line_mm > 0),
  family TEXT,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX hitches_by_ticket ON hitches (ticket_id, seq);

-- Where straps, cords and rows of holes stand, on one dog.
CREATE TABLE settings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  of_what TEXT NOT NULL,
  dog_id TEXT REFERENCES dogs (id),
  part TEXT NOT NULL,
  side TEXT NOT NULL CHECK (side IN ('left', 'right', 'both')),
  mm REAL,
  mark TEXT NOT NULL,
  at TEXT NOT NULL,
  by_whom TEXT NOT NULL
) STRICT;
CREATE INDEX settings_by_ticket ON settings (ticket_id, seq);
CREATE INDEX settings_by_dog ON settings (dog_id, seq);

CREATE INDEX owners_by_name ON owners (name COLLATE NOCASE);

-- Facts are appended; marks strike and restore them.
CREATE TRIGGER readings_stay BEFORE UPDATE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never updated'); END;
CREATE TRIGGER readings_are_kept BEFORE DELETE ON readings BEGIN SELECT RAISE(ABORT, 'readings are never deleted'); END;
CREATE TRIGGER marks_stay BEFORE UPDATE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never updated'); END;
CREATE TRIGGER marks_are_kept BEFORE DELETE ON marks BEGIN SELECT RAISE(ABORT, 'marks are never deleted'); END;
CREATE TRIGGER as_written_stay BEFORE UPDATE ON as_written BEGIN SELECT RAISE(ABORT, 'as written are never updated'); END;
CREATE TRIGGER as_written_are_kept BEFORE DELETE ON as_written BEGIN SELECT RAISE(ABORT, 'as written are never deleted'); END;
CREATE TRIGGER answers_stay BEFORE UPDATE ON answers BEGIN SELECT RAISE(ABORT, 'answers are never updated'); END;
CREATE TRIGGER answers_are_kept BEFORE DELETE ON answers BEGIN SELECT RAISE(ABORT, 'answers are never deleted'); END;
CREATE TRIGGER choices_stay BEFORE UPDATE ON choices BEGIN SELECT RAISE(ABORT, 'choices are never updated'); END;
CREATE TRIGGER choices_are_kept BEFORE DELETE ON choices BEGIN SELECT RAISE(ABORT, 'choices are never deleted'); END;
CREATE TRIGGER try_ons_stay BEFORE UPDATE ON try_ons BEGIN SELECT RAISE(ABORT, 'try ons are never updated'); END;
CREATE TRIGGER try_ons_are_kept BEFORE DELETE ON try_ons BEGIN SELECT RAISE(ABORT, 'try ons are never deleted'); END;
CREATE TRIGGER observations_stay BEFORE UPDATE ON observations BEGIN SELECT RAISE(ABORT, 'observations are never updated'); END;
CREATE TRIGGER observations_are_kept BEFORE DELETE ON observations BEGIN SELECT RAISE(ABORT, 'observations are never deleted'); END;
CREATE TRIGGER symptom_notes_stay BEFORE UPDATE ON symptom_notes BEGIN SELECT RAISE(ABORT, 'symptom notes are never updated'); END;
CREATE TRIGGER symptom_notes_are_kept BEFORE DELETE ON symptom_notes BEGIN SELECT RAISE(ABORT, 'symptom notes are never deleted'); END;
CREATE TRIGGER acknowledgements_stay BEFORE UPDATE ON acknowledgements BEGIN SELECT RAISE(ABORT, 'acknowledgements are never updated'); END;
CREATE TRIGGER acknowledgements_are_kept BEFORE DELETE ON acknowledgements BEGIN SELECT RAISE(ABORT, 'acknowledgements are never deleted'); END;
CREATE TRIGGER hitches_stay BEFORE UPDATE ON hitches BEGIN SELECT RAISE(ABORT, 'hitches are never updated'); END;
CREATE TRIGGER hitches_are_kept BEFORE DELETE ON hitches BEGIN SELECT RAISE(ABORT, 'hitches are never deleted'); END;
CREATE TRIGGER settings_stay BEFORE UPDATE ON settings BEGIN SELECT RAISE(ABORT, 'settings are never updated'); END;
CREATE TRIGGER settings_are_kept BEFORE DELETE ON settings BEGIN SELECT RAISE(ABORT, 'settings are never deleted'); END;
CREATE TRIGGER writes_stay BEFORE UPDATE ON writes BEGIN SELECT RAISE(ABORT, 'writes are never updated'); END;
CREATE TRIGGER writes_are_kept BEFORE DELETE ON writes BEGIN SELECT RAISE(ABORT, 'writes are never deleted'); END;
