-- How ingredients are called on labels: what is bought ready-made with the list from its own label.
CREATE TABLE label_words (
  ingredient_id TEXT PRIMARY KEY REFERENCES ingredient (id) ON DELETE CASCADE,
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 400),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT, WITHOUT ROWID;

-- What is stated of a product in a pan for its labels.
CREATE TABLE label_statement (
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  pan_id TEXT NOT NULL REFERENCES pan (id) ON DELETE CASCADE,
  -- What a baked one weighs; null while nobody has weighed one.
  net_g INTEGER CHECK (net_g BETWEEN 1 AND 20000),
  keeps_days INTEGER NOT NULL CHECK (keeps_days BETWEEN 0 AND 60),
  is_use_by INTEGER NOT NULL CHECK (is_use_by IN (0, 1)),
  storage TEXT NOT NULL CHECK (length(storage) <= 80),
  row_version INTEGER NOT NULL DEFAULT 1,
  PRIMARY KEY (product_id, pan_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX label_statement_by_pan ON label_statement (pan_id);

-- What was printed, as it was printed: it only grows.
CREATE TABLE label_print (
  id INTEGER PRIMARY KEY,
  at_unix INTEGER NOT NULL,
  product_id TEXT NOT NULL REFERENCES product (id),
  pan_id TEXT NOT NULL REFERENCES pan (id),
  -- The lot of the pies; null where none was said.
  lot_id TEXT REFERENCES stock_lot (id),
  copies INTEGER NOT NULL CHECK (copies BETWEEN 1 AND 2000),
  -- All that stood on it, a line for each thing.
  text TEXT NOT NULL CHECK (length(text) > 0)
) STRICT;
CREATE INDEX label_print_by_lot ON label_print (lot_id);
CREATE INDEX label_print_by_product ON label_print (product_id);
CREATE INDEX label_print_by_pan ON label_print (pan_id);
CREATE TRIGGER label_print_is_kept BEFORE UPDATE ON label_print BEGIN SELECT RAISE(ABORT, 'What was printed stays as it was printed.'); END;
CREATE TRIGGER label_print_stays BEFORE DELETE ON label_print BEGIN SELECT RAISE(ABORT, 'What was printed stays on the books.'); END;
