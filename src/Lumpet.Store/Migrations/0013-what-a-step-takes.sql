-- Which step takes what is made first, where a person says so; otherwise its part of the recipe tells.
CREATE TABLE product_step_takes (
  product_id TEXT NOT NULL,
  step_id TEXT NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  PRIMARY KEY (product_id, step_id, ingredient_id),
  FOREIGN KEY (product_id, step_id) REFERENCES product_step (product_id, id)
) STRICT;
