-- A dough is made before it goes into pies like everything else that is made here: other things may be made of it. Each has
-- a row among the ingredients, by which lines take it; its name is the dough's.
ALTER TABLE ingredient ADD COLUMN dough_id TEXT REFERENCES dough (id);
CREATE UNIQUE INDEX ingredient_of_dough ON ingredient (dough_id) WHERE dough_id IS NOT NULL;
INSERT INTO ingredient (id, name, dough_id) SELECT 'dough:' || id, 'dough:' || id, id FROM dough;

-- What is made and taken by the piece says what one weighs.
ALTER TABLE preparation ADD COLUMN piece_g REAL CHECK (piece_g > 0);

-- Nothing is made of itself, whichever way round, doughs included.
CREATE VIEW made_of (id, part_id) AS
  SELECT ingredient_id, part_id FROM ingredient_line UNION ALL SELECT 'dough:' || dough_id, ingredient_id FROM dough_line;
DROP TRIGGER ingredient_made_of_itself;
CREATE TRIGGER ingredient_made_of_itself BEFORE INSERT ON ingredient_line
BEGIN
  SELECT RAISE(ABORT, 'an ingredient is never made of itself') WHERE NEW.ingredient_id IN (
    WITH RECURSIVE inside (id) AS (SELECT NEW.part_id UNION SELECT m.part_id FROM inside i JOIN made_of m ON m.id = i.id)
    SELECT id FROM inside);
END;
CREATE TRIGGER dough_made_of_itself BEFORE INSERT ON dough_line
BEGIN
  SELECT RAISE(ABORT, 'a dough is never made of itself') WHERE 'dough:' || NEW.dough_id IN (
    WITH RECURSIVE inside (id) AS (SELECT NEW.ingredient_id UNION SELECT m.part_id FROM inside i JOIN made_of m ON m.id = i.id)
    SELECT id FROM inside);
END;
