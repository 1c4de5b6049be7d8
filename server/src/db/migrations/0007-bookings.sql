-- A piece of ours out for a ticket, under the id of the choice that booked it.
CREATE TABLE bookings (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  piece_id TEXT NOT NULL REFERENCES pieces (id),
  ticket_id TEXT NOT NULL REFERENCES tickets (id),
  from_day TEXT NOT NULL,
  until_day TEXT NOT NULL CHECK (until_day >= from_day),
  back_on TEXT
) STRICT;
CREATE INDEX bookings_by_piece ON bookings (piece_id, from_day);
