-- What an hour of one pair of hands costs, a decimal as text; null where hands are not counted.
ALTER TABLE bakery ADD COLUMN hands_hour_price TEXT;
