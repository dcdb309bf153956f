-- Labels are noted before the printer is asked: what is on paper is on the books, whatever happens in between. What the printer then refused is said here.
CREATE TABLE label_not_printed (
  print_id INTEGER PRIMARY KEY REFERENCES label_print (id),
  why TEXT NOT NULL CHECK (length(why) > 0)
) STRICT;
CREATE TRIGGER label_not_printed_is_kept BEFORE UPDATE ON label_not_printed BEGIN SELECT RAISE(ABORT, 'What was not printed stays so.'); END;
CREATE TRIGGER label_not_printed_stays BEFORE DELETE ON label_not_printed BEGIN SELECT RAISE(ABORT, 'What was not printed stays on the books.'); END;
