-- What sits on a machine's shafts from side to side, and the spacers there are to fill them.

CREATE TABLE shaft_widths (
    machine_id INTEGER NOT NULL REFERENCES machine (id) ON DELETE CASCADE,
    position   INTEGER NOT NULL,
    widths     TEXT    NOT NULL, -- JSON of the shaft
    PRIMARY KEY (machine_id, position)
);

CREATE TABLE stock_spacer (
    id           INTEGER PRIMARY KEY,
    version      INTEGER NOT NULL,
    thickness_mm REAL    NOT NULL,
    bore_mm      REAL    NOT NULL,
    count        INTEGER NOT NULL
);
