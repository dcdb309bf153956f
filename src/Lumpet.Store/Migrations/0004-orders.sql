-- A pick-up is kept as local time, zone and instant, so that a change of the zone's rules can be seen.
CREATE TABLE order_line (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product (id),
  pan_id TEXT NOT NULL REFERENCES pan (id),
  count INTEGER NOT NULL CHECK (count BETWEEN 1 AND 2000),
  pick_up_local TEXT NOT NULL,
  pick_up_zone TEXT NOT NULL,
  pick_up_unix INTEGER NOT NULL,
  for_whom TEXT NOT NULL,
  -- A request that was sent twice carries the same key and adds one order.
  idempotency_key TEXT UNIQUE,
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE INDEX order_line_by_pick_up ON order_line (pick_up_local);
