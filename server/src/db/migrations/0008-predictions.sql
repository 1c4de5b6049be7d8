-- What a round was begun with, sliders moved before it, and how long that took; how a car harness is built.
ALTER TABLE try_ons ADD COLUMN foretold TEXT;
ALTER TABLE try_ons ADD COLUMN moves TEXT;
ALTER TABLE try_ons ADD COLUMN seconds INTEGER;
ALTER TABLE pieces ADD COLUMN build TEXT;
