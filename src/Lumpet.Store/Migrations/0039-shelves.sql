-- What lies on the shelves: lots, and a ledger of what moved. How much of a lot there is, only its movements say.
CREATE TABLE stock_lot (
  id TEXT PRIMARY KEY,
  ingredient_id TEXT REFERENCES ingredient (id),
  dough_id TEXT REFERENCES dough (id),
  product_id TEXT REFERENCES product (id),
  pan_id TEXT REFERENCES pan (id),
  after_step TEXT,
  -- Weights in whole milligrams, so that sums are exact.
  unit TEXT NOT NULL CHECK (unit IN ('milligram', 'piece')),
  -- The sum of its movements, kept by the triggers below.
  amount INTEGER NOT NULL DEFAULT 0 CHECK (amount >= 0),
  -- Whether it came to the books as something that is made already, by its recipe; else it came from outside.
  is_made INTEGER NOT NULL CHECK (is_made IN (0, 1)),
  code TEXT NOT NULL CHECK (length(code) <= 40),
  supplier TEXT COLLATE NOCASE REFERENCES supplier (name),
  use_by TEXT CHECK (use_by GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  place TEXT NOT NULL CHECK (place IN ('room', 'cold', 'frozen')),
  shelf TEXT NOT NULL DEFAULT '' CHECK (length(shelf) <= 40),
  -- When it came, was made or opened, by the bakery's clock.
  since TEXT NOT NULL CHECK (since GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]T[0-9][0-9]:[0-9][0-9]'),
  pack INTEGER CHECK (pack > 0),
  pack_said TEXT NOT NULL DEFAULT '',
  paid TEXT CHECK (paid GLOB '[0-9]*'),
  currency TEXT CHECK (length(currency) = 3),
  part_of TEXT REFERENCES stock_lot (id),
  is_open INTEGER NOT NULL DEFAULT 0 CHECK (is_open IN (0, 1)),
  for_day TEXT CHECK (for_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  batch TEXT,
  note TEXT NOT NULL DEFAULT '',
  row_version INTEGER NOT NULL DEFAULT 1,
  CHECK ((ingredient_id IS NOT NULL) + (dough_id IS NOT NULL) + (product_id IS NOT NULL) = 1),
  CHECK ((product_id IS NULL) = (pan_id IS NULL) AND (product_id IS NULL) = (after_step IS NULL)),
  CHECK (product_id IS NULL OR unit = 'piece'),
  CHECK (dough_id IS NULL OR unit = 'milligram'),
  CHECK (is_made = 1 OR ingredient_id IS NOT NULL),
  CHECK ((paid IS NULL) = (currency IS NULL)),
  CHECK ((for_day IS NULL) = (batch IS NULL))
) STRICT;
CREATE INDEX stock_lot_by_ingredient ON stock_lot (ingredient_id);
CREATE INDEX stock_lot_by_dough ON stock_lot (dough_id);
CREATE INDEX stock_lot_by_product ON stock_lot (product_id);
CREATE INDEX stock_lot_by_pan ON stock_lot (pan_id);
CREATE INDEX stock_lot_by_supplier ON stock_lot (supplier);
CREATE INDEX stock_lot_by_code ON stock_lot (code);
CREATE INDEX stock_lot_that_is_there ON stock_lot (id) WHERE amount > 0;
CREATE INDEX stock_lot_of_a_day ON stock_lot (for_day);

CREATE TABLE stock_entry (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('received', 'made', 'used', 'counted', 'adjusted', 'wasted', 'opened', 'moved', 'handedOver', 'takenBack')),
  at_unix INTEGER NOT NULL,
  reason TEXT NOT NULL DEFAULT '',
  -- Of a batch: the day whose plan it is of, which of its plans, and its name there.
  day TEXT CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  generation INTEGER,
  batch TEXT,
  takes_back INTEGER UNIQUE REFERENCES stock_entry (id),
  CHECK ((day IS NULL) = (batch IS NULL) AND (day IS NULL) = (generation IS NULL)),
  CHECK ((batch IS NOT NULL) = (kind = 'made')),
  CHECK ((takes_back IS NOT NULL) = (kind = 'takenBack'))
) STRICT;
CREATE INDEX stock_entry_of_a_day ON stock_entry (day, generation, batch);
CREATE INDEX stock_entry_by_time ON stock_entry (at_unix);

CREATE TABLE stock_movement (
  id INTEGER PRIMARY KEY,
  entry_id INTEGER NOT NULL REFERENCES stock_entry (id),
  lot_id TEXT NOT NULL REFERENCES stock_lot (id),
  amount INTEGER NOT NULL,
  UNIQUE (entry_id, lot_id)
) STRICT;
CREATE INDEX stock_movement_of_a_lot ON stock_movement (lot_id, entry_id, amount);

-- What a batch took that no lot on the books held: said, and never taken off what is there.
CREATE TABLE stock_unknown (
  entry_id INTEGER NOT NULL REFERENCES stock_entry (id),
  ingredient_id TEXT REFERENCES ingredient (id),
  dough_id TEXT REFERENCES dough (id),
  unit TEXT NOT NULL CHECK (unit IN ('milligram', 'piece')),
  amount INTEGER NOT NULL CHECK (amount > 0),
  CHECK ((ingredient_id IS NOT NULL) + (dough_id IS NOT NULL) = 1)
) STRICT;
CREATE INDEX stock_unknown_of_an_entry ON stock_unknown (entry_id);
CREATE INDEX stock_unknown_by_ingredient ON stock_unknown (ingredient_id);
CREATE INDEX stock_unknown_by_dough ON stock_unknown (dough_id);

-- When a batch was in which oven, and which orders pies were for, as it was then: both may change or go later.
CREATE TABLE stock_bake (
  entry_id INTEGER NOT NULL REFERENCES stock_entry (id),
  oven TEXT NOT NULL,
  bake TEXT NOT NULL,
  start_unix INTEGER NOT NULL,
  end_unix INTEGER NOT NULL CHECK (end_unix >= start_unix)
) STRICT;
CREATE INDEX stock_bake_of_an_entry ON stock_bake (entry_id);
CREATE TABLE stock_order (
  entry_id INTEGER NOT NULL REFERENCES stock_entry (id),
  order_id TEXT NOT NULL,
  for_whom TEXT NOT NULL,
  pies INTEGER NOT NULL CHECK (pies > 0),
  pick_up TEXT NOT NULL CHECK (pick_up GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]T[0-9][0-9]:[0-9][0-9]')
) STRICT;
CREATE INDEX stock_order_of_an_entry ON stock_order (entry_id);
CREATE INDEX stock_order_by_order ON stock_order (order_id);

-- What is not kept on the books, or is, where someone has said so; water from the tap is not unless it is said.
CREATE TABLE stock_counted (
  ingredient_id TEXT PRIMARY KEY REFERENCES ingredient (id) ON DELETE CASCADE,
  is_counted INTEGER NOT NULL CHECK (is_counted IN (0, 1))
) STRICT, WITHOUT ROWID;

CREATE TRIGGER stock_moves AFTER INSERT ON stock_movement BEGIN
  UPDATE stock_lot SET amount = amount + NEW.amount WHERE id = NEW.lot_id;
END;
CREATE TRIGGER stock_lot_begins_empty BEFORE INSERT ON stock_lot WHEN NEW.amount <> 0 BEGIN
  SELECT RAISE(ABORT, 'How much of a lot there is, only its movements say.');
END;
CREATE TRIGGER stock_lot_follows_its_movements BEFORE UPDATE OF amount ON stock_lot
WHEN NEW.amount <> (SELECT coalesce(sum(amount), 0) FROM stock_movement WHERE lot_id = NEW.id) BEGIN
  SELECT RAISE(ABORT, 'How much of a lot there is, only its movements say.');
END;
CREATE TRIGGER stock_lot_is_what_it_is BEFORE UPDATE OF ingredient_id, dough_id, product_id, unit, is_made, part_of, for_day, batch ON stock_lot
WHEN (NEW.ingredient_id, NEW.dough_id, NEW.product_id, NEW.unit, NEW.is_made, NEW.part_of, NEW.for_day, NEW.batch)
  IS NOT (OLD.ingredient_id, OLD.dough_id, OLD.product_id, OLD.unit, OLD.is_made, OLD.part_of, OLD.for_day, OLD.batch) BEGIN
  SELECT RAISE(ABORT, 'What a lot is does not change.');
END;
CREATE TRIGGER stock_lot_stays BEFORE DELETE ON stock_lot BEGIN SELECT RAISE(ABORT, 'A lot stays on the books.'); END;
CREATE TRIGGER stock_entry_is_kept BEFORE UPDATE ON stock_entry BEGIN SELECT RAISE(ABORT, 'What happened is corrected by another entry.'); END;
CREATE TRIGGER stock_entry_stays BEFORE DELETE ON stock_entry BEGIN SELECT RAISE(ABORT, 'What happened is corrected by another entry.'); END;
CREATE TRIGGER stock_movement_is_kept BEFORE UPDATE ON stock_movement BEGIN SELECT RAISE(ABORT, 'What happened is corrected by another entry.'); END;
CREATE TRIGGER stock_movement_stays BEFORE DELETE ON stock_movement BEGIN SELECT RAISE(ABORT, 'What happened is corrected by another entry.'); END;
-- A batch is made once, however often it is tapped; one that was taken back may be made again.
CREATE TRIGGER stock_batch_once BEFORE INSERT ON stock_entry
WHEN NEW.batch IS NOT NULL AND EXISTS (
  SELECT 1 FROM stock_entry made WHERE made.day = NEW.day AND made.generation = NEW.generation AND made.batch = NEW.batch
  AND NOT EXISTS (SELECT 1 FROM stock_entry back WHERE back.takes_back = made.id)) BEGIN
  SELECT RAISE(ABORT, 'This batch is made already.');
END;

-- What was noted as made already becomes lots.
INSERT INTO stock_lot (id, ingredient_id, dough_id, product_id, pan_id, after_step, unit, is_made, code, place, since, note, row_version)
  SELECT id, ingredient_id, dough_id, product_id, pan_id, after_step, CASE WHEN pies IS NULL THEN 'milligram' ELSE 'piece' END, 1, '', place, made_at, note, row_version FROM made_already;
INSERT INTO stock_entry (kind, at_unix, reason) SELECT 'counted', CAST(strftime('%s', 'now') AS INTEGER), 'noted as made already' WHERE EXISTS (SELECT 1 FROM made_already);
INSERT INTO stock_movement (entry_id, lot_id, amount)
  SELECT (SELECT max(id) FROM stock_entry), id, coalesce(pies, max(1, CAST(round(grams * 1000) AS INTEGER))) FROM made_already;
DROP TABLE made_already;
