-- Rows refer to rows by id: what a joint belongs to, and its product, were names until now.
-- What a value may be is the program's business, declared once there: tables keep keys, NOT NULL, foreign keys and whether
-- JSON is JSON, and that what carries is never cut. Defaults stay for what the history holds of rows that were written before a column was there.

CREATE TABLE vehicle_made_anew (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    name             TEXT NOT NULL,
    kind             TEXT NOT NULL,
    year             INTEGER,
    notes            TEXT NOT NULL,
    units            TEXT NOT NULL,
    inch_denominator INTEGER NOT NULL,
    schools          TEXT NOT NULL CHECK (json_valid(schools)), -- Schools
    marker_offset_mm REAL NOT NULL,
    time_zone        TEXT NOT NULL DEFAULT 'Etc/UTC',
    place            TEXT CHECK (json_valid(place)),            -- Place
    masses           TEXT CHECK (json_valid(masses)),           -- Masses
    attitude         TEXT CHECK (json_valid(attitude))          -- Attitude
) STRICT;
INSERT INTO vehicle_made_anew SELECT * FROM vehicle;
DROP TABLE vehicle;
ALTER TABLE vehicle_made_anew RENAME TO vehicle;

CREATE TABLE panel_made_anew (
    id                   TEXT PRIMARY KEY,
    version              INTEGER NOT NULL,
    vehicle_id           TEXT NOT NULL REFERENCES vehicle (id),
    kind                 TEXT NOT NULL,
    outline              TEXT NOT NULL CHECK (json_valid(outline)), -- PanelPoint[]
    skin_mm              REAL NOT NULL,
    material             TEXT NOT NULL,
    arc_radius_along_mm  REAL,
    arc_radius_across_mm REAL,
    faces                TEXT,
    skin_gap_mm          REAL,
    taper_deg            REAL NOT NULL DEFAULT 0,
    surface              TEXT NOT NULL DEFAULT 'drawn',
    sections             TEXT CHECK (json_valid(sections)),     -- SurfaceSection[]
    name                 TEXT
) STRICT;
INSERT INTO panel_made_anew SELECT * FROM panel;
DROP TABLE panel;
ALTER TABLE panel_made_anew RENAME TO panel;
CREATE UNIQUE INDEX panel_of_kind ON panel (vehicle_id, kind) WHERE kind NOT IN ('step', 'other');
CREATE INDEX panel_by_vehicle ON panel (vehicle_id);

CREATE TABLE member_made_anew (
    id        TEXT PRIMARY KEY,
    version   INTEGER NOT NULL,
    panel_id  TEXT NOT NULL REFERENCES panel (id),
    name      TEXT NOT NULL,
    kind      TEXT NOT NULL,
    role      TEXT NOT NULL,
    footprint TEXT NOT NULL CHECK (json_valid(footprint)),      -- Footprint
    depth_mm  REAL NOT NULL,
    flank_mm  REAL NOT NULL DEFAULT 0,
    material  TEXT,
    -- Pillars and what carries are never cut, whatever the program says.
    CHECK (role IN ('structural', 'keepOut') OR kind NOT IN ('pillar', 'cantRail', 'anchorage')),
    CHECK ((kind = 'swage') = (role = 'pressed'))
) STRICT;
INSERT INTO member_made_anew SELECT * FROM member;
DROP TABLE member;
ALTER TABLE member_made_anew RENAME TO member;
CREATE INDEX member_by_panel ON member (panel_id);

CREATE TABLE zone_made_anew (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    vehicle_id TEXT NOT NULL REFERENCES vehicle (id),
    name       TEXT NOT NULL,
    kind       TEXT NOT NULL,
    x_min_mm   REAL NOT NULL,
    x_max_mm   REAL NOT NULL,
    y_min_mm   REAL NOT NULL,
    y_max_mm   REAL NOT NULL,
    z_min_mm   REAL NOT NULL,
    z_max_mm   REAL NOT NULL,
    UNIQUE (vehicle_id, name)
) STRICT;
INSERT INTO zone_made_anew SELECT * FROM zone;
DROP TABLE zone;
ALTER TABLE zone_made_anew RENAME TO zone;

CREATE TABLE fitting_made_anew (
    id                 TEXT PRIMARY KEY,
    version            INTEGER NOT NULL,
    name               TEXT NOT NULL UNIQUE,
    kind               TEXT NOT NULL,
    cut_out            TEXT NOT NULL CHECK (json_valid(cut_out)), -- RoundedRectangle
    tolerance_minus_mm REAL NOT NULL,
    tolerance_plus_mm  REAL NOT NULL,
    neck               TEXT NOT NULL CHECK (json_valid(neck)),  -- RoundedRectangle
    flange             TEXT NOT NULL CHECK (json_valid(flange)), -- RoundedRectangle
    least_lap_mm       REAL NOT NULL,
    clearance          TEXT NOT NULL CHECK (json_valid(clearance)), -- PerSide
    mass_kg            REAL NOT NULL,
    vibrates           INTEGER NOT NULL,
    hinge_side         TEXT,
    sweep              TEXT NOT NULL CHECK (json_valid(sweep)), -- PerSide
    flatness_mm        REAL NOT NULL,
    bedding_most_mm    REAL NOT NULL,
    clamp              TEXT CHECK (json_valid(clamp)),          -- ClampWork
    screws             TEXT CHECK (json_valid(screws)),         -- FlangeScrews
    halves             TEXT CHECK (json_valid(halves)),         -- Halves
    bonded             TEXT CHECK (json_valid(bonded)),         -- Bonded
    air                TEXT CHECK (json_valid(air)),            -- AirPassage
    heat_mm            REAL NOT NULL DEFAULT 0,
    needs_power        INTEGER NOT NULL DEFAULT 0
) STRICT;
INSERT INTO fitting_made_anew SELECT * FROM fitting;
DROP TABLE fitting;
ALTER TABLE fitting_made_anew RENAME TO fitting;

CREATE TABLE opening_made_anew (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    panel_id   TEXT NOT NULL REFERENCES panel (id),
    fitting_id TEXT NOT NULL REFERENCES fitting (id),
    name       TEXT NOT NULL,
    centre     TEXT NOT NULL CHECK (json_valid(centre)),        -- PanelPoint
    turn_deg   INTEGER NOT NULL,
    wall_mm    REAL,
    schools    TEXT NOT NULL CHECK (json_valid(schools)),       -- Schools
    state      TEXT NOT NULL,
    as_cut     TEXT CHECK (json_valid(as_cut)),                 -- AsCut
    notes      TEXT NOT NULL,
    clamp      TEXT CHECK (json_valid(clamp)),                  -- ClampWork
    tape       TEXT CHECK (json_valid(tape))                    -- BeddingTape
) STRICT;
INSERT INTO opening_made_anew SELECT * FROM opening;
DROP TABLE opening;
ALTER TABLE opening_made_anew RENAME TO opening;
CREATE INDEX opening_by_panel ON opening (panel_id);
CREATE INDEX opening_by_fitting ON opening (fitting_id);

CREATE TABLE finding_made_anew (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    panel_id TEXT NOT NULL REFERENCES panel (id),
    name     TEXT NOT NULL,
    kind     TEXT NOT NULL,
    shape    TEXT NOT NULL,
    points   TEXT NOT NULL CHECK (json_valid(points)),          -- PanelPoint[]
    seen     TEXT NOT NULL,
    severity TEXT NOT NULL,
    measures TEXT NOT NULL CHECK (json_valid(measures)),        -- FindingMeasures
    state    TEXT NOT NULL,
    seen_by  TEXT NOT NULL,
    seen_at  TEXT NOT NULL,
    notes    TEXT NOT NULL
) STRICT;
INSERT INTO finding_made_anew SELECT * FROM finding;
DROP TABLE finding;
ALTER TABLE finding_made_anew RENAME TO finding;
CREATE INDEX finding_by_panel ON finding (panel_id);

CREATE TABLE photo_made_anew (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    finding_id TEXT NOT NULL REFERENCES finding (id),
    sha256     TEXT NOT NULL,
    type       TEXT NOT NULL,
    bytes      INTEGER NOT NULL,
    caption    TEXT NOT NULL
) STRICT;
INSERT INTO photo_made_anew SELECT * FROM photo;
DROP TABLE photo;
ALTER TABLE photo_made_anew RENAME TO photo;
CREATE INDEX photo_by_finding ON photo (finding_id);

CREATE TABLE suspect_made_anew (
    id        TEXT PRIMARY KEY,
    version   INTEGER NOT NULL,
    panel_id  TEXT NOT NULL REFERENCES panel (id),
    name      TEXT NOT NULL,
    kind      TEXT NOT NULL,
    points    TEXT NOT NULL CHECK (json_valid(points)),         -- PanelPoint[]
    condition TEXT NOT NULL,
    since_at  TEXT,
    notes     TEXT NOT NULL
) STRICT;
INSERT INTO suspect_made_anew SELECT * FROM suspect;
DROP TABLE suspect;
ALTER TABLE suspect_made_anew RENAME TO suspect;
CREATE INDEX suspect_by_panel ON suspect (panel_id);

CREATE TABLE observation_made_anew (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    panel_id         TEXT NOT NULL REFERENCES panel (id),
    kind             TEXT NOT NULL,
    place            TEXT NOT NULL CHECK (json_valid(place)),   -- PanelPoint
    seen_at          TEXT NOT NULL,
    wet              INTEGER,
    moisture_percent REAL,
    wind             TEXT,
    attitude         TEXT CHECK (json_valid(attitude)),         -- Attitude
    spray            TEXT CHECK (json_valid(spray)),            -- Spray
    after_minutes    REAL,
    seen_by          TEXT NOT NULL,
    notes            TEXT NOT NULL
) STRICT;
INSERT INTO observation_made_anew SELECT * FROM observation;
DROP TABLE observation;
ALTER TABLE observation_made_anew RENAME TO observation;
CREATE INDEX observation_by_panel ON observation (panel_id);

CREATE TABLE seal_reading_made_anew (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    panel_id TEXT NOT NULL REFERENCES panel (id),
    place    TEXT NOT NULL CHECK (json_valid(place)),           -- PanelPoint
    gap_mm   REAL NOT NULL,
    seal_mm  REAL NOT NULL
) STRICT;
INSERT INTO seal_reading_made_anew SELECT * FROM seal_reading;
DROP TABLE seal_reading;
ALTER TABLE seal_reading_made_anew RENAME TO seal_reading;
CREATE INDEX seal_reading_by_panel ON seal_reading (panel_id);

CREATE TABLE drain_made_anew (
    id         TEXT PRIMARY KEY,
    version    INTEGER NOT NULL,
    panel_id   TEXT NOT NULL REFERENCES panel (id),
    name       TEXT NOT NULL,
    place      TEXT NOT NULL CHECK (json_valid(place)),         -- PanelPoint
    cleared_at TEXT,
    notes      TEXT NOT NULL
) STRICT;
INSERT INTO drain_made_anew SELECT * FROM drain;
DROP TABLE drain;
ALTER TABLE drain_made_anew RENAME TO drain;
CREATE INDEX drain_by_panel ON drain (panel_id);

CREATE TABLE covering_made_anew (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    panel_id         TEXT NOT NULL REFERENCES panel (id),
    name             TEXT NOT NULL,
    kind             TEXT NOT NULL,
    area             TEXT NOT NULL CHECK (json_valid(area)),    -- PanelBox
    sealed_at_bottom INTEGER NOT NULL,
    lap              TEXT NOT NULL,
    planned          INTEGER NOT NULL,
    notes            TEXT NOT NULL
) STRICT;
INSERT INTO covering_made_anew SELECT * FROM covering;
DROP TABLE covering;
ALTER TABLE covering_made_anew RENAME TO covering;
CREATE INDEX covering_by_panel ON covering (panel_id);

CREATE TABLE leak_prior_made_anew (
    id          TEXT PRIMARY KEY,
    version     INTEGER NOT NULL,
    vehicle_id  TEXT NOT NULL REFERENCES vehicle (id),
    kind        TEXT NOT NULL,
    condition   TEXT NOT NULL,
    probability REAL NOT NULL,
    UNIQUE (vehicle_id, kind, condition)
) STRICT;
INSERT INTO leak_prior_made_anew SELECT * FROM leak_prior;
DROP TABLE leak_prior;
ALTER TABLE leak_prior_made_anew RENAME TO leak_prior;

CREATE TABLE product_made_anew (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    name             TEXT NOT NULL UNIQUE,
    family           TEXT NOT NULL,
    setting          TEXT NOT NULL,
    grips            TEXT NOT NULL CHECK (json_valid(grips)),   -- Grip[]
    movement_percent REAL NOT NULL,
    skin_minutes     REAL,
    cure_mm_per_day  REAL,
    service_from_c   REAL NOT NULL,
    service_to_c     REAL NOT NULL,
    lay_from_c       REAL NOT NULL,
    lay_to_c         REAL NOT NULL,
    paintable        INTEGER NOT NULL,
    removable        INTEGER NOT NULL,
    structural       INTEGER NOT NULL,
    cracks_acrylic   INTEGER NOT NULL,
    stands_water     INTEGER NOT NULL,
    stands_sun       INTEGER NOT NULL,
    pack_ml          REAL NOT NULL,
    shelf_months     INTEGER NOT NULL,
    opened_hours     REAL NOT NULL,
    hazards          TEXT NOT NULL,
    known            TEXT NOT NULL
) STRICT;
INSERT INTO product_made_anew SELECT * FROM product;
DROP TABLE product;
ALTER TABLE product_made_anew RENAME TO product;

-- What each name of the old joints meant, looked up on the same panel: first among the rows that are there, then among those that were.
CREATE TEMP TABLE named AS
    SELECT 'member' AS what, panel_id, name, id, 0 AS gone FROM member
    UNION ALL SELECT 'opening', panel_id, name, id, 0 FROM opening
    UNION ALL SELECT 'finding', panel_id, name, id, 0 FROM finding
    UNION ALL SELECT 'product', NULL, name, id, 0 FROM product
    UNION ALL SELECT table_name, json_extract(image, '$.panel_id'), json_extract(image, '$.name'), row_id, 1
        FROM (SELECT table_name, row_id, before AS image FROM change_row UNION ALL SELECT table_name, row_id, after FROM change_row)
        WHERE table_name IN ('member', 'opening', 'finding', 'product') AND image IS NOT NULL;
CREATE TEMP TABLE joint_reference AS
    SELECT panel_id, belongs_to, product,
        (SELECT id FROM named WHERE what = 'opening' AND named.panel_id = j.panel_id AND name = belongs_to ORDER BY gone, id LIMIT 1) AS opening_id,
        (SELECT id FROM named WHERE what = 'member' AND named.panel_id = j.panel_id AND name = belongs_to ORDER BY gone, id LIMIT 1) AS member_id,
        (SELECT id FROM named WHERE what = 'finding' AND named.panel_id = j.panel_id AND name = belongs_to ORDER BY gone, id LIMIT 1) AS finding_id,
        CASE
            WHEN belongs_to LIKE 'Roof seam, left' OR belongs_to LIKE '% seal, top' THEN 'top'
            WHEN belongs_to LIKE 'Roof seam, right' OR belongs_to LIKE '% seal, foot' OR belongs_to LIKE '%, bottom seam' THEN 'bottom'
            WHEN belongs_to LIKE 'Roof seam, front' OR belongs_to LIKE '% seal, front' OR belongs_to LIKE '% seal, right' THEN 'front'
            WHEN belongs_to LIKE 'Roof seam, rear' OR belongs_to LIKE '% seal, rear' OR belongs_to LIKE '% seal, left' THEN 'rear'
        END AS shell_seam,
        (SELECT id FROM named WHERE what = 'product' AND name = product ORDER BY gone, id LIMIT 1) AS product_id
    FROM (
        SELECT panel_id, belongs_to, product FROM joint
        UNION SELECT json_extract(image, '$.panel_id'), json_extract(image, '$.belongs_to'), json_extract(image, '$.product')
            FROM (SELECT before AS image FROM change_row WHERE table_name = 'joint' UNION ALL SELECT after FROM change_row WHERE table_name = 'joint')
            WHERE image IS NOT NULL
    ) AS j;
-- A joint belongs to one thing. What none of the names explains was written down by itself.
UPDATE joint_reference SET member_id = NULL, finding_id = NULL, shell_seam = NULL WHERE opening_id IS NOT NULL;
UPDATE joint_reference SET finding_id = NULL, shell_seam = NULL WHERE member_id IS NOT NULL;
UPDATE joint_reference SET shell_seam = NULL WHERE finding_id IS NOT NULL;

CREATE TABLE joint_made_anew (
    id              TEXT PRIMARY KEY,
    version         INTEGER NOT NULL,
    panel_id        TEXT NOT NULL REFERENCES panel (id),
    name            TEXT NOT NULL,
    kind            TEXT NOT NULL,
    length_mm       REAL NOT NULL,
    one             TEXT NOT NULL,
    other           TEXT NOT NULL,
    gap_mm          REAL NOT NULL,
    movement_mm     REAL NOT NULL,
    sun             INTEGER NOT NULL,
    standing_water  INTEGER NOT NULL,
    removable_later INTEGER NOT NULL,
    painted_over    INTEGER NOT NULL,
    structural      INTEGER NOT NULL,
    unbroken        INTEGER NOT NULL,
    member_id       TEXT REFERENCES member (id),
    opening_id      TEXT REFERENCES opening (id),
    finding_id      TEXT REFERENCES finding (id),
    shell_seam      TEXT,
    product_id      TEXT REFERENCES product (id),
    history         TEXT NOT NULL CHECK (json_valid(history)),              -- JointEvent[]
    notes           TEXT NOT NULL,
    hot_c           REAL,
    CHECK ((member_id IS NOT NULL) + (opening_id IS NOT NULL) + (finding_id IS NOT NULL) + (shell_seam IS NOT NULL) <= 1)
) STRICT;
INSERT INTO joint_made_anew
    SELECT j.id, j.version, j.panel_id, j.name, j.kind, j.length_mm, j.one, j.other, j.gap_mm,
        j.movement_mm, j.sun, j.standing_water, j.removable_later, j.painted_over, j.structural, j.unbroken,
        (SELECT id FROM member WHERE id = r.member_id), (SELECT id FROM opening WHERE id = r.opening_id), (SELECT id FROM finding WHERE id = r.finding_id),
        r.shell_seam, (SELECT id FROM product WHERE id = r.product_id), j.history,
        -- A product that is in no catalogue any more is not lost: it stands in the notes.
        CASE WHEN j.product IS NULL OR EXISTS (SELECT 1 FROM product WHERE id = r.product_id) THEN j.notes
            ELSE trim(j.notes || ' Product: ' || j.product || '.') END,
        j.hot_c
    FROM joint AS j JOIN joint_reference AS r ON r.panel_id = j.panel_id AND r.belongs_to IS j.belongs_to AND r.product IS j.product;
DROP TABLE joint;
ALTER TABLE joint_made_anew RENAME TO joint;
CREATE INDEX joint_by_panel ON joint (panel_id);
CREATE INDEX joint_by_member ON joint (member_id);
CREATE INDEX joint_by_opening ON joint (opening_id);
CREATE INDEX joint_by_finding ON joint (finding_id);
CREATE INDEX joint_by_product ON joint (product_id);

-- The history names things in the same way, so that what was done before can still be taken back.

UPDATE change_row SET before = (
    SELECT json_remove(
        json_set(before, '$.member_id', r.member_id, '$.opening_id', r.opening_id, '$.finding_id', r.finding_id, '$.shell_seam', r.shell_seam,
            '$.product_id', (SELECT id FROM product WHERE id = r.product_id),
            '$.notes', CASE WHEN r.product IS NULL OR EXISTS (SELECT 1 FROM product WHERE id = r.product_id) THEN json_extract(before, '$.notes')
                ELSE trim(json_extract(before, '$.notes') || ' Product: ' || r.product || '.') END),
        '$.belongs_to', '$.product')
    FROM joint_reference AS r
    WHERE r.panel_id = json_extract(before, '$.panel_id') AND r.belongs_to IS json_extract(before, '$.belongs_to')
        AND r.product IS json_extract(before, '$.product'))
    WHERE table_name = 'joint' AND before IS NOT NULL;

UPDATE change_row SET after = (
    SELECT json_remove(
        json_set(after, '$.member_id', r.member_id, '$.opening_id', r.opening_id, '$.finding_id', r.finding_id, '$.shell_seam', r.shell_seam,
            '$.product_id', (SELECT id FROM product WHERE id = r.product_id),
            '$.notes', CASE WHEN r.product IS NULL OR EXISTS (SELECT 1 FROM product WHERE id = r.product_id) THEN json_extract(after, '$.notes')
                ELSE trim(json_extract(after, '$.notes') || ' Product: ' || r.product || '.') END),
        '$.belongs_to', '$.product')
    FROM joint_reference AS r
    WHERE r.panel_id = json_extract(after, '$.panel_id') AND r.belongs_to IS json_extract(after, '$.belongs_to')
        AND r.product IS json_extract(after, '$.product'))
    WHERE table_name = 'joint' AND after IS NOT NULL;

DROP TABLE joint_reference;
DROP TABLE named;
