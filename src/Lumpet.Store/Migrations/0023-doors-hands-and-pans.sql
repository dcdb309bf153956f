-- What an open door costs, for how long a tray keeps the hands, and how many pans of a size there are.
ALTER TABLE bakery ADD COLUMN open_c_per_tray INTEGER NOT NULL DEFAULT 0 CHECK (open_c_per_tray BETWEEN 0 AND 40);
ALTER TABLE oven ADD COLUMN action_min INTEGER NOT NULL DEFAULT 0 CHECK (action_min BETWEEN 0 AND 10);
ALTER TABLE pan ADD COLUMN owned INTEGER CHECK (owned BETWEEN 1 AND 10000);
