-- What is bought, what preparing it leaves, and what it costs.
CREATE TABLE ingredient (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE ingredient_allergen (
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  allergen TEXT NOT NULL,
  PRIMARY KEY (ingredient_id, allergen)
) STRICT;

CREATE TABLE ingredient_yield (
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  preparation TEXT NOT NULL,
  share REAL NOT NULL CHECK (share > 0 AND share <= 1),
  source TEXT NOT NULL,
  PRIMARY KEY (ingredient_id, preparation)
) STRICT;

-- Rows are added, never changed: an old plan keeps its prices. Money is decimal text.
CREATE TABLE price (
  id INTEGER PRIMARY KEY,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  supplier TEXT NOT NULL,
  pack_amount TEXT NOT NULL,
  pack_unit TEXT NOT NULL CHECK (pack_unit IN ('g', 'piece')),
  paid TEXT NOT NULL,
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  valid_from TEXT NOT NULL
) STRICT;
