-- Forecasts, people with their hours, how careful one is before a cut, and what was looked at before one.

CREATE TABLE forecast (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL UNIQUE REFERENCES vehicle (id),  -- the last one only
    source     TEXT NOT NULL,
    issued_at  TEXT NOT NULL,
    from_at    TEXT NOT NULL,
    hours      TEXT NOT NULL CHECK (json_valid(hours)),       -- WeatherHour[]
    days       TEXT CHECK (json_valid(days)),                 -- DayWeather[]
    members    TEXT CHECK (json_valid(members)),              -- one text of 0 and 1 a course
    service    TEXT CHECK (json_valid(service))               -- SimulatedService
) STRICT;

CREATE TABLE person (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    hours      TEXT NOT NULL CHECK (json_valid(hours))        -- WorkDay[]
) STRICT;
CREATE INDEX person_by_vehicle ON person (vehicle_id);

ALTER TABLE vehicle ADD COLUMN care TEXT CHECK (json_valid(care));    -- CutCare
ALTER TABLE opening ADD COLUMN ready TEXT CHECK (json_valid(ready));  -- ReadyItem[]
ALTER TABLE repair ADD COLUMN ready TEXT CHECK (json_valid(ready));   -- ReadyItem[]
