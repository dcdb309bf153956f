-- A product is layers in a crust: its one filling becomes the first of them, its topping and its finish follow.
CREATE TABLE product_layer (
  product_id TEXT NOT NULL REFERENCES product (id),
  id TEXT NOT NULL,
  position INTEGER NOT NULL,
  part TEXT NOT NULL CHECK (part IN ('filling', 'topping', 'finish', 'beside')),
  name TEXT NOT NULL,
  law TEXT NOT NULL CHECK (law <> 'room' OR part = 'filling'),
  filling_kind TEXT NOT NULL,
  packed_density REAL NOT NULL CHECK (packed_density > 0),
  kept_share REAL NOT NULL CHECK (kept_share > 0 AND kept_share <= 1),
  pieces INTEGER NOT NULL CHECK (pieces >= 0 AND (law <> 'count' OR pieces >= 1)),
  PRIMARY KEY (product_id, id),
  UNIQUE (product_id, position)
) STRICT;
INSERT INTO product_layer (product_id, id, position, part, name, law, filling_kind, packed_density, kept_share, pieces)
  SELECT id, 'filling', 0, 'filling', '', 'room', filling_kind, packed_density, kept_share, 0 FROM product;
INSERT INTO product_layer (product_id, id, position, part, name, law, filling_kind, packed_density, kept_share, pieces)
  SELECT DISTINCT product_id, part, CASE part WHEN 'topping' THEN 1 ELSE 2 END, part, '', 'top', 'rawFruit', 1, 1, 0 FROM product_line WHERE part <> 'filling';

CREATE TABLE product_line_of_layer (
  product_id TEXT NOT NULL,
  layer_id TEXT NOT NULL,
  position INTEGER NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams >= 0),
  written TEXT NOT NULL,
  PRIMARY KEY (product_id, layer_id, position),
  FOREIGN KEY (product_id, layer_id) REFERENCES product_layer (product_id, id)
) STRICT;
INSERT INTO product_line_of_layer (product_id, layer_id, position, ingredient_id, preparation, grams, written)
  SELECT product_id, part, position, ingredient_id, preparation, grams, written FROM product_line;
DROP TABLE product_line;
ALTER TABLE product_line_of_layer RENAME TO product_line;
ALTER TABLE product DROP COLUMN filling_kind;
ALTER TABLE product DROP COLUMN packed_density;
ALTER TABLE product DROP COLUMN kept_share;

-- What lies on the filling may be of another dough, and rolled to another thickness.
ALTER TABLE product ADD COLUMN top_dough_id TEXT REFERENCES dough (id);
ALTER TABLE product ADD COLUMN top_thickness_mm REAL CHECK (top_thickness_mm > 0);

-- A size may have its own time for the bake of the filled pie.
ALTER TABLE product_size ADD COLUMN bake_least INTEGER CHECK (bake_least >= 1);
ALTER TABLE product_size ADD COLUMN bake_most INTEGER CHECK (bake_most >= bake_least AND (bake_least IS NULL) = (bake_most IS NULL));

-- What is done to a bake while it is in the oven: one thing a line, its minute before a bar, nothing before it where a sign tells.
ALTER TABLE product_step ADD COLUMN handwork TEXT NOT NULL DEFAULT '';
ALTER TABLE preparation_step ADD COLUMN handwork TEXT NOT NULL DEFAULT '';
