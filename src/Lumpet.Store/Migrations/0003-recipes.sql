-- Doughs and products. A product's steps are rows: no code is written for one product.
CREATE TABLE dough (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  version INTEGER NOT NULL,
  density REAL NOT NULL CHECK (density > 0),
  bowl_loss_share REAL NOT NULL CHECK (bowl_loss_share >= 0 AND bowl_loss_share < 1),
  mix_min INTEGER NOT NULL CHECK (mix_min >= 1),
  rest_least INTEGER NOT NULL,
  rest_aim INTEGER NOT NULL,
  rest_most INTEGER NOT NULL,
  ready_when TEXT NOT NULL,
  caution TEXT NOT NULL,
  row_version INTEGER NOT NULL DEFAULT 1,
  CHECK (0 <= rest_least AND rest_least <= rest_aim AND rest_aim <= rest_most)
) STRICT;

CREATE TABLE dough_line (
  dough_id TEXT NOT NULL REFERENCES dough (id),
  position INTEGER NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams >= 0),
  PRIMARY KEY (dough_id, position)
) STRICT;

CREATE TABLE product (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  version INTEGER NOT NULL,
  dough_id TEXT NOT NULL REFERENCES dough (id),
  top TEXT NOT NULL CHECK (top IN ('open', 'lid', 'lattice')),
  thickness_mm REAL NOT NULL CHECK (thickness_mm > 0),
  base_overhang_cm REAL NOT NULL CHECK (base_overhang_cm >= 0),
  top_overhang_cm REAL NOT NULL CHECK (top_overhang_cm >= 0),
  trim_share REAL NOT NULL CHECK (trim_share >= 0 AND trim_share < 1),
  strip_width_cm REAL NOT NULL CHECK (strip_width_cm >= 0),
  strip_gap_cm REAL NOT NULL CHECK (strip_gap_cm >= 0),
  packed_density REAL NOT NULL CHECK (packed_density > 0),
  bake_change_cm REAL NOT NULL,
  reference_pan_id TEXT NOT NULL REFERENCES pan (id),
  oldest_min INTEGER NOT NULL CHECK (oldest_min >= 1),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE product_alias (
  product_id TEXT NOT NULL REFERENCES product (id),
  alias TEXT NOT NULL,
  PRIMARY KEY (product_id, alias)
) STRICT;

CREATE TABLE product_line (
  product_id TEXT NOT NULL REFERENCES product (id),
  part TEXT NOT NULL CHECK (part IN ('filling', 'finish')),
  position INTEGER NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams >= 0),
  PRIMARY KEY (product_id, part, position)
) STRICT;

CREATE TABLE product_packaging (
  product_id TEXT NOT NULL REFERENCES product (id),
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  PRIMARY KEY (product_id, ingredient_id)
) STRICT;

CREATE TABLE product_size (
  product_id TEXT NOT NULL REFERENCES product (id),
  pan_id TEXT NOT NULL REFERENCES pan (id),
  position INTEGER NOT NULL,
  price TEXT,
  PRIMARY KEY (product_id, pan_id)
) STRICT;

CREATE TABLE product_step (
  product_id TEXT NOT NULL REFERENCES product (id),
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  station TEXT NOT NULL,
  hands_per_batch INTEGER,
  hands_per_pie REAL,
  wait_least INTEGER,
  wait_aim INTEGER,
  wait_most INTEGER,
  celsius INTEGER,
  uses_dough INTEGER NOT NULL CHECK (uses_dough IN (0, 1)),
  ready_when TEXT NOT NULL,
  caution TEXT NOT NULL,
  PRIMARY KEY (product_id, id)
) STRICT;

CREATE TABLE product_stage (
  product_id TEXT NOT NULL,
  step_id TEXT NOT NULL,
  number INTEGER NOT NULL,
  temp_c INTEGER NOT NULL,
  min_min INTEGER NOT NULL CHECK (min_min >= 1),
  max_min INTEGER NOT NULL CHECK (max_min >= min_min),
  PRIMARY KEY (product_id, step_id, number),
  FOREIGN KEY (product_id, step_id) REFERENCES product_step (product_id, id)
) STRICT;

CREATE TABLE product_link (
  product_id TEXT NOT NULL,
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  least INTEGER NOT NULL CHECK (least >= 0),
  most INTEGER NOT NULL CHECK (most >= least),
  PRIMARY KEY (product_id, before, after),
  FOREIGN KEY (product_id, before) REFERENCES product_step (product_id, id),
  FOREIGN KEY (product_id, after) REFERENCES product_step (product_id, id)
) STRICT;
