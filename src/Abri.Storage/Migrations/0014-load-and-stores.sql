-- What a vehicle carries, what it weighed, and what is there to work with.

CREATE TABLE load_item (
    id             TEXT PRIMARY KEY,
    version        INTEGER NOT NULL,
    vehicle_id     TEXT NOT NULL REFERENCES vehicle (id),
    name           TEXT NOT NULL,
    kind           TEXT NOT NULL,
    kg             REAL NOT NULL,
    place          TEXT NOT NULL CHECK (json_valid(place)),   -- LoadPlace
    travel_percent REAL NOT NULL,
    taken_out      INTEGER NOT NULL,
    is_in          INTEGER NOT NULL,
    notes          TEXT NOT NULL
) STRICT;
CREATE INDEX load_item_by_vehicle ON load_item (vehicle_id);

CREATE TABLE weighing (
    id             TEXT PRIMARY KEY,
    version        INTEGER NOT NULL,
    vehicle_id     TEXT NOT NULL REFERENCES vehicle (id),
    weighed_on     TEXT NOT NULL,
    state          TEXT NOT NULL,
    reading        TEXT NOT NULL CHECK (json_valid(reading)), -- WeighbridgeReading
    aboard         TEXT NOT NULL CHECK (json_valid(aboard)),  -- AxleShares
    notes          TEXT NOT NULL
) STRICT;
CREATE INDEX weighing_by_vehicle ON weighing (vehicle_id);

CREATE TABLE stock_item (
    id          TEXT PRIMARY KEY,
    version     INTEGER NOT NULL,
    vehicle_id  TEXT NOT NULL REFERENCES vehicle (id),
    material_id TEXT NOT NULL,                                -- of the catalogue, or of work that is gone
    name        TEXT NOT NULL,
    kind        TEXT NOT NULL,
    unit        TEXT NOT NULL,
    pack        REAL,
    amount      REAL NOT NULL,
    place       TEXT NOT NULL,
    bought_on   TEXT,
    expires_on  TEXT,
    opened_on   TEXT,
    batch       TEXT NOT NULL,
    notes       TEXT NOT NULL
) STRICT;
CREATE INDEX stock_item_by_vehicle ON stock_item (vehicle_id);

CREATE TABLE borrowed_tool (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    lender     TEXT NOT NULL,
    until_on   TEXT NOT NULL,
    is_back    INTEGER NOT NULL,
    notes      TEXT NOT NULL
) STRICT;
CREATE INDEX borrowed_tool_by_vehicle ON borrowed_tool (vehicle_id);
