-- What a bakery sets over the figures that ship: null and absent rows leave those in force.
ALTER TABLE ingredient ADD COLUMN other_names TEXT NOT NULL DEFAULT '';
ALTER TABLE ingredient ADD COLUMN role TEXT NOT NULL DEFAULT 'other';
ALTER TABLE ingredient ADD COLUMN density REAL CHECK (density > 0);
ALTER TABLE ingredient ADD COLUMN density_source TEXT;
ALTER TABLE ingredient ADD COLUMN alcohol_percent REAL NOT NULL DEFAULT 0 CHECK (alcohol_percent BETWEEN 0 AND 96);
ALTER TABLE ingredient ADD COLUMN unsafe_raw INTEGER NOT NULL DEFAULT 0 CHECK (unsafe_raw IN (0, 1));
ALTER TABLE ingredient ADD COLUMN weighed_to REAL CHECK (weighed_to > 0);

CREATE TABLE ingredient_piece (
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  piece TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams > 0),
  source TEXT NOT NULL,
  PRIMARY KEY (ingredient_id, piece)
) STRICT;

CREATE TABLE ingredient_may_contain (
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  allergen TEXT NOT NULL,
  PRIMARY KEY (ingredient_id, allergen)
) STRICT;

-- The amount as a person wrote it, beside the grams it was read as.
ALTER TABLE dough_line ADD COLUMN written TEXT NOT NULL DEFAULT '';
ALTER TABLE product_line ADD COLUMN written TEXT NOT NULL DEFAULT '';

-- Which cup and spoons a recipe means that names no country.
ALTER TABLE bakery ADD COLUMN cups TEXT NOT NULL DEFAULT 'unitedStates' CHECK (cups IN ('unitedStates', 'metric', 'australian'));
