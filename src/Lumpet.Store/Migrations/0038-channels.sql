-- Ways in which pies are sold, and what is to be earned in each. Money and shares are decimal text.
CREATE TABLE channel (
  id TEXT PRIMARY KEY,
  position INTEGER NOT NULL,
  name TEXT NOT NULL UNIQUE COLLATE NOCASE,
  food_cost_share TEXT NOT NULL CHECK (CAST(food_cost_share AS REAL) > 0 AND CAST(food_cost_share AS REAL) < 1),
  tax_share TEXT NOT NULL CHECK (CAST(tax_share AS REAL) BETWEEN 0 AND 1),
  shows_tax INTEGER NOT NULL CHECK (shows_tax IN (0, 1)),
  fee_share TEXT NOT NULL CHECK (CAST(fee_share AS REAL) >= 0 AND CAST(fee_share AS REAL) < 1),
  step TEXT NOT NULL CHECK (CAST(step AS REAL) > 0),
  under TEXT NOT NULL CHECK (CAST(under AS REAL) >= 0)
) STRICT, WITHOUT ROWID;

-- They are stated together: one version for all of them.
CREATE TABLE channels_stated (
  only INTEGER PRIMARY KEY CHECK (only = 1),
  row_version INTEGER NOT NULL
) STRICT;
INSERT INTO channels_stated (only, row_version) VALUES (1, 1);
