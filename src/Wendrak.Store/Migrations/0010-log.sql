-- The log of a machine: rows that are asked for in numbers. Which of them stand, the record of their lot says: it is what
-- comes, goes and is changed, in the history like everything else.

CREATE TABLE log_line (
    id          INTEGER PRIMARY KEY,
    lot_id      INTEGER NOT NULL,
    number      INTEGER NOT NULL, -- in its lot
    machine_id  INTEGER NOT NULL,
    schema      INTEGER NOT NULL,
    body        TEXT    NOT NULL, -- JSON
    hash        BLOB    NOT NULL,
    kind        TEXT    GENERATED ALWAYS AS (json_extract(body, '$.kind')) VIRTUAL,
    day         TEXT    GENERATED ALWAYS AS (json_extract(body, '$.on')) VIRTUAL,
    odometer_km REAL    GENERATED ALWAYS AS (json_extract(body, '$.odometerKm')) VIRTUAL,
    UNIQUE (lot_id, number)
);

CREATE INDEX log_of_machine ON log_line (machine_id, day, id);
CREATE INDEX log_of_kind ON log_line (machine_id, kind, day, id);
CREATE INDEX odometer_of_machine ON log_line (machine_id, day, odometer_km) WHERE odometer_km IS NOT NULL;

-- Lines that were not taken back with their lot; struck ones are among them.
CREATE VIEW log AS
SELECT l.*, json_extract(lot.body, '$.file') AS file,
       EXISTS (SELECT 1 FROM json_each(lot.body, '$.struck') AS s WHERE s.value = l.number) AS is_struck
FROM log_line AS l JOIN record AS lot ON lot.kind = 'log_lot' AND lot.id = l.lot_id;
