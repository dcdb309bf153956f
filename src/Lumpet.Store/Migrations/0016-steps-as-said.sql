-- How a step follows another: after it, while it bakes, on a day after it, or as late as the pick-up allows.
ALTER TABLE product_link ADD COLUMN kind TEXT NOT NULL DEFAULT 'after' CHECK (kind IN ('after', 'during', 'dayBefore', 'atPickUp'));

-- Temperatures as the recipe gives them, kept as written beside what they come to.
ALTER TABLE product_stage ADD COLUMN written TEXT NOT NULL DEFAULT '';
ALTER TABLE preparation_stage ADD COLUMN written TEXT NOT NULL DEFAULT '';

-- How many trays may stand on the floor of an oven at a time; none said where every shelf is a floor.
ALTER TABLE oven ADD COLUMN floor_places INTEGER CHECK (floor_places BETWEEN 0 AND shelves);
