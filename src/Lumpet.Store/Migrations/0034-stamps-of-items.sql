-- Counts the changes of each thing that recipes are read from by itself, so that a plan is made anew for what it takes and for nothing else.
-- A number is the whole library's at the change: of one thing no number comes twice, even where it is removed and comes back.
CREATE TABLE item_stamp (
  kind TEXT NOT NULL CHECK (kind IN ('product', 'dough', 'ingredient', 'pan', 'bakery')),
  id TEXT NOT NULL,
  number INTEGER NOT NULL,
  PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;
INSERT INTO item_stamp (kind, id, number) SELECT 'product', id, 0 FROM product;
INSERT INTO item_stamp (kind, id, number) SELECT 'dough', id, 0 FROM dough;
INSERT INTO item_stamp (kind, id, number) SELECT 'ingredient', id, 0 FROM ingredient;
INSERT INTO item_stamp (kind, id, number) SELECT 'pan', id, 0 FROM pan;
INSERT INTO item_stamp (kind, id, number) SELECT 'bakery', '', 0 FROM bakery;
CREATE TRIGGER product_added_stamp AFTER INSERT ON product BEGIN DELETE FROM item_stamp WHERE kind = 'product' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'product', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER product_changed_stamp AFTER UPDATE ON product BEGIN DELETE FROM item_stamp WHERE kind = 'product' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'product', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER product_removed_stamp AFTER DELETE ON product BEGIN DELETE FROM item_stamp WHERE kind = 'product' AND id = OLD.id; END;
CREATE TRIGGER dough_added_stamp AFTER INSERT ON dough BEGIN DELETE FROM item_stamp WHERE kind = 'dough' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'dough', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER dough_changed_stamp AFTER UPDATE ON dough BEGIN DELETE FROM item_stamp WHERE kind = 'dough' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'dough', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER dough_removed_stamp AFTER DELETE ON dough BEGIN DELETE FROM item_stamp WHERE kind = 'dough' AND id = OLD.id; END;
CREATE TRIGGER ingredient_added_stamp AFTER INSERT ON ingredient BEGIN DELETE FROM item_stamp WHERE kind = 'ingredient' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'ingredient', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER ingredient_changed_stamp AFTER UPDATE ON ingredient BEGIN DELETE FROM item_stamp WHERE kind = 'ingredient' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'ingredient', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER ingredient_removed_stamp AFTER DELETE ON ingredient BEGIN DELETE FROM item_stamp WHERE kind = 'ingredient' AND id = OLD.id; END;
CREATE TRIGGER pan_added_stamp AFTER INSERT ON pan BEGIN DELETE FROM item_stamp WHERE kind = 'pan' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'pan', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER pan_changed_stamp AFTER UPDATE ON pan BEGIN DELETE FROM item_stamp WHERE kind = 'pan' AND id = NEW.id; INSERT INTO item_stamp (kind, id, number) SELECT 'pan', NEW.id, number FROM library_stamp; END;
CREATE TRIGGER pan_removed_stamp AFTER DELETE ON pan BEGIN DELETE FROM item_stamp WHERE kind = 'pan' AND id = OLD.id; END;
CREATE TRIGGER bakery_described_stamp AFTER INSERT ON bakery BEGIN DELETE FROM item_stamp WHERE kind = 'bakery' AND id = ''; INSERT INTO item_stamp (kind, id, number) SELECT 'bakery', '', number FROM library_stamp; END;
