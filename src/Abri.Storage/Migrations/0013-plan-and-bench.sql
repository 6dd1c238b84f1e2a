-- What somebody wrote down to do, and the plan as it was last made.

CREATE TABLE own_task (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    minutes    REAL NOT NULL,
    people     INTEGER NOT NULL,
    place      TEXT NOT NULL,
    dry        INTEGER NOT NULL,
    wind_ms    REAL,
    not_before TEXT,
    until      TEXT,
    done       INTEGER NOT NULL
) STRICT;
CREATE INDEX own_task_by_vehicle ON own_task (vehicle_id);

CREATE TABLE plan (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL UNIQUE REFERENCES vehicle (id),  -- the last one only
    made_at    TEXT NOT NULL,
    verdict    TEXT NOT NULL,
    proven     INTEGER NOT NULL,
    tasks      TEXT NOT NULL CHECK (json_valid(tasks)),       -- KeptTask[]
    unplanned  TEXT NOT NULL CHECK (json_valid(unplanned)),   -- KeptUnplanned[]
    warnings   TEXT NOT NULL CHECK (json_valid(warnings)),    -- string[]
    marks      TEXT NOT NULL CHECK (json_valid(marks)),       -- TaskMark[]
    overruled  TEXT NOT NULL CHECK (json_valid(overruled)),   -- Overruled[]
    moves      TEXT NOT NULL CHECK (json_valid(moves))        -- TaskMove[]
) STRICT;

-- Steps that are done; their job may be gone.
CREATE TABLE step_done (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    job_kind   TEXT NOT NULL,
    job_id     TEXT NOT NULL,
    key        TEXT NOT NULL,
    title      TEXT NOT NULL,
    shell      TEXT NOT NULL,
    at         TEXT NOT NULL,
    counted    TEXT NOT NULL CHECK (json_valid(counted)),     -- Minutes
    report     TEXT NOT NULL CHECK (json_valid(report)),      -- StepReport
    weather    TEXT CHECK (json_valid(weather)),              -- WeatherHour
    UNIQUE (job_kind, job_id, key)                            -- a step is done once
) STRICT;
CREATE INDEX step_done_by_vehicle ON step_done (vehicle_id);

-- Who made a change, where the device said so.
ALTER TABLE change ADD COLUMN by TEXT;

-- What is looked after again and again: that it was, and what somebody wrote down.
CREATE TABLE upkeep_done (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    key        TEXT NOT NULL,                                 -- its thing may be gone
    what       TEXT NOT NULL,
    done_on    TEXT NOT NULL,
    by         TEXT NOT NULL,
    notes      TEXT NOT NULL,
    UNIQUE (vehicle_id, key, done_on)
) STRICT;

CREATE TABLE own_upkeep (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    how        TEXT NOT NULL,
    first_on   TEXT NOT NULL,
    months     INTEGER
) STRICT;
CREATE INDEX own_upkeep_by_vehicle ON own_upkeep (vehicle_id);

-- What was learned at a step, told on every vehicle; where it was learned may be gone.
CREATE TABLE lesson (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    kind       TEXT NOT NULL,
    key        TEXT NOT NULL,
    job_kind   TEXT NOT NULL,
    job_id     TEXT NOT NULL,
    of_what    TEXT NOT NULL,
    learned_on TEXT NOT NULL,
    what       TEXT NOT NULL,
    prevention TEXT NOT NULL
) STRICT;
