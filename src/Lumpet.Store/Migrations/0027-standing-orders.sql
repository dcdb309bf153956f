-- Orders that repeat on days of the week, Monday the lowest bit, from a day until a day. What has been picked up stays as it
-- was: an order that is changed ends, and another goes on from there.
CREATE TABLE standing_order (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id),
  pan_id TEXT NOT NULL REFERENCES pan (id),
  count INTEGER NOT NULL CHECK (count BETWEEN 1 AND 2000),
  weekdays INTEGER NOT NULL CHECK (weekdays BETWEEN 1 AND 127),
  pick_up_minute INTEGER NOT NULL CHECK (pick_up_minute BETWEEN 0 AND 1439),
  for_whom TEXT NOT NULL,
  may_be_late_min INTEGER NOT NULL DEFAULT 0 CHECK (may_be_late_min BETWEEN 0 AND 720),
  from_date TEXT NOT NULL CHECK (from_date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  until_date TEXT CHECK (until_date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]' AND until_date >= from_date),
  row_version INTEGER NOT NULL DEFAULT 1,
  -- A recipe is written anew as a whole, so this is looked at when all of it is written.
  FOREIGN KEY (product_id, pan_id) REFERENCES product_size (product_id, pan_id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX standing_order_by_product ON standing_order (product_id, pan_id);

-- By how many minutes an order may be late, where another would be; 0 where it must not be.
ALTER TABLE order_line ADD COLUMN may_be_late_min INTEGER NOT NULL DEFAULT 0 CHECK (may_be_late_min BETWEEN 0 AND 720);

-- Dates on which one of them does not come, or comes as an order of its own: that is an order like any other.
CREATE TABLE standing_order_out (
  standing_order_id TEXT NOT NULL REFERENCES standing_order (id) ON DELETE CASCADE,
  date TEXT NOT NULL CHECK (date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  order_id TEXT REFERENCES order_line (id) ON DELETE SET NULL,
  PRIMARY KEY (standing_order_id, date)
) STRICT;
CREATE INDEX standing_order_out_by_date ON standing_order_out (date);

CREATE TRIGGER standing_order_of_retired BEFORE INSERT ON standing_order
WHEN (SELECT retired FROM product WHERE id = NEW.product_id) = 1
BEGIN
  SELECT RAISE(ABORT, 'a retired product takes no orders');
END;
CREATE TRIGGER standing_order_turned_to_retired BEFORE UPDATE OF product_id ON standing_order
WHEN NEW.product_id <> OLD.product_id AND (SELECT retired FROM product WHERE id = NEW.product_id) = 1
BEGIN
  SELECT RAISE(ABORT, 'a retired product takes no orders');
END;

-- What is baked of a product beyond what is ordered, for what breaks and for the counter.
CREATE TABLE product_margin (
  product_id TEXT PRIMARY KEY REFERENCES product (id) ON DELETE CASCADE,
  percent INTEGER NOT NULL CHECK (percent BETWEEN 1 AND 50)
) STRICT;
