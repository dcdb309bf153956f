-- What the manager arranges for one day, and what an hour of a hot oven costs.
ALTER TABLE oven ADD COLUMN hour_price TEXT CHECK (hour_price GLOB '[0-9]*' AND CAST(hour_price AS REAL) BETWEEN 0 AND 10000);

CREATE TABLE day_school (
  day TEXT PRIMARY KEY CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  school TEXT NOT NULL
) STRICT;

-- Ovens are written anew when the bakery is described anew: those that are gone take their rows along before that.
CREATE TABLE day_oven_out (
  day TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  oven_id TEXT NOT NULL REFERENCES oven (id) DEFERRABLE INITIALLY DEFERRED,
  PRIMARY KEY (day, oven_id)
) STRICT;

CREATE TABLE day_longer_bake (
  day TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
  minutes INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 60),
  PRIMARY KEY (day, product_id)
) STRICT;
