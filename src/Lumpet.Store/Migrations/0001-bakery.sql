-- The bakery itself: one row, its shifts, ovens and pans.
CREATE TABLE bakery (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL,
  zone TEXT NOT NULL,
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  tolerance_c INTEGER NOT NULL CHECK (tolerance_c >= 0),
  transfer_min INTEGER NOT NULL CHECK (transfer_min >= 0),
  spare_min INTEGER NOT NULL CHECK (spare_min >= 0),
  mixer_name TEXT NOT NULL,
  mixer_smallest_g REAL NOT NULL CHECK (mixer_smallest_g >= 0),
  mixer_largest_g REAL NOT NULL CHECK (mixer_largest_g >= mixer_smallest_g),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- A shift belongs to the day of the pick-ups: day_offset -1 is the day before.
CREATE TABLE shift (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  day_offset INTEGER NOT NULL CHECK (day_offset BETWEEN -2 AND 0),
  start_minute INTEGER NOT NULL CHECK (start_minute BETWEEN 0 AND 1439),
  length_min INTEGER NOT NULL CHECK (length_min BETWEEN 1 AND 1440),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE oven (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  shelves INTEGER NOT NULL CHECK (shelves >= 0),
  min_c INTEGER NOT NULL,
  max_c INTEGER NOT NULL CHECK (max_c >= min_c),
  heat_c_per_min INTEGER NOT NULL CHECK (heat_c_per_min >= 1),
  cool_c_per_min INTEGER NOT NULL CHECK (cool_c_per_min >= 1),
  dial_offset_c INTEGER NOT NULL,
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE pan (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  top_cm REAL NOT NULL CHECK (top_cm > 0),
  bottom_cm REAL NOT NULL CHECK (bottom_cm > 0 AND bottom_cm <= top_cm),
  depth_cm REAL NOT NULL CHECK (depth_cm > 0),
  rim_cm REAL NOT NULL CHECK (rim_cm >= 0),
  per_tray INTEGER NOT NULL CHECK (per_tray >= 1),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;
