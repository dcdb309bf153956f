-- Places on an oven's floor are beside its shelves: what stands there takes none. Until now they were some of the shelves,
-- so that many fewer are shelves now; where all of them were, every shelf is a floor, which is what none said means.
ALTER TABLE oven ADD COLUMN floor_beside INTEGER CHECK (floor_beside BETWEEN 0 AND 60);
UPDATE oven SET floor_beside = floor_places WHERE floor_places < shelves;
UPDATE oven SET floor_places = NULL, shelves = shelves - coalesce(floor_beside, 0);
ALTER TABLE oven DROP COLUMN floor_places;
ALTER TABLE oven RENAME COLUMN floor_beside TO floor_places;
