-- A pan that goes with the pie is bought for each pie, and only where it is used.
ALTER TABLE pan ADD COLUMN bought_as TEXT REFERENCES ingredient (id);
UPDATE pan SET bought_as = 'foil-pan' WHERE family = 'foil' COLLATE NOCASE AND EXISTS (SELECT 1 FROM ingredient WHERE id = 'foil-pan');
DELETE FROM product_packaging WHERE ingredient_id = 'foil-pan'
  AND EXISTS (SELECT 1 FROM product_size s JOIN pan p ON p.id = s.pan_id WHERE s.product_id = product_packaging.product_id AND p.bought_as IS NOT NULL);

-- What is counted by the pie in one size only.
CREATE TABLE product_size_packaging (
  product_id TEXT NOT NULL,
  pan_id TEXT NOT NULL,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  PRIMARY KEY (product_id, pan_id, ingredient_id),
  FOREIGN KEY (product_id, pan_id) REFERENCES product_size (product_id, pan_id)
) STRICT;

-- What a step does is its own property, no longer told by its name. Usual chains named these so until now.
ALTER TABLE product_step ADD COLUMN bakes TEXT;
ALTER TABLE product_step ADD COLUMN place TEXT NOT NULL DEFAULT 'shelf';
ALTER TABLE product_step ADD COLUMN heated_tray_min INTEGER NOT NULL DEFAULT 0 CHECK (heated_tray_min >= 0);
ALTER TABLE product_step ADD COLUMN weights_out_min INTEGER CHECK (weights_out_min >= 1);
ALTER TABLE product_step ADD COLUMN turned INTEGER NOT NULL DEFAULT 0 CHECK (turned IN (0, 1));
ALTER TABLE product_step ADD COLUMN seals INTEGER NOT NULL DEFAULT 0 CHECK (seals IN (0, 1));
UPDATE product_step SET bakes = CASE id WHEN 'blind' THEN 'shell' WHEN 'brown' THEN 'top' ELSE 'pie' END
  WHERE EXISTS (SELECT 1 FROM product_stage s WHERE s.product_id = product_step.product_id AND s.step_id = product_step.id);
UPDATE product_step SET seals = 1 WHERE id = 'seal';
UPDATE product_step SET place = 'floor' WHERE id = 'bake' AND EXISTS (SELECT 1 FROM product p WHERE p.id = product_id AND p.base_treatment = 'ovenFloor' COLLATE NOCASE);
UPDATE product_step SET heated_tray_min = 15 WHERE id = 'bake' AND EXISTS (SELECT 1 FROM product p WHERE p.id = product_id AND p.base_treatment = 'hotTray' COLLATE NOCASE);
UPDATE product_step SET weights_out_min = CASE (SELECT lower(p.base_treatment) FROM product p WHERE p.id = product_id) WHEN 'fullblind' THEN 25 ELSE 15 END
  WHERE id = 'blind' AND EXISTS (SELECT 1 FROM product_step w WHERE w.product_id = product_step.product_id AND w.id = 'weight')
    AND (SELECT sum(s.min_min) FROM product_stage s WHERE s.product_id = product_step.product_id AND s.step_id = product_step.id)
      >= CASE (SELECT lower(p.base_treatment) FROM product p WHERE p.id = product_id) WHEN 'fullblind' THEN 25 ELSE 15 END;

-- How a product cools is what its steps say; what leaves the cold needs an assessment, glass from the freezer a word.
ALTER TABLE product DROP COLUMN cooling;
ALTER TABLE product ADD COLUMN assessment TEXT NOT NULL DEFAULT '';
ALTER TABLE product ADD COLUMN glass_from_freezer INTEGER NOT NULL DEFAULT 0 CHECK (glass_from_freezer IN (0, 1));
ALTER TABLE product ADD COLUMN cut_outs_from_trim INTEGER NOT NULL DEFAULT 1 CHECK (cut_outs_from_trim IN (0, 1));

-- A turn takes hands; the cold after it takes none.
ALTER TABLE dough ADD COLUMN turn_min INTEGER NOT NULL DEFAULT 5 CHECK (turn_min >= 1);

-- Null leaves the figure that ships in force; a figure of 0, or no traces, clears it.
ALTER TABLE ingredient ADD COLUMN role_stated TEXT;
ALTER TABLE ingredient ADD COLUMN alcohol_stated REAL CHECK (alcohol_stated BETWEEN 0 AND 96);
ALTER TABLE ingredient ADD COLUMN unsafe_raw_stated INTEGER CHECK (unsafe_raw_stated IN (0, 1));
ALTER TABLE ingredient ADD COLUMN needs_control_stated INTEGER CHECK (needs_control_stated IN (0, 1));
ALTER TABLE ingredient ADD COLUMN traces_stated INTEGER NOT NULL DEFAULT 0 CHECK (traces_stated IN (0, 1));
UPDATE ingredient SET
  role_stated = CASE WHEN role <> 'other' COLLATE NOCASE THEN role END,
  alcohol_stated = CASE WHEN alcohol_percent > 0 THEN alcohol_percent END,
  unsafe_raw_stated = CASE WHEN unsafe_raw = 1 THEN 1 END,
  traces_stated = EXISTS (SELECT 1 FROM ingredient_may_contain m WHERE m.ingredient_id = ingredient.id);
ALTER TABLE ingredient DROP COLUMN role;
ALTER TABLE ingredient DROP COLUMN alcohol_percent;
ALTER TABLE ingredient DROP COLUMN unsafe_raw;

-- What this kitchen handles, and so may leave in traces anywhere: the bakery's own statement.
CREATE TABLE bakery_handles (
  allergen TEXT PRIMARY KEY
) STRICT;
ALTER TABLE bakery ADD COLUMN handles_stated INTEGER NOT NULL DEFAULT 0 CHECK (handles_stated IN (0, 1));
