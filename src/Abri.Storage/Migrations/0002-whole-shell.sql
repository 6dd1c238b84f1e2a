-- All panels of a shell, measured sections, findings with photos, and what is known of the vehicle as a whole.

ALTER TABLE vehicle ADD COLUMN time_zone TEXT NOT NULL DEFAULT 'Etc/UTC' CHECK (length(time_zone) BETWEEN 1 AND 64);
ALTER TABLE vehicle ADD COLUMN place TEXT CHECK (json_valid(place));           -- Place
ALTER TABLE vehicle ADD COLUMN masses TEXT CHECK (json_valid(masses));         -- Masses
ALTER TABLE vehicle ADD COLUMN attitude TEXT CHECK (json_valid(attitude));     -- Attitude

ALTER TABLE member ADD COLUMN flank_mm REAL NOT NULL DEFAULT 0 CHECK (flank_mm >= 0);

-- A check cannot be altered, so the table is made anew. There is one panel of each kind; of steps and others there may be several.
CREATE TABLE panel_new (
    id                   TEXT PRIMARY KEY,
    version              INTEGER NOT NULL CHECK (version > 0),
    vehicle_id           TEXT NOT NULL REFERENCES vehicle (id),
    kind                 TEXT NOT NULL CHECK (kind IN ('roof', 'left', 'right', 'rearLeftDoor', 'rearRightDoor', 'slidingDoor', 'bulkhead', 'floor', 'step', 'other')),
    outline              TEXT NOT NULL CHECK (json_valid(outline)),            -- PanelPoint[]
    skin_mm              REAL NOT NULL CHECK (skin_mm > 0),
    material             TEXT NOT NULL CHECK (material IN ('mildSteel', 'galvanisedSteel', 'aluminium', 'glassReinforcedPlastic', 'plywoodSkin')),
    arc_radius_along_mm  REAL CHECK (arc_radius_along_mm > 0),
    arc_radius_across_mm REAL CHECK (arc_radius_across_mm > 0),
    faces                TEXT CHECK (faces IN ('up', 'down', 'left', 'right', 'rear', 'front')),
    skin_gap_mm          REAL CHECK (skin_gap_mm > 0),
    taper_deg            REAL NOT NULL DEFAULT 0 CHECK (taper_deg BETWEEN -45 AND 45),
    surface              TEXT NOT NULL DEFAULT 'drawn' CHECK (surface IN ('drawn', 'measured')),
    sections             TEXT CHECK (json_valid(sections)),                    -- SurfaceSection[]
    name                 TEXT CHECK (length(name) BETWEEN 1 AND 80)
) STRICT;
INSERT INTO panel_new (id, version, vehicle_id, kind, outline, skin_mm, material, arc_radius_along_mm, arc_radius_across_mm)
    SELECT id, version, vehicle_id, kind, outline, skin_mm, material, arc_radius_along_mm, arc_radius_across_mm FROM panel;
DROP TABLE panel;
ALTER TABLE panel_new RENAME TO panel;
CREATE UNIQUE INDEX panel_of_kind ON panel (vehicle_id, kind) WHERE kind NOT IN ('step', 'other');
CREATE INDEX panel_by_vehicle ON panel (vehicle_id);

-- The same for the kinds of zones.
CREATE TABLE zone_new (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL CHECK (version > 0),
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind       TEXT NOT NULL CHECK (kind IN ('bench', 'bed', 'galley', 'shower', 'seat', 'stove', 'overheadLocker', 'bulkhead', 'furring')),
    x_min_mm   REAL NOT NULL,
    x_max_mm   REAL NOT NULL,
    y_min_mm   REAL NOT NULL,
    y_max_mm   REAL NOT NULL,
    z_min_mm   REAL NOT NULL,
    z_max_mm   REAL NOT NULL,
    CHECK (x_min_mm < x_max_mm AND y_min_mm < y_max_mm AND z_min_mm < z_max_mm),
    UNIQUE (vehicle_id, name)
) STRICT;
INSERT INTO zone_new SELECT * FROM zone;
DROP TABLE zone;
ALTER TABLE zone_new RENAME TO zone;

-- And for the kinds of fittings, which now go into walls too.
CREATE TABLE fitting_new (
    id                 TEXT PRIMARY KEY,
    version            INTEGER NOT NULL CHECK (version > 0),
    name               TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 80),
    kind               TEXT NOT NULL CHECK (kind IN ('roofVent', 'roofSkylight', 'roofUnit', 'flue', 'bondedWindow', 'hingedWindow', 'gasketWindow', 'grille', 'hatch')),
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
INSERT INTO fitting_new SELECT * FROM fitting;
DROP TABLE fitting;
ALTER TABLE fitting_new RENAME TO fitting;

CREATE TABLE finding (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL CHECK (version > 0),
    panel_id TEXT NOT NULL REFERENCES panel (id),
    name     TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind     TEXT NOT NULL CHECK (kind IN ('surfaceRust', 'scale', 'pitting', 'perforation', 'stain', 'standingWater', 'softWood', 'openSeam', 'crackedSealant', 'looseClip', 'openHole', 'dent', 'crackInPlastic', 'missingSeal', 'blockedDrain', 'dampInsulation')),
    shape    TEXT NOT NULL CHECK (shape IN ('point', 'line', 'area')),
    points   TEXT NOT NULL CHECK (json_valid(points)),                         -- PanelPoint[]
    seen     TEXT NOT NULL CHECK (seen IN ('outside', 'inside')),
    severity TEXT NOT NULL CHECK (severity IN ('minor', 'moderate', 'severe')),
    measures TEXT NOT NULL CHECK (json_valid(measures)),                       -- FindingMeasures
    state    TEXT NOT NULL CHECK (state IN ('open', 'planned', 'done', 'watch')),
    seen_by  TEXT NOT NULL CHECK (length(seen_by) <= 80),
    seen_at  TEXT NOT NULL,                                                    -- UTC, ISO 8601
    notes    TEXT NOT NULL
) STRICT;
CREATE INDEX finding_by_panel ON finding (panel_id);
CREATE INDEX change_row_by_record ON change_row (row_id);

-- A photo's bytes lie in the folder photos, under the hash of what it holds.
CREATE TABLE photo (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL CHECK (version > 0),
    finding_id TEXT NOT NULL REFERENCES finding (id),
    sha256     TEXT NOT NULL CHECK (length(sha256) = 64),
    type       TEXT NOT NULL CHECK (type IN ('image/jpeg', 'image/png', 'image/webp')),
    bytes      INTEGER NOT NULL CHECK (bytes > 0),
    caption    TEXT NOT NULL CHECK (length(caption) <= 200)
) STRICT;
CREATE INDEX photo_by_finding ON photo (finding_id);
