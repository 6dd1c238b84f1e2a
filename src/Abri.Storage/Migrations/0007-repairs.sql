-- Repairs of the shell, and joints that belong to them.

CREATE TABLE repair (
    id          TEXT PRIMARY KEY,
    version     INTEGER NOT NULL,
    panel_id    TEXT NOT NULL REFERENCES panel (id),
    name        TEXT NOT NULL,
    kind        TEXT NOT NULL,
    shape       TEXT NOT NULL,
    points      TEXT NOT NULL CHECK (json_valid(points)),       -- PanelPoint[]
    length_mm   REAL,
    width_mm    REAL,
    spot        TEXT CHECK (json_valid(spot)),                  -- RustSpot
    patch       TEXT CHECK (json_valid(patch)),                 -- PatchDesign
    holes       TEXT CHECK (json_valid(holes)),                 -- HoleRow
    seam        TEXT CHECK (json_valid(seam)),                  -- SeamRun
    trim        TEXT CHECK (json_valid(trim)),                  -- TrimRun
    state       TEXT NOT NULL,
    done_on     TEXT,
    finding_ids TEXT NOT NULL CHECK (json_valid(finding_ids)),  -- ids of rows of finding
    notes       TEXT NOT NULL
) STRICT;
CREATE INDEX repair_by_panel ON repair (panel_id);

ALTER TABLE joint ADD COLUMN repair_id TEXT REFERENCES repair (id)
    CHECK (repair_id IS NULL OR (member_id IS NULL AND opening_id IS NULL AND finding_id IS NULL AND shell_seam IS NULL));
CREATE INDEX joint_by_repair ON joint (repair_id);
