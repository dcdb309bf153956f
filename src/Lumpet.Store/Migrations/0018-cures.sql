-- What is done where a sensory test fails.
ALTER TABLE product_step ADD COLUMN cure TEXT NOT NULL DEFAULT '';
ALTER TABLE preparation_step ADD COLUMN cure TEXT NOT NULL DEFAULT '';
ALTER TABLE dough ADD COLUMN cure TEXT NOT NULL DEFAULT '';
