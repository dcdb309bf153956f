-- What is made already and is to be used before anything is made anew: a dough, something else that is made before the pies, or
-- pies that have been brought as far as one of their steps. Of each exactly one of the three.
CREATE TABLE made_already (
  id TEXT PRIMARY KEY,
  dough_id TEXT REFERENCES dough (id),
  ingredient_id TEXT REFERENCES ingredient (id),
  grams REAL CHECK (grams > 0),
  product_id TEXT REFERENCES product (id),
  pan_id TEXT REFERENCES pan (id),
  pies INTEGER CHECK (pies BETWEEN 1 AND 2000),
  after_step TEXT,
  place TEXT NOT NULL CHECK (place IN ('room', 'cold', 'frozen')),
  -- By the bakery's clock.
  made_at TEXT NOT NULL CHECK (made_at GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]T[0-9][0-9]:[0-9][0-9]'),
  note TEXT NOT NULL,
  row_version INTEGER NOT NULL DEFAULT 1,
  CHECK ((dough_id IS NOT NULL) + (ingredient_id IS NOT NULL) + (product_id IS NOT NULL) = 1),
  CHECK ((grams IS NULL) = (product_id IS NOT NULL)),
  CHECK ((product_id IS NULL) = (pan_id IS NULL) AND (product_id IS NULL) = (pies IS NULL) AND (product_id IS NULL) = (after_step IS NULL))
) STRICT;
CREATE INDEX made_already_by_dough ON made_already (dough_id);
CREATE INDEX made_already_by_ingredient ON made_already (ingredient_id);
CREATE INDEX made_already_by_product ON made_already (product_id);
