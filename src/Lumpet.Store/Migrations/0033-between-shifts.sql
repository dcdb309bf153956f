-- A shift that a manager gets for one day: pairs of hands that are there while the shifts of the week leave the kitchen empty.
CREATE TABLE day_between_shifts (
  day TEXT PRIMARY KEY CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  hands INTEGER NOT NULL CHECK (hands BETWEEN 1 AND 6)
) STRICT;
