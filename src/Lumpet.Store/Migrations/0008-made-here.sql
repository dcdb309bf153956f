-- An ingredient that is made here: of what, and what of it is left.
ALTER TABLE ingredient ADD COLUMN kept_share REAL NOT NULL DEFAULT 1 CHECK (kept_share > 0 AND kept_share <= 1);

CREATE TABLE ingredient_line (
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  position INTEGER NOT NULL,
  part_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  grams REAL NOT NULL CHECK (grams > 0),
  written TEXT NOT NULL,
  PRIMARY KEY (ingredient_id, position)
) STRICT;
