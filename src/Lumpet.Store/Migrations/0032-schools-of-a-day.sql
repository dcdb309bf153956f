-- A product that is made by another school on one day: lined ahead and frozen, part-baked, by one heat. What its recipe does not offer
-- any more changes nothing.
CREATE TABLE day_product_school (
    day        TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-1][0-9]-[0-3][0-9]'),
    product_id TEXT NOT NULL REFERENCES product (id) ON DELETE CASCADE,
    place      TEXT NOT NULL CHECK (place IN ('rest', 'base', 'tray', 'heat')),
    school     TEXT NOT NULL CHECK (length(school) BETWEEN 1 AND 60),
    PRIMARY KEY (day, product_id, place)
) STRICT, WITHOUT ROWID;
CREATE INDEX day_product_school_by_product ON day_product_school (product_id);
