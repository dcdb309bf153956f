-- Prices of several suppliers, in packs of any unit, that are added and never changed; and from whom what is usually bought.
CREATE TABLE supplier (
  name TEXT PRIMARY KEY COLLATE NOCASE CHECK (length(name) BETWEEN 1 AND 80),
  -- Which column of this supplier's lists says what, as JSON, and the sign that parts its decimals; null while nobody has said.
  list_columns TEXT,
  decimal_sign TEXT CHECK (decimal_sign IN ('.', ','))
) STRICT, WITHOUT ROWID;
INSERT OR IGNORE INTO supplier (name) SELECT supplier FROM price ORDER BY id;

CREATE TABLE price_of_pack (
  id INTEGER PRIMARY KEY,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  supplier TEXT NOT NULL COLLATE NOCASE REFERENCES supplier (name),
  pack_amount TEXT NOT NULL CHECK (CAST(pack_amount AS REAL) > 0),
  pack_unit TEXT NOT NULL CHECK (pack_unit IN ('g', 'piece', 'ml')),
  pack_said TEXT NOT NULL DEFAULT '',
  paid TEXT NOT NULL CHECK (paid GLOB '[0-9]*'),
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  valid_from TEXT NOT NULL CHECK (valid_from GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  origin TEXT NOT NULL DEFAULT 'typed' CHECK (origin IN ('typed', 'list', 'feed'))
) STRICT;
INSERT INTO price_of_pack (id, ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from)
  SELECT p.id, p.ingredient_id, (SELECT name FROM supplier s WHERE s.name = p.supplier), p.pack_amount, p.pack_unit, p.paid, p.currency, p.valid_from FROM price p;
DROP TABLE price;
ALTER TABLE price_of_pack RENAME TO price;
CREATE INDEX price_of_ingredient ON price (ingredient_id, valid_from);
CREATE INDEX price_of_supplier ON price (supplier);

CREATE TABLE usual_supplier (
  id INTEGER PRIMARY KEY,
  ingredient_id TEXT NOT NULL REFERENCES ingredient (id),
  supplier TEXT NOT NULL COLLATE NOCASE REFERENCES supplier (name),
  valid_from TEXT NOT NULL CHECK (valid_from GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]')
) STRICT;
CREATE INDEX usual_supplier_of_ingredient ON usual_supplier (ingredient_id, valid_from);
-- Until now the price that came into force last held, whoever asked it: so it was bought there from that day on.
INSERT INTO usual_supplier (ingredient_id, supplier, valid_from)
  SELECT ingredient_id, supplier, valid_from FROM price ORDER BY valid_from, id;

-- What a supplier calls an ingredient; null for an article that the bakery passes over.
CREATE TABLE supplier_article (
  supplier TEXT NOT NULL COLLATE NOCASE REFERENCES supplier (name),
  article TEXT NOT NULL CHECK (length(article) BETWEEN 1 AND 120),
  ingredient_id TEXT REFERENCES ingredient (id),
  PRIMARY KEY (supplier, article)
) STRICT, WITHOUT ROWID;
CREATE INDEX supplier_article_of_ingredient ON supplier_article (ingredient_id);

-- Ledgers only grow: what was known once stays known, and is corrected by a row that comes after it.
CREATE TRIGGER price_is_kept BEFORE UPDATE ON price BEGIN SELECT RAISE(ABORT, 'A price is corrected by another row.'); END;
CREATE TRIGGER price_stays BEFORE DELETE ON price BEGIN SELECT RAISE(ABORT, 'A price is corrected by another row.'); END;
CREATE TRIGGER usual_supplier_is_kept BEFORE UPDATE ON usual_supplier BEGIN SELECT RAISE(ABORT, 'Who was the usual supplier is corrected by another row.'); END;
CREATE TRIGGER usual_supplier_stays BEFORE DELETE ON usual_supplier BEGIN SELECT RAISE(ABORT, 'Who was the usual supplier is corrected by another row.'); END;
