-- What someone typed as new carries no stated allergens until someone states them.
ALTER TABLE ingredient ADD COLUMN allergens_stated INTEGER NOT NULL DEFAULT 1 CHECK (allergens_stated IN (0, 1));
