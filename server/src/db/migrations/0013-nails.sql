-- Whether the nails were short when a paw was drawn.
ALTER TABLE tracings ADD COLUMN nails TEXT CHECK (nails IN ('short', 'long'));
