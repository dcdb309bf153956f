-- What is made here keeps in more places than the one in which a plan keeps it; out of the freezer it may have to thaw.
CREATE TABLE preparation_kept_in (
  ingredient_id TEXT NOT NULL REFERENCES preparation (ingredient_id),
  place TEXT NOT NULL CHECK (place IN ('room', 'cold', 'frozen')),
  position INTEGER NOT NULL,
  least_min INTEGER NOT NULL CHECK (least_min >= 0),
  most_min INTEGER NOT NULL CHECK (most_min >= least_min AND most_min > 0),
  PRIMARY KEY (ingredient_id, place)
) STRICT;
ALTER TABLE preparation ADD COLUMN thaw_min INTEGER NOT NULL DEFAULT 0 CHECK (thaw_min >= 0);

-- A place is said once: where a plan keeps it is not said again among the others.
CREATE TRIGGER preparation_kept_where_planned BEFORE INSERT ON preparation_kept_in
WHEN EXISTS (SELECT 1 FROM preparation p WHERE p.ingredient_id = NEW.ingredient_id AND p.keeps_in = NEW.place)
BEGIN
  SELECT RAISE(ABORT, 'a plan keeps it there');
END;
