-- The vehicle, its roof, the catalogue of fittings, the openings, and the history of changes.
-- Geometry is kept as JSON; its shape is that of the Core record named beside it.

CREATE TABLE vehicle (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL CHECK (version > 0),
    name             TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind             TEXT NOT NULL CHECK (kind IN ('panelVan', 'bus', 'boxTrailer', 'caravanBody')),
    year             INTEGER CHECK (year BETWEEN 1900 AND 2100),
    notes            TEXT NOT NULL,
    units            TEXT NOT NULL CHECK (units IN ('mm', 'inch')),
    inch_denominator INTEGER NOT NULL CHECK (inch_denominator IN (16, 32)),
    schools          TEXT NOT NULL CHECK (json_valid(schools)),           -- Schools
    marker_offset_mm REAL NOT NULL CHECK (marker_offset_mm BETWEEN 0 AND 20)
) STRICT;

CREATE TABLE panel (
    id                   TEXT PRIMARY KEY,
    version              INTEGER NOT NULL CHECK (version > 0),
    vehicle_id           TEXT NOT NULL REFERENCES vehicle (id),
    kind                 TEXT NOT NULL CHECK (kind IN ('roof')),
    outline              TEXT NOT NULL CHECK (json_valid(outline)),       -- PanelPoint[]
    skin_mm              REAL NOT NULL CHECK (skin_mm > 0),
    material             TEXT NOT NULL CHECK (material IN ('mildSteel', 'galvanisedSteel', 'aluminium', 'glassReinforcedPlastic', 'plywoodSkin')),
    arc_radius_along_mm  REAL CHECK (arc_radius_along_mm > 0),
    arc_radius_across_mm REAL CHECK (arc_radius_across_mm > 0),
    UNIQUE (vehicle_id, kind)
) STRICT;

CREATE TABLE member (
    id        TEXT PRIMARY KEY,
    version   INTEGER NOT NULL CHECK (version > 0),
    panel_id  TEXT NOT NULL REFERENCES panel (id),
    name      TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind      TEXT NOT NULL CHECK (kind IN ('pillar', 'cantRail', 'roofBow', 'sideRib', 'swage', 'seam', 'rainGutter', 'bearer', 'slidingDoorRail', 'wiringRun', 'fillerNeck', 'anchorage')),
    role      TEXT NOT NULL CHECK (role IN ('structural', 'secondary', 'pressed', 'keepOut')),
    footprint TEXT NOT NULL CHECK (json_valid(footprint)),                -- Footprint
    depth_mm  REAL NOT NULL,
    CHECK (role IN ('structural', 'keepOut') OR kind NOT IN ('pillar', 'cantRail', 'anchorage')),
    CHECK ((kind = 'swage') = (role = 'pressed'))
) STRICT;
CREATE INDEX member_by_panel ON member (panel_id);

CREATE TABLE zone (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL CHECK (version > 0),
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind       TEXT NOT NULL CHECK (kind IN ('bench', 'bed', 'galley', 'shower', 'seat', 'stove', 'overheadLocker', 'bulkhead')),
    x_min_mm   REAL NOT NULL,
    x_max_mm   REAL NOT NULL,
    y_min_mm   REAL NOT NULL,
    y_max_mm   REAL NOT NULL,
    z_min_mm   REAL NOT NULL,
    z_max_mm   REAL NOT NULL,
    CHECK (x_min_mm < x_max_mm AND y_min_mm < y_max_mm AND z_min_mm < z_max_mm),
    UNIQUE (vehicle_id, name)
) STRICT;

CREATE TABLE fitting (
    id                 TEXT PRIMARY KEY,
    version            INTEGER NOT NULL CHECK (version > 0),
    name               TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 80),
    kind               TEXT NOT NULL CHECK (kind IN ('roofVent', 'roofSkylight', 'roofUnit', 'flue')),
    cut_out            TEXT NOT NULL CHECK (json_valid(cut_out)),         -- RoundedRectangle
    tolerance_minus_mm REAL NOT NULL CHECK (tolerance_minus_mm >= 0),
    tolerance_plus_mm  REAL NOT NULL CHECK (tolerance_plus_mm >= 0),
    neck               TEXT NOT NULL CHECK (json_valid(neck)),            -- RoundedRectangle
    flange             TEXT NOT NULL CHECK (json_valid(flange)),          -- RoundedRectangle
    least_lap_mm       REAL NOT NULL CHECK (least_lap_mm >= 0),
    clearance          TEXT NOT NULL CHECK (json_valid(clearance)),       -- PerSide
    mass_kg            REAL NOT NULL CHECK (mass_kg >= 0),
    vibrates           INTEGER NOT NULL CHECK (vibrates IN (0, 1)),
    hinge_side         TEXT CHECK (hinge_side IN ('front', 'rear', 'top', 'bottom')),
    sweep              TEXT NOT NULL CHECK (json_valid(sweep)),           -- PerSide
    flatness_mm        REAL NOT NULL CHECK (flatness_mm >= 0),
    bedding_most_mm    REAL NOT NULL CHECK (bedding_most_mm >= 0),
    clamp              TEXT CHECK (json_valid(clamp)),                    -- ClampRange
    screws             TEXT CHECK (json_valid(screws))                    -- FlangeScrews
) STRICT;

CREATE TABLE opening (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL CHECK (version > 0),
    panel_id   TEXT NOT NULL REFERENCES panel (id),
    fitting_id TEXT NOT NULL REFERENCES fitting (id),
    name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    centre     TEXT NOT NULL CHECK (json_valid(centre)),                  -- PanelPoint
    turn_deg   INTEGER NOT NULL CHECK (turn_deg IN (0, 90, 180, 270)),
    wall_mm    REAL CHECK (wall_mm > 0),
    schools    TEXT NOT NULL CHECK (json_valid(schools)),                 -- Schools
    state      TEXT NOT NULL CHECK (state IN ('planned', 'cut', 'fitted')),
    as_cut     TEXT CHECK (json_valid(as_cut)),                           -- AsCut
    notes      TEXT NOT NULL
) STRICT;
CREATE INDEX opening_by_panel ON opening (panel_id);
CREATE INDEX opening_by_fitting ON opening (fitting_id);

-- One row per change that a person made; its scope is what undo works on: a vehicle's id, 'catalogue' or 'vehicles'.
CREATE TABLE change (
    seq   INTEGER PRIMARY KEY AUTOINCREMENT,
    scope TEXT NOT NULL,
    at    TEXT NOT NULL,
    what  TEXT NOT NULL,
    state TEXT NOT NULL CHECK (state IN ('done', 'undone', 'dropped'))
) STRICT;
CREATE INDEX change_by_scope ON change (scope, seq);

-- The rows that a change touched, before and after, as JSON objects of columns; null where the row did not exist.
CREATE TABLE change_row (
    change_seq INTEGER NOT NULL REFERENCES change (seq),
    position   INTEGER NOT NULL,
    table_name TEXT NOT NULL,
    row_id     TEXT NOT NULL,
    before     TEXT CHECK (json_valid(before)),
    after      TEXT CHECK (json_valid(after)),
    PRIMARY KEY (change_seq, position)
) STRICT;
