-- Boiling down takes water only, and is told apart from what stays in the pot.
ALTER TABLE product_layer ADD COLUMN reduced_to REAL NOT NULL DEFAULT 1 CHECK (reduced_to > 0 AND reduced_to <= 1);
ALTER TABLE ingredient ADD COLUMN reduced_to REAL NOT NULL DEFAULT 1 CHECK (reduced_to > 0 AND reduced_to <= 1);
ALTER TABLE ingredient ADD COLUMN water_percent REAL CHECK (water_percent BETWEEN 0 AND 100);

-- Batches may take whole eggs, tins and the like of one of their ingredients.
ALTER TABLE preparation ADD COLUMN whole_of TEXT REFERENCES ingredient (id);
