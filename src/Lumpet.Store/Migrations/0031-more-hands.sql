-- Hands that a manager gets for one day: more pairs in every shift, or a first shift that begins earlier.
CREATE TABLE day_hands (
  day TEXT PRIMARY KEY CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  more INTEGER NOT NULL CHECK (more BETWEEN 0 AND 6),
  earlier_min INTEGER NOT NULL CHECK (earlier_min BETWEEN 0 AND 480),
  CHECK (more + earlier_min > 0)
) STRICT;
