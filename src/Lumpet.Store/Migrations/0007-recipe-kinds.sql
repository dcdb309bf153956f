-- Pans of every family: what is null is a round pan's.
ALTER TABLE pan ADD COLUMN family TEXT NOT NULL DEFAULT 'sloped';
ALTER TABLE pan ADD COLUMN material TEXT NOT NULL DEFAULT 'steel';
ALTER TABLE pan ADD COLUMN top_width_cm REAL CHECK (top_width_cm > 0);
ALTER TABLE pan ADD COLUMN bottom_width_cm REAL CHECK (bottom_width_cm > 0);

-- How a dough is made and kept.
ALTER TABLE dough ADD COLUMN family TEXT NOT NULL DEFAULT 'flaky';
ALTER TABLE dough ADD COLUMN held_back_percent REAL NOT NULL DEFAULT 20;
ALTER TABLE dough ADD COLUMN fat_size TEXT NOT NULL DEFAULT '';
ALTER TABLE dough ADD COLUMN turns INTEGER NOT NULL DEFAULT 0 CHECK (turns >= 0);
ALTER TABLE dough ADD COLUMN turn_rest_min INTEGER NOT NULL DEFAULT 0 CHECK (turn_rest_min >= 0);
ALTER TABLE dough ADD COLUMN thinnest_mm REAL NOT NULL DEFAULT 2;
ALTER TABLE dough ADD COLUMN thickest_mm REAL NOT NULL DEFAULT 4;
ALTER TABLE dough ADD COLUMN keeps_cold_days INTEGER NOT NULL DEFAULT 3;
ALTER TABLE dough ADD COLUMN keeps_frozen_days INTEGER NOT NULL DEFAULT 60;

-- A top may be of more kinds than at first; the words are checked by the core.
ALTER TABLE product ADD COLUMN top_kind TEXT NOT NULL DEFAULT 'open';
UPDATE product SET top_kind = top;
ALTER TABLE product DROP COLUMN top;
ALTER TABLE product RENAME COLUMN top_kind TO top;
ALTER TABLE product ADD COLUMN filling_kind TEXT NOT NULL DEFAULT 'rawFruit';
ALTER TABLE product ADD COLUMN kept_share REAL NOT NULL DEFAULT 1 CHECK (kept_share > 0 AND kept_share <= 1);
ALTER TABLE product ADD COLUMN base_treatment TEXT NOT NULL DEFAULT 'plain';
ALTER TABLE product ADD COLUMN cooling TEXT NOT NULL DEFAULT 'fruit';
ALTER TABLE product ADD COLUMN lining TEXT NOT NULL DEFAULT 'onePiece';
ALTER TABLE product ADD COLUMN cut_out_cm REAL NOT NULL DEFAULT 0 CHECK (cut_out_cm >= 0);
ALTER TABLE product ADD COLUMN cut_outs INTEGER NOT NULL DEFAULT 0 CHECK (cut_outs >= 0);
ALTER TABLE product ADD COLUMN rerolls INTEGER NOT NULL DEFAULT 0 CHECK (rerolls BETWEEN 0 AND 2);

-- What a person should still look at in a recipe that was taken in from elsewhere; one thing a line.
ALTER TABLE product ADD COLUMN review TEXT NOT NULL DEFAULT '';

-- A topping is a part of its own beside filling and finish.
CREATE TABLE product_line_of_part (
  product_id TEXT NOT NULL REFERENCES product (id),
  part TEXT NOT NULL CHECK (part IN ('filling', 'topping', 'finish')),
  position INTEGER NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams >= 0),
  written TEXT NOT NULL DEFAULT '',
  PRIMARY KEY (product_id, part, position)
) STRICT;
INSERT INTO product_line_of_part (product_id, part, position, ingredient_id, preparation, grams, written)
  SELECT product_id, part, position, ingredient_id, preparation, grams, written FROM product_line;
DROP TABLE product_line;
ALTER TABLE product_line_of_part RENAME TO product_line;

-- Every version as it was written, for good; the tables above hold the one in use.
CREATE TABLE recipe_version (
  kind TEXT NOT NULL CHECK (kind IN ('dough', 'product')),
  id TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version >= 1),
  saved_unix INTEGER NOT NULL,
  written TEXT NOT NULL,
  PRIMARY KEY (kind, id, version)
) STRICT;
