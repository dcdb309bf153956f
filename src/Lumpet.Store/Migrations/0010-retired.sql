-- What is retired is kept for what refers to it, and offered no more.
ALTER TABLE product ADD COLUMN retired INTEGER NOT NULL DEFAULT 0 CHECK (retired IN (0, 1));
ALTER TABLE dough ADD COLUMN retired INTEGER NOT NULL DEFAULT 0 CHECK (retired IN (0, 1));
ALTER TABLE ingredient ADD COLUMN retired INTEGER NOT NULL DEFAULT 0 CHECK (retired IN (0, 1));
ALTER TABLE pan ADD COLUMN retired INTEGER NOT NULL DEFAULT 0 CHECK (retired IN (0, 1));

-- Words are written alike everywhere: small at the start.
UPDATE pan SET family = lower(substr(family, 1, 1)) || substr(family, 2), material = lower(substr(material, 1, 1)) || substr(material, 2);
UPDATE dough SET family = lower(substr(family, 1, 1)) || substr(family, 2);
UPDATE product SET top = lower(substr(top, 1, 1)) || substr(top, 2), filling_kind = lower(substr(filling_kind, 1, 1)) || substr(filling_kind, 2),
  base_treatment = lower(substr(base_treatment, 1, 1)) || substr(base_treatment, 2), lining = lower(substr(lining, 1, 1)) || substr(lining, 2);
UPDATE ingredient SET role_stated = lower(substr(role_stated, 1, 1)) || substr(role_stated, 2) WHERE role_stated IS NOT NULL;
