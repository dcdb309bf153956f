-- How many people work in a shift; null where nobody has said, and hands limit nothing.
ALTER TABLE shift ADD COLUMN people INTEGER CHECK (people BETWEEN 1 AND 60);
