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
    UNIQUE (job_kind, job_id, key)                            -- a step is done once
) STRICT;
CREATE INDEX step_done_by_vehicle ON step_done (vehicle_id);
