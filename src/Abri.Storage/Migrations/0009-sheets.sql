-- Sheets and offcuts that are there to be cut from, and whether the blank of a repair is cut.

CREATE TABLE sheet (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    metal      TEXT NOT NULL,
    thick_mm   REAL NOT NULL,
    outline    TEXT NOT NULL CHECK (json_valid(outline)),  -- PanelPoint[]
    notes      TEXT NOT NULL
) STRICT;
CREATE INDEX sheet_by_vehicle ON sheet (vehicle_id);

ALTER TABLE repair ADD COLUMN blank_cut INTEGER NOT NULL DEFAULT 0;
