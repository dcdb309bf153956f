-- Plans that a crew works by. What they have begun by a minute counts as done when its time has passed, unless someone says otherwise;
-- a plan that was made after some of it had begun names the one that it goes on from, and when.
CREATE TABLE published_plan (
  day TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  number INTEGER NOT NULL CHECK (number >= 1),
  published_unix INTEGER NOT NULL,
  -- Where its clock begins.
  start_unix INTEGER NOT NULL,
  fingerprint TEXT NOT NULL,
  given TEXT NOT NULL,
  -- The plan before, when it was gone on from, and what of it was not done then.
  from_number INTEGER,
  from_unix INTEGER,
  from_not_done TEXT NOT NULL,
  work TEXT NOT NULL,
  PRIMARY KEY (day, number),
  FOREIGN KEY (day, from_number) REFERENCES published_plan (day, number),
  CHECK ((from_number IS NULL) = (from_unix IS NULL) AND (from_number IS NULL OR from_number < number))
) STRICT;

-- Work of the plan that is followed of which someone says that it is not done.
CREATE TABLE not_done (
  day TEXT NOT NULL,
  number INTEGER NOT NULL,
  task_id TEXT NOT NULL,
  PRIMARY KEY (day, number, task_id),
  FOREIGN KEY (day, number) REFERENCES published_plan (day, number) ON DELETE CASCADE
) STRICT;
