-- Pies that a manager leaves out of a day's plan: all of a product in a pan for one pick-up. Their orders stay, so that it is seen who goes without.
CREATE TABLE day_left_out (
  day TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  pan_id TEXT NOT NULL REFERENCES pan (id) ON DELETE CASCADE,
  pick_up TEXT NOT NULL CHECK (pick_up GLOB '[0-2][0-9]:[0-5][0-9]'),
  PRIMARY KEY (day, product_id, pan_id, pick_up)
) STRICT, WITHOUT ROWID;
CREATE INDEX day_left_out_by_product ON day_left_out (product_id);
CREATE INDEX day_left_out_by_pan ON day_left_out (pan_id);
