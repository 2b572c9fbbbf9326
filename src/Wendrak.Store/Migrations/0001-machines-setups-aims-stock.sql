-- Machines, their drives with ordered stages, setups, aims, stock, and the record of every change.

CREATE TABLE gearbox_set (
    id          INTEGER PRIMARY KEY,
    version     INTEGER NOT NULL,
    name        TEXT    NOT NULL,
    reductions  TEXT    NOT NULL, -- JSON list, first gear first
    turns_round INTEGER NOT NULL,
    note        TEXT
);

CREATE TABLE machine (
    id            INTEGER PRIMARY KEY,
    version       INTEGER NOT NULL,
    name          TEXT    NOT NULL,
    kind          TEXT    NOT NULL,
    note          TEXT,
    odometer_km   REAL,
    retired_on    TEXT,
    work          TEXT -- JSON; null means the default work figures
);

CREATE TABLE drive (
    id                        INTEGER PRIMARY KEY,
    machine_id                INTEGER NOT NULL REFERENCES machine (id) ON DELETE CASCADE,
    position                  INTEGER NOT NULL,
    drive_key                 TEXT    NOT NULL,
    name                      TEXT    NOT NULL,
    mirrors                   TEXT,
    input_shaft               TEXT    NOT NULL,
    input_kind                TEXT    NOT NULL,
    low_speed_rpm             REAL    NOT NULL,
    limit_speed_rpm           REAL    NOT NULL,
    crank_length_mm           REAL,
    gears_interchangeable     INTEGER NOT NULL,
    speed_pickup              TEXT    NOT NULL,
    speedometer_error_percent REAL    NOT NULL,
    UNIQUE (machine_id, position)
);

CREATE TABLE stage (
    id             INTEGER PRIMARY KEY,
    drive_id       INTEGER NOT NULL REFERENCES drive (id) ON DELETE CASCADE,
    position       INTEGER NOT NULL,
    stage_key      TEXT    NOT NULL,
    gearbox_set_id INTEGER REFERENCES gearbox_set (id),
    spec           TEXT    NOT NULL, -- JSON of the stage; a gearbox leaves its set to gearbox_set_id
    UNIQUE (drive_id, position)
);

CREATE TABLE drive_output (
    id          INTEGER PRIMARY KEY,
    drive_id    INTEGER NOT NULL REFERENCES drive (id) ON DELETE CASCADE,
    position    INTEGER NOT NULL,
    name        TEXT    NOT NULL,
    shaft       TEXT    NOT NULL,
    on_road     INTEGER NOT NULL,
    wheel_size  TEXT,
    roll_out_mm REAL,
    UNIQUE (drive_id, position)
);

CREATE TABLE setup (
    id           INTEGER PRIMARY KEY,
    version      INTEGER NOT NULL,
    machine_id   INTEGER NOT NULL REFERENCES machine (id),
    name         TEXT    NOT NULL,
    status       TEXT    NOT NULL,
    made_on      TEXT    NOT NULL,
    fitted_on    TEXT,
    fitted_at_km REAL,
    note         TEXT
);

-- A machine has one setup as fitted, whatever two windows do at once.
CREATE UNIQUE INDEX setup_as_fitted ON setup (machine_id) WHERE status = 'AsFitted';

CREATE TABLE setup_loop (
    setup_id   INTEGER NOT NULL REFERENCES setup (id) ON DELETE CASCADE,
    position   INTEGER NOT NULL,
    loop_key   TEXT    NOT NULL,
    front_size REAL    NOT NULL,
    rear_size  REAL    NOT NULL,
    links      INTEGER,
    PRIMARY KEY (setup_id, loop_key)
);

CREATE TABLE setup_road_wheel (
    setup_id    INTEGER NOT NULL REFERENCES setup (id) ON DELETE CASCADE,
    position    INTEGER NOT NULL,
    output_name TEXT    NOT NULL,
    wheel_size  TEXT,
    roll_out_mm REAL,
    PRIMARY KEY (setup_id, output_name)
);

CREATE TABLE aim (
    id         INTEGER PRIMARY KEY,
    version    INTEGER NOT NULL,
    machine_id INTEGER NOT NULL REFERENCES machine (id),
    name       TEXT    NOT NULL,
    drive_key  TEXT    NOT NULL,
    target     TEXT    NOT NULL, -- JSON of the target
    surface    TEXT,
    weather    TEXT,
    load       TEXT,
    wishes     TEXT    NOT NULL, -- JSON
    note       TEXT
);

CREATE TABLE aim_outcome (
    aim_id     INTEGER NOT NULL REFERENCES aim (id) ON DELETE CASCADE,
    position   INTEGER NOT NULL,
    happened_on TEXT   NOT NULL,
    setup_id   INTEGER NOT NULL,
    setup_name TEXT    NOT NULL,
    loops      TEXT    NOT NULL, -- JSON: the wheels as they were that day
    surface    TEXT,
    weather    TEXT,
    load       TEXT,
    score      INTEGER NOT NULL,
    note       TEXT,
    PRIMARY KEY (aim_id, position)
);

CREATE TABLE stock_item (
    id         INTEGER PRIMARY KEY,
    version    INTEGER NOT NULL,
    standard   TEXT    NOT NULL,
    side       TEXT    NOT NULL,
    size       REAL    NOT NULL,
    mounting   TEXT,
    count      INTEGER NOT NULL,
    price      REAL,
    obtainable INTEGER NOT NULL,
    note       TEXT
);

-- One press of a button is one change, of one or several things.
CREATE TABLE change (
    id         INTEGER PRIMARY KEY,
    made_at    TEXT    NOT NULL,
    who        TEXT    NOT NULL,
    what       TEXT    NOT NULL,
    machine_id INTEGER,
    undoes     INTEGER REFERENCES change (id),
    undone_by  INTEGER REFERENCES change (id)
);

CREATE INDEX change_of_machine ON change (machine_id, id);

CREATE TABLE changed_thing (
    change_id INTEGER NOT NULL REFERENCES change (id),
    position  INTEGER NOT NULL,
    thing     TEXT    NOT NULL, -- table it lives in
    thing_id  INTEGER NOT NULL,
    before    TEXT,             -- JSON, null where it was added
    after     TEXT,             -- JSON, null where it was removed
    PRIMARY KEY (change_id, position)
);
