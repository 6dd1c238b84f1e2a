-- Old windows that come out, and doors with the readings of their gaps.

ALTER TABLE repair ADD COLUMN old_window TEXT CHECK (json_valid(old_window));  -- OldWindow
ALTER TABLE repair ADD COLUMN door       TEXT CHECK (json_valid(door));        -- DoorFit
