-- What fittings ask of clamping, bonding, air, heat and power; how the clamping of an opening stands; products and joints.
ALTER TABLE fitting ADD COLUMN halves TEXT CHECK (json_valid(halves));       -- Halves
ALTER TABLE fitting ADD COLUMN bonded TEXT CHECK (json_valid(bonded));       -- Bonded
ALTER TABLE fitting ADD COLUMN air TEXT CHECK (json_valid(air));             -- AirPassage
ALTER TABLE fitting ADD COLUMN heat_mm REAL NOT NULL DEFAULT 0 CHECK (heat_mm >= 0);
ALTER TABLE fitting ADD COLUMN needs_power INTEGER NOT NULL DEFAULT 0 CHECK (needs_power IN (0, 1));
ALTER TABLE opening ADD COLUMN clamp TEXT CHECK (json_valid(clamp));         -- ClampWork

CREATE TABLE product (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL CHECK (version > 0),
    name             TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 80),
    family           TEXT NOT NULL CHECK (family IN ('polyurethaneAdhesive', 'marinePolyurethane', 'silaneModifiedPolymer', 'neutralSilicone', 'acetoxySilicone', 'butylTape', 'lapSealant', 'roofingTape', 'epoxyPutty', 'foamTape', 'siliconeRoofCoating', 'temporarySealant')),
    setting          TEXT NOT NULL CHECK (setting IN ('moisture', 'atOnce', 'twoPart')),
    grips            TEXT NOT NULL CHECK (json_valid(grips)),                -- Grip[]
    movement_percent REAL NOT NULL CHECK (movement_percent BETWEEN 0 AND 100),
    skin_minutes     REAL CHECK (skin_minutes > 0),
    cure_mm_per_day  REAL CHECK (cure_mm_per_day > 0),
    service_from_c   REAL NOT NULL,
    service_to_c     REAL NOT NULL,
    lay_from_c       REAL NOT NULL,
    lay_to_c         REAL NOT NULL,
    paintable        INTEGER NOT NULL CHECK (paintable IN (0, 1)),
    removable        INTEGER NOT NULL CHECK (removable IN (0, 1)),
    structural       INTEGER NOT NULL CHECK (structural IN (0, 1)),
    cracks_acrylic   INTEGER NOT NULL CHECK (cracks_acrylic IN (0, 1)),
    stands_water     INTEGER NOT NULL CHECK (stands_water IN (0, 1)),
    stands_sun       INTEGER NOT NULL CHECK (stands_sun IN (0, 1)),
    pack_ml          REAL NOT NULL CHECK (pack_ml >= 0),
    shelf_months     INTEGER NOT NULL CHECK (shelf_months >= 0),
    opened_hours     REAL NOT NULL CHECK (opened_hours >= 0),
    hazards          TEXT NOT NULL,
    known            TEXT NOT NULL CHECK (known IN ('published', 'commonPractice', 'fromMemory', 'assumption', 'geometry'))
) STRICT;

CREATE TABLE joint (
    id              TEXT PRIMARY KEY,
    version         INTEGER NOT NULL CHECK (version > 0),
    panel_id        TEXT NOT NULL REFERENCES panel (id),
    name            TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
    kind            TEXT NOT NULL CHECK (kind IN ('seam', 'gutter', 'roofFlange', 'sideFlange', 'bondedPane', 'patchEdge', 'clipRow', 'penetration')),
    length_mm       REAL NOT NULL CHECK (length_mm > 0),
    one             TEXT NOT NULL,
    other           TEXT NOT NULL,
    gap_mm          REAL NOT NULL CHECK (gap_mm >= 0),
    movement_mm     REAL NOT NULL CHECK (movement_mm >= 0),
    sun             INTEGER NOT NULL CHECK (sun IN (0, 1)),
    standing_water  INTEGER NOT NULL CHECK (standing_water IN (0, 1)),
    removable_later INTEGER NOT NULL CHECK (removable_later IN (0, 1)),
    painted_over    INTEGER NOT NULL CHECK (painted_over IN (0, 1)),
    structural      INTEGER NOT NULL CHECK (structural IN (0, 1)),
    unbroken        INTEGER NOT NULL CHECK (unbroken IN (0, 1)),
    belongs_to      TEXT,
    product         TEXT,
    history         TEXT NOT NULL CHECK (json_valid(history)),               -- JointEvent[]
    notes           TEXT NOT NULL
) STRICT;
CREATE INDEX joint_by_panel ON joint (panel_id);
