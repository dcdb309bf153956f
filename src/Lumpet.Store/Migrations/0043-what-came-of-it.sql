-- What came of an entry is asked for at every step of a trace: it is found without reading all that went in.
CREATE INDEX stock_movement_that_came ON stock_movement (entry_id, lot_id) WHERE amount > 0;
