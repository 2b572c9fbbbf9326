-- Where the wheels of a machine's loops stand, and the length of belts that have no teeth to count.

CREATE TABLE loop_layout (
    machine_id INTEGER NOT NULL REFERENCES machine (id) ON DELETE CASCADE,
    position   INTEGER NOT NULL,
    loop_key   TEXT    NOT NULL,
    layout     TEXT    NOT NULL, -- JSON of the layout
    PRIMARY KEY (machine_id, loop_key)
);

ALTER TABLE setup_loop ADD COLUMN length_mm REAL;
