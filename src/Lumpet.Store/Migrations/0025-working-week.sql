-- When people are there, by the days of the week and by dates that differ, in place of shifts relative to a day of pick-ups. A
-- shift of a week begins on the days in its bits, Monday the lowest; one of a date has no days.
CREATE TABLE special_date (
  date TEXT PRIMARY KEY CHECK (date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  words TEXT NOT NULL
) STRICT;

CREATE TABLE work_shift (
  id INTEGER PRIMARY KEY,
  date TEXT REFERENCES special_date (date) ON DELETE CASCADE,
  weekdays INTEGER CHECK (weekdays BETWEEN 1 AND 127),
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  start_minute INTEGER NOT NULL CHECK (start_minute BETWEEN 0 AND 1439),
  length_min INTEGER NOT NULL CHECK (length_min BETWEEN 1 AND 1440),
  people INTEGER CHECK (people BETWEEN 1 AND 60),
  CHECK ((date IS NULL) = (weekdays IS NOT NULL))
) STRICT;

CREATE TABLE shift_break (
  shift_id INTEGER NOT NULL REFERENCES work_shift (id) ON DELETE CASCADE,
  after_min INTEGER NOT NULL CHECK (after_min BETWEEN 0 AND 1439),
  length_min INTEGER NOT NULL CHECK (length_min BETWEEN 1 AND 240),
  PRIMARY KEY (shift_id, after_min)
) STRICT;

-- What was worked for every day of pick-ups is worked on every day of the week; two of one name are told apart.
INSERT INTO work_shift (weekdays, position, name, start_minute, length_min, people)
SELECT 127, row_number() OVER (ORDER BY start_minute, day_offset) - 1,
  name || CASE WHEN (SELECT count(*) FROM shift other WHERE lower(other.name) = lower(shift.name)) > 1 THEN ' ' || row_number() OVER (PARTITION BY lower(name) ORDER BY day_offset, start_minute) ELSE '' END,
  start_minute, length_min, people
FROM shift;
ALTER TABLE bakery ADD COLUMN days_ahead INTEGER NOT NULL DEFAULT 1 CHECK (days_ahead BETWEEN 0 AND 3);
UPDATE bakery SET days_ahead = coalesce((SELECT -min(day_offset) FROM shift), 1);
DROP TABLE shift;
