-- How something that is made here is made, in which batches, and how it keeps. What was made here before has none yet: no
-- plan makes it until somebody says how.
CREATE TABLE preparation (
  ingredient_id TEXT PRIMARY KEY REFERENCES ingredient (id),
  kind TEXT NOT NULL,
  batch_least_g REAL NOT NULL CHECK (batch_least_g >= 0),
  batch_most_g REAL NOT NULL CHECK (batch_most_g >= batch_least_g AND batch_most_g > 0),
  tray_g REAL NOT NULL CHECK (tray_g > 0),
  keeps_in TEXT NOT NULL,
  hold_least INTEGER NOT NULL CHECK (hold_least >= 0),
  hold_aim INTEGER NOT NULL CHECK (hold_aim >= hold_least),
  hold_most INTEGER NOT NULL CHECK (hold_most >= hold_aim),
  before_use TEXT NOT NULL
) STRICT;

CREATE TABLE preparation_step (
  ingredient_id TEXT NOT NULL REFERENCES preparation (ingredient_id),
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  station TEXT NOT NULL,
  hands_per_batch INTEGER,
  hands_per_kg REAL,
  wait_least INTEGER,
  wait_aim INTEGER,
  wait_most INTEGER,
  celsius INTEGER,
  ready_when TEXT NOT NULL,
  caution TEXT NOT NULL,
  place TEXT NOT NULL,
  heated_tray_min INTEGER NOT NULL CHECK (heated_tray_min >= 0),
  turned INTEGER NOT NULL CHECK (turned IN (0, 1)),
  PRIMARY KEY (ingredient_id, id)
) STRICT;

CREATE TABLE preparation_stage (
  ingredient_id TEXT NOT NULL,
  step_id TEXT NOT NULL,
  number INTEGER NOT NULL,
  temp_c INTEGER NOT NULL,
  min_min INTEGER NOT NULL CHECK (min_min >= 1),
  max_min INTEGER NOT NULL CHECK (max_min >= min_min),
  PRIMARY KEY (ingredient_id, step_id, number),
  FOREIGN KEY (ingredient_id, step_id) REFERENCES preparation_step (ingredient_id, id)
) STRICT;
