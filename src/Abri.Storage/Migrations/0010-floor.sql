-- Wood of floors: what was probed, how boards lie, what is replaced.

CREATE TABLE probe (
    id               TEXT PRIMARY KEY,
    version          INTEGER NOT NULL,
    panel_id         TEXT NOT NULL REFERENCES panel (id),
    probe_of         TEXT NOT NULL,
    place            TEXT NOT NULL CHECK (json_valid(place)),        -- PanelPoint
    wood             TEXT NOT NULL,
    moisture_percent REAL,
    taken_at         TEXT NOT NULL,
    notes            TEXT NOT NULL
) STRICT;
CREATE INDEX probe_by_panel ON probe (panel_id);

CREATE TABLE board (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    panel_id TEXT NOT NULL REFERENCES panel (id),
    name     TEXT NOT NULL,
    outline  TEXT NOT NULL CHECK (json_valid(outline)),              -- PanelPoint[]
    material TEXT NOT NULL,
    thick_mm REAL NOT NULL,
    grain    TEXT NOT NULL,
    notes    TEXT NOT NULL
) STRICT;
CREATE INDEX board_by_panel ON board (panel_id);

CREATE TABLE replacement (
    id          TEXT PRIMARY KEY,
    version     INTEGER NOT NULL,
    panel_id    TEXT NOT NULL REFERENCES panel (id),
    name        TEXT NOT NULL,
    area        TEXT NOT NULL CHECK (json_valid(area)),              -- PanelPoint[]
    margin_mm   REAL NOT NULL,
    sheet       TEXT NOT NULL CHECK (json_valid(sheet)),             -- NewSheet
    state       TEXT NOT NULL,
    done_on     TEXT,
    finding_ids TEXT NOT NULL CHECK (json_valid(finding_ids)),       -- ids of rows of finding
    notes       TEXT NOT NULL
) STRICT;
CREATE INDEX replacement_by_panel ON replacement (panel_id);
