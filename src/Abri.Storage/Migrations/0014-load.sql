-- What a vehicle carries, and what it weighed.

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
