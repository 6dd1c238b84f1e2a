-- What a member is made of: a flue keeps its distance from timber, not from steel. Unknown for members drawn before.
ALTER TABLE member ADD COLUMN material TEXT;

-- The bedding tape that somebody chose for an opening: width, thickness and what is left of it when squeezed.
ALTER TABLE opening ADD COLUMN tape TEXT CHECK (tape IS NULL OR json_valid(tape));

-- New families of products and kinds of joints need no new table: what a value may be is the program's business.
CREATE TABLE product_made_anew (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL CHECK (version > 0),
    name             TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 80),
    family           TEXT NOT NULL,
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
INSERT INTO product_made_anew SELECT * FROM product;
DROP TABLE product;
ALTER TABLE product_made_anew RENAME TO product;

CREATE TABLE joint_made_anew (
    id              TEXT PRIMARY KEY,
    version         INTEGER NOT NULL CHECK (version > 0),
    panel_id        TEXT NOT NULL REFERENCES panel (id),
    name            TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
    kind            TEXT NOT NULL,
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
    notes           TEXT NOT NULL,
    hot_c           REAL
) STRICT;
INSERT INTO joint_made_anew SELECT *, NULL FROM joint;
DROP TABLE joint;
ALTER TABLE joint_made_anew RENAME TO joint;
CREATE INDEX joint_by_panel ON joint (panel_id);

-- The joint of a flue gets hot.
UPDATE joint SET hot_c = 200 WHERE EXISTS (
    SELECT 1 FROM opening JOIN fitting ON fitting.id = opening.fitting_id
    WHERE opening.panel_id = joint.panel_id AND opening.name = joint.belongs_to AND fitting.kind = 'flue' AND fitting.heat_mm > 0);

-- A catalogue of products that is in use gets the one that suits it, unless something is called so already.
INSERT OR IGNORE INTO product
SELECT lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-7' || substr(hex(randomblob(2)), 2) || '-8' || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6))), 1, 'High-temperature silicone', 'heatSilicone', 'moisture',
    '[{"substrate":"paintedMetal","adhesion":"good"},{"substrate":"galvanisedSteel","adhesion":"good"},{"substrate":"aluminium","adhesion":"good"},{"substrate":"glass","adhesion":"good"},{"substrate":"bareSteel","adhesion":"withPrimer"}]',
    12.5, 15, 2.5, -50, 260, 5, 40, 0, 0, 0, 0, 1, 1, 310, 18, 48, 'Not in the flue itself, nor where the flue gas touches it.', 'assumption'
WHERE EXISTS (SELECT 1 FROM product);
