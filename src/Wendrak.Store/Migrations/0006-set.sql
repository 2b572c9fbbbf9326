-- How the loops of a machine are set, and the visits at which they were.

CREATE TABLE machine_settings (
    machine_id INTEGER PRIMARY KEY REFERENCES machine (id) ON DELETE CASCADE,
    settings   TEXT NOT NULL -- JSON
);

CREATE TABLE set_job (
    id         INTEGER PRIMARY KEY AUTOINCREMENT,
    version    INTEGER NOT NULL,
    machine_id INTEGER NOT NULL REFERENCES machine (id) ON DELETE CASCADE,
    loop_key   TEXT    NOT NULL,
    opened_on  TEXT    NOT NULL,
    who        TEXT,
    goal       TEXT    NOT NULL,
    rounds     TEXT    NOT NULL, -- JSON; the first is as found
    gauge      TEXT    NOT NULL, -- JSON
    closing    TEXT              -- JSON; null while it goes on
);

CREATE INDEX set_job_of_machine ON set_job (machine_id);
