-- How much room the kitchen has besides its ovens; what is null nobody has counted.
ALTER TABLE bakery ADD COLUMN bench_places INTEGER CHECK (bench_places BETWEEN 1 AND 60);
ALTER TABLE bakery ADD COLUMN burners INTEGER CHECK (burners BETWEEN 1 AND 60);
ALTER TABLE bakery ADD COLUMN rack_trays INTEGER CHECK (rack_trays BETWEEN 1 AND 5000);
ALTER TABLE bakery ADD COLUMN fridge_trays INTEGER CHECK (fridge_trays BETWEEN 1 AND 5000);
ALTER TABLE bakery ADD COLUMN fridge_kg INTEGER CHECK (fridge_kg BETWEEN 1 AND 20000);
ALTER TABLE bakery ADD COLUMN freezer_trays INTEGER CHECK (freezer_trays BETWEEN 1 AND 5000);
ALTER TABLE bakery ADD COLUMN freezer_kg INTEGER CHECK (freezer_kg BETWEEN 1 AND 20000);
