-- What an order names stays in its recipe. Where it was dropped before, it is put back, so that its day can be planned.
INSERT INTO product_size (product_id, pan_id, position, price)
  SELECT o.product_id, o.pan_id, 1000, NULL FROM order_line o
  WHERE NOT EXISTS (SELECT 1 FROM product_size s WHERE s.product_id = o.product_id AND s.pan_id = o.pan_id)
  GROUP BY o.product_id, o.pan_id;

CREATE TABLE order_line_kept (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id),
  pan_id TEXT NOT NULL REFERENCES pan (id),
  count INTEGER NOT NULL CHECK (count BETWEEN 1 AND 2000),
  pick_up_local TEXT NOT NULL,
  pick_up_zone TEXT NOT NULL,
  pick_up_unix INTEGER NOT NULL,
  for_whom TEXT NOT NULL,
  row_version INTEGER NOT NULL DEFAULT 1,
  -- A recipe is written anew as a whole, so this is looked at when all of it is written.
  FOREIGN KEY (product_id, pan_id) REFERENCES product_size (product_id, pan_id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
INSERT INTO order_line_kept (id, product_id, pan_id, count, pick_up_local, pick_up_zone, pick_up_unix, for_whom, row_version)
  SELECT id, product_id, pan_id, count, pick_up_local, pick_up_zone, pick_up_unix, for_whom, row_version FROM order_line ORDER BY rowid;
DROP TABLE order_line;
ALTER TABLE order_line_kept RENAME TO order_line;
CREATE INDEX order_line_by_pick_up ON order_line (pick_up_local);
CREATE INDEX order_line_by_product ON order_line (product_id, pan_id);

CREATE TRIGGER order_of_retired BEFORE INSERT ON order_line
WHEN (SELECT retired FROM product WHERE id = NEW.product_id) = 1
BEGIN
  SELECT RAISE(ABORT, 'a retired product takes no orders');
END;
CREATE TRIGGER order_turned_to_retired BEFORE UPDATE OF product_id ON order_line
WHEN NEW.product_id <> OLD.product_id AND (SELECT retired FROM product WHERE id = NEW.product_id) = 1
BEGIN
  SELECT RAISE(ABORT, 'a retired product takes no orders');
END;

-- A request that was confirmed, by its key: sent again it is answered the same, and nothing else is ever answered so.
CREATE TABLE confirmed_request (
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  -- SHA-256 of what was sent.
  sent TEXT NOT NULL,
  answer TEXT NOT NULL,
  at_unix INTEGER NOT NULL,
  PRIMARY KEY (kind, key)
) STRICT;

-- Nothing is made of itself, whichever way round.
CREATE TRIGGER ingredient_made_of_itself BEFORE INSERT ON ingredient_line
BEGIN
  SELECT RAISE(ABORT, 'an ingredient is never made of itself') WHERE NEW.ingredient_id IN (
    WITH RECURSIVE inside (id) AS (
      SELECT NEW.part_id UNION SELECT l.part_id FROM inside i JOIN ingredient_line l ON l.ingredient_id = i.id)
    SELECT id FROM inside);
END;

-- One name, one thing.
UPDATE ingredient SET name = name || ' (' || id || ')' WHERE EXISTS (SELECT 1 FROM ingredient o WHERE o.name = ingredient.name COLLATE NOCASE AND o.rowid < ingredient.rowid);
UPDATE dough SET name = name || ' (' || id || ')' WHERE EXISTS (SELECT 1 FROM dough o WHERE o.name = dough.name COLLATE NOCASE AND o.rowid < dough.rowid);
UPDATE product SET name = name || ' (' || id || ')' WHERE EXISTS (SELECT 1 FROM product o WHERE o.name = product.name COLLATE NOCASE AND o.rowid < product.rowid);
CREATE UNIQUE INDEX ingredient_by_name ON ingredient (name COLLATE NOCASE);
CREATE UNIQUE INDEX dough_by_name ON dough (name COLLATE NOCASE);
CREATE UNIQUE INDEX product_by_name ON product (name COLLATE NOCASE);

-- Counts every change of what recipes are read from, so that what is kept in memory is known to be current.
CREATE TABLE library_stamp (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  number INTEGER NOT NULL
) STRICT;
INSERT INTO library_stamp (id, number) VALUES (1, 1);
CREATE TRIGGER product_added AFTER INSERT ON product BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER product_changed AFTER UPDATE ON product BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER product_removed AFTER DELETE ON product BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER dough_added AFTER INSERT ON dough BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER dough_changed AFTER UPDATE ON dough BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER dough_removed AFTER DELETE ON dough BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER ingredient_added AFTER INSERT ON ingredient BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER ingredient_changed AFTER UPDATE ON ingredient BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER ingredient_removed AFTER DELETE ON ingredient BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER pan_added AFTER INSERT ON pan BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER pan_changed AFTER UPDATE ON pan BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER pan_removed AFTER DELETE ON pan BEGIN UPDATE library_stamp SET number = number + 1; END;
CREATE TRIGGER bakery_described AFTER INSERT ON bakery BEGIN UPDATE library_stamp SET number = number + 1; END;
