-- Work of the plan that is followed of which someone says that it takes longer than it was to.
CREATE TABLE takes_longer (
  day TEXT NOT NULL,
  number INTEGER NOT NULL,
  task_id TEXT NOT NULL,
  minutes INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 240),
  PRIMARY KEY (day, number, task_id),
  FOREIGN KEY (day, number) REFERENCES published_plan (day, number) ON DELETE CASCADE
) STRICT;

-- What took longer of the plan before, when it was gone on from.
ALTER TABLE published_plan ADD COLUMN from_longer TEXT NOT NULL DEFAULT '{}';
