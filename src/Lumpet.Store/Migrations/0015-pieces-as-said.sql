-- Pieces of dough as bakers say them: by their share of the dough, from a sheet of given sides, with or without the rim.
ALTER TABLE product ADD COLUMN dough_per_pie_g REAL CHECK (dough_per_pie_g > 0);
ALTER TABLE product ADD COLUMN base_share REAL CHECK (base_share > 0 AND base_share <= 1 AND (base_share IS NULL) = (dough_per_pie_g IS NULL));
ALTER TABLE product ADD COLUMN share_gives TEXT NOT NULL DEFAULT 'thickness' CHECK (share_gives IN ('thickness', 'strips'));
ALTER TABLE product ADD COLUMN strip_sheet_length_cm REAL CHECK (strip_sheet_length_cm > 0);
ALTER TABLE product ADD COLUMN strip_sheet_width_cm REAL CHECK (strip_sheet_width_cm > 0 AND (strip_sheet_width_cm IS NULL) = (strip_sheet_length_cm IS NULL));
ALTER TABLE product ADD COLUMN strip_sheet_strips INTEGER CHECK (strip_sheet_strips >= 2 AND (strip_sheet_strips IS NULL) = (strip_sheet_length_cm IS NULL));
ALTER TABLE product ADD COLUMN sheet_length_cm REAL NOT NULL DEFAULT 60 CHECK (sheet_length_cm > 0);
ALTER TABLE product ADD COLUMN sheet_width_cm REAL NOT NULL DEFAULT 40 CHECK (sheet_width_cm > 0);
ALTER TABLE product ADD COLUMN overhang_from_wall INTEGER NOT NULL DEFAULT 0 CHECK (overhang_from_wall IN (0, 1));
