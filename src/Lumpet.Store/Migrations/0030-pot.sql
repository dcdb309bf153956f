-- Litres of the largest pot; null where nobody has said.
ALTER TABLE bakery ADD COLUMN pot_l INTEGER CHECK (pot_l BETWEEN 1 AND 1000);
