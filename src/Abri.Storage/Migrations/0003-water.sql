-- What bears on water: suspects that somebody wrote down, what was looked at, seals, drains, coverings, and priors that somebody changed.

CREATE TABLE suspect (
    id        TEXT PRIMARY KEY,
    version   INTEGER NOT NULL CHECK (version > 0),
    panel_id  TEXT NOT NULL REFERENCES panel (id),
    name      TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind      TEXT NOT NULL CHECK (kind IN ('seam', 'gutter', 'spotWeld', 'screw', 'seal', 'clampGap', 'clipRow', 'crackedPlastic', 'doorSeal', 'grommet', 'corner', 'patchEdge', 'hole')),
    points    TEXT NOT NULL CHECK (json_valid(points)),                      -- PanelPoint[]
    condition TEXT NOT NULL CHECK (condition IN ('unknown', 'sound', 'aged', 'cracked', 'loose', 'open')),
    since_at  TEXT,
    notes     TEXT NOT NULL
) STRICT;
CREATE INDEX suspect_by_panel ON suspect (panel_id);

CREATE TABLE observation (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL CHECK (version > 0),
    panel_id         TEXT NOT NULL REFERENCES panel (id),
    kind             TEXT NOT NULL CHECK (kind IN ('rain', 'waterTest', 'moisture')),
    place            TEXT NOT NULL CHECK (json_valid(place)),                -- PanelPoint
    seen_at          TEXT NOT NULL,
    wet              INTEGER CHECK (wet IN (0, 1)),
    moisture_percent REAL CHECK (moisture_percent BETWEEN 0 AND 200),
    wind             TEXT CHECK (wind IN ('calm', 'front', 'rear', 'left', 'right')),
    attitude         TEXT CHECK (json_valid(attitude)),                      -- Attitude
    spray            TEXT CHECK (json_valid(spray)),                         -- Spray
    after_minutes    REAL CHECK (after_minutes >= 0),
    seen_by          TEXT NOT NULL,
    notes            TEXT NOT NULL,
    CHECK (wet IS NOT NULL OR moisture_percent IS NOT NULL),
    CHECK ((kind = 'waterTest') = (spray IS NOT NULL))
) STRICT;
CREATE INDEX observation_by_panel ON observation (panel_id);

CREATE TABLE seal_reading (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL CHECK (version > 0),
    panel_id TEXT NOT NULL REFERENCES panel (id),
    place    TEXT NOT NULL CHECK (json_valid(place)),                        -- PanelPoint
    gap_mm   REAL NOT NULL CHECK (gap_mm >= 0),
    seal_mm  REAL NOT NULL CHECK (seal_mm > 0)
) STRICT;
CREATE INDEX seal_reading_by_panel ON seal_reading (panel_id);

CREATE TABLE drain (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL CHECK (version > 0),
    panel_id   TEXT NOT NULL REFERENCES panel (id),
    name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    place      TEXT NOT NULL CHECK (json_valid(place)),                      -- PanelPoint
    cleared_at TEXT,
    notes      TEXT NOT NULL
) STRICT;
CREATE INDEX drain_by_panel ON drain (panel_id);

CREATE TABLE covering (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL CHECK (version > 0),
    panel_id         TEXT NOT NULL REFERENCES panel (id),
    name             TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    kind             TEXT NOT NULL CHECK (kind IN ('lining', 'cladding', 'insulation', 'foam', 'membrane', 'sealant', 'patch')),
    area             TEXT NOT NULL CHECK (json_valid(area)),                 -- PanelBox
    sealed_at_bottom INTEGER NOT NULL CHECK (sealed_at_bottom IN (0, 1)),
    lap              TEXT NOT NULL CHECK (lap IN ('unknown', 'upperOverLower', 'lowerOverUpper')),
    planned          INTEGER NOT NULL CHECK (planned IN (0, 1)),
    notes            TEXT NOT NULL
) STRICT;
CREATE INDEX covering_by_panel ON covering (panel_id);

CREATE TABLE leak_prior (
    id          TEXT PRIMARY KEY,
    version     INTEGER NOT NULL CHECK (version > 0),
    vehicle_id  TEXT NOT NULL REFERENCES vehicle (id),
    kind        TEXT NOT NULL CHECK (kind IN ('seam', 'gutter', 'spotWeld', 'screw', 'seal', 'clampGap', 'clipRow', 'crackedPlastic', 'doorSeal', 'grommet', 'corner', 'patchEdge', 'hole')),
    condition   TEXT NOT NULL CHECK (condition IN ('unknown', 'sound', 'aged', 'cracked', 'loose', 'open')),
    probability REAL NOT NULL CHECK (probability BETWEEN 0 AND 1),
    UNIQUE (vehicle_id, kind, condition)
) STRICT;
