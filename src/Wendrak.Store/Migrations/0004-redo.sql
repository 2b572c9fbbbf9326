-- What must still be done again on a machine since a setup went on or was changed.

CREATE TABLE setup_redo (
    setup_id INTEGER NOT NULL REFERENCES setup (id) ON DELETE CASCADE,
    position INTEGER NOT NULL,
    item     TEXT    NOT NULL, -- JSON of the item
    PRIMARY KEY (setup_id, position)
);
