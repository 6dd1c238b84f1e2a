-- Linings of panels, boards that are there to be cut from, and whether a replacement's boards are sawn.

CREATE TABLE lining (
    id           TEXT PRIMARY KEY,
    version      INTEGER NOT NULL,
    panel_id     TEXT NOT NULL REFERENCES panel (id),
    name         TEXT NOT NULL,
    outline      TEXT NOT NULL CHECK (json_valid(outline)),          -- PanelPoint[]
    sheet        TEXT NOT NULL CHECK (json_valid(sheet)),            -- NewSheet
    grain        TEXT NOT NULL,
    gap_mm       REAL NOT NULL,
    lies         TEXT NOT NULL,
    undersize_mm REAL NOT NULL,
    state        TEXT NOT NULL,
    notes        TEXT NOT NULL
) STRICT;
CREATE INDEX lining_by_panel ON lining (panel_id);

CREATE TABLE stock_board (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    material   TEXT NOT NULL,
    thick_mm   REAL NOT NULL,
    length_mm  REAL NOT NULL,
    width_mm   REAL NOT NULL,
    count      INTEGER NOT NULL,
    notes      TEXT NOT NULL
) STRICT;
CREATE INDEX stock_board_by_vehicle ON stock_board (vehicle_id);

ALTER TABLE replacement ADD COLUMN boards_cut INTEGER NOT NULL DEFAULT 0;
