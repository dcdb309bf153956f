-- When suppliers deliver and from how much on, and what is ordered at them.
CREATE TABLE supplier_terms (
  supplier TEXT PRIMARY KEY COLLATE NOCASE REFERENCES supplier (name),
  minimum TEXT NOT NULL CHECK (minimum GLOB '[0-9]*'),
  -- Days of the week, in order: "monday,thursday".
  days TEXT NOT NULL CHECK (length(days) >= 6),
  lead_days INTEGER NOT NULL CHECK (lead_days BETWEEN 0 AND 30),
  until TEXT NOT NULL CHECK (until GLOB '[0-2][0-9]:[0-5][0-9]'),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT, WITHOUT ROWID;

CREATE TABLE purchase (
  id TEXT PRIMARY KEY,
  supplier TEXT NOT NULL COLLATE NOCASE REFERENCES supplier (name),
  placed_unix INTEGER NOT NULL,
  delivery TEXT NOT NULL CHECK (delivery GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  state TEXT NOT NULL DEFAULT 'placed' CHECK (state IN ('placed', 'received', 'cancelled'))
) STRICT;
CREATE INDEX purchase_by_supplier ON purchase (supplier);
CREATE INDEX purchase_that_is_placed ON purchase (id) WHERE state = 'placed';
CREATE TABLE purchase_line (
  purchase_id TEXT NOT NULL REFERENCES purchase (id),
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  unit TEXT NOT NULL CHECK (unit IN ('milligram', 'piece')),
  pack INTEGER NOT NULL CHECK (pack > 0),
  pack_said TEXT NOT NULL,
  packs INTEGER NOT NULL CHECK (packs BETWEEN 1 AND 10000),
  paid TEXT NOT NULL CHECK (paid GLOB '[0-9]*'),
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  PRIMARY KEY (purchase_id, ingredient_id, pack)
) STRICT, WITHOUT ROWID;
CREATE INDEX purchase_line_of_ingredient ON purchase_line (ingredient_id);
CREATE TRIGGER purchase_ends_once BEFORE UPDATE OF state ON purchase WHEN OLD.state <> 'placed' BEGIN
  SELECT RAISE(ABORT, 'This order has come, or was taken back, already.');
END;
CREATE TRIGGER purchase_stays BEFORE DELETE ON purchase BEGIN SELECT RAISE(ABORT, 'An order stays on the books.'); END;
CREATE TRIGGER purchase_line_is_kept BEFORE UPDATE ON purchase_line BEGIN SELECT RAISE(ABORT, 'What was ordered stays as it was ordered.'); END;
CREATE TRIGGER purchase_line_stays BEFORE DELETE ON purchase_line BEGIN SELECT RAISE(ABORT, 'What was ordered stays as it was ordered.'); END;
