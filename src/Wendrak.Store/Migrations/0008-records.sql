-- One table of records, one of what refers to what, one order of everything that happened.
-- body_hash and visit_entries are functions of the program: see Records/BodyHash.cs and Jobs/EarlierVisits.cs.

CREATE TABLE record (
    kind       TEXT    NOT NULL,
    id         INTEGER NOT NULL,
    version    INTEGER NOT NULL,
    schema     INTEGER NOT NULL, -- form of the body
    body       TEXT    NOT NULL, -- JSON
    hash       BLOB    NOT NULL,
    at         TEXT    NOT NULL,
    actor      TEXT,
    machine_id INTEGER GENERATED ALWAYS AS (json_extract(body, '$.machineId')) VIRTUAL,
    status     TEXT    GENERATED ALWAYS AS (json_extract(body, '$.status')) VIRTUAL,
    PRIMARY KEY (kind, id)
);

CREATE INDEX record_of_machine ON record (kind, machine_id, id);

-- A machine has one setup as fitted, whatever two windows do at once.
CREATE UNIQUE INDEX one_as_fitted ON record (machine_id) WHERE kind = 'setup' AND status = 'asFitted';

-- The last number given to each kind: none is given twice.
CREATE TABLE number_given (
    kind TEXT    NOT NULL PRIMARY KEY,
    last INTEGER NOT NULL
);

CREATE TABLE reference (
    kind    TEXT    NOT NULL,
    id      INTEGER NOT NULL,
    hold    TEXT    NOT NULL, -- BelongsTo, Needs, Mentions
    to_kind TEXT    NOT NULL,
    to_id   INTEGER NOT NULL,
    PRIMARY KEY (kind, id, to_kind, to_id, hold),
    FOREIGN KEY (kind, id) REFERENCES record (kind, id) DEFERRABLE INITIALLY DEFERRED
) WITHOUT ROWID;

CREATE INDEX reference_to ON reference (to_kind, to_id);

-- One press of a button is one change, of one or several records. Numbers are shared with job_event: one order of all.
ALTER TABLE change RENAME TO earlier_change;
ALTER TABLE changed_thing RENAME TO earlier_thing;
DROP INDEX change_of_machine;

CREATE TABLE change (
    id         INTEGER PRIMARY KEY,
    at         TEXT    NOT NULL,
    actor      TEXT,
    name       TEXT    NOT NULL,
    machine_id INTEGER,
    undoes     INTEGER REFERENCES change (id)
);

CREATE INDEX change_of_machine ON change (machine_id, id);
CREATE INDEX change_undone ON change (undoes) WHERE undoes IS NOT NULL;

CREATE TABLE change_item (
    change_id INTEGER NOT NULL REFERENCES change (id) DEFERRABLE INITIALLY DEFERRED,
    position  INTEGER NOT NULL,
    kind      TEXT    NOT NULL,
    id        INTEGER NOT NULL,
    version   INTEGER NOT NULL,
    schema    INTEGER NOT NULL,
    body      TEXT,             -- as it was left; null where it was removed
    hash      BLOB    NOT NULL,
    PRIMARY KEY (change_id, position),
    UNIQUE (kind, id, version)
);

-- What happened at a job: written once, never changed.
CREATE TABLE job_event (
    id         INTEGER PRIMARY KEY,
    change_id  INTEGER REFERENCES change (id) DEFERRABLE INITIALLY DEFERRED, -- it came with; null: an entry of its own
    job_id     INTEGER NOT NULL,
    machine_id INTEGER NOT NULL,
    kind       TEXT    NOT NULL,
    at         TEXT    NOT NULL,
    actor      TEXT,
    client_key TEXT,             -- of whoever sent it: sent twice it counts once
    undoes     INTEGER REFERENCES job_event (id),
    schema     INTEGER NOT NULL,
    body       TEXT    NOT NULL,
    hash       BLOB    NOT NULL,
    loop_key   TEXT    GENERATED ALWAYS AS (json_extract(body, '$.loopKey')) VIRTUAL,
    method     TEXT    GENERATED ALWAYS AS (json_extract(body, '$.reading.method')) VIRTUAL,
    value      REAL    GENERATED ALWAYS AS (json_extract(body, '$.reading.value')) VIRTUAL,
    place      INTEGER GENERATED ALWAYS AS (json_extract(body, '$.reading.position')) VIRTUAL
);

CREATE INDEX event_of_job ON job_event (job_id, id);
CREATE INDEX event_of_machine ON job_event (machine_id, id);
CREATE INDEX event_undone ON job_event (undoes) WHERE undoes IS NOT NULL;
CREATE UNIQUE INDEX event_once ON job_event (job_id, client_key) WHERE client_key IS NOT NULL;

-- Readings as numbers.
CREATE INDEX reading_of_loop ON job_event (machine_id, loop_key, method, id) WHERE kind = 'readingTaken';
CREATE VIEW reading AS
SELECT id, job_id, machine_id, loop_key, at, actor, method, value, place
FROM job_event AS taken
WHERE kind = 'readingTaken' AND NOT EXISTS (SELECT 1 FROM job_event AS undone WHERE undone.undoes = taken.id);

-- Counts how often the journal was begun anew: each one begins by counting, so that one of another state is known by it.
CREATE TABLE generation (
    one     INTEGER PRIMARY KEY CHECK (one = 1),
    n       INTEGER NOT NULL,
    data_id TEXT    NOT NULL -- another one after a restore: pages that show what was there before notice
);

INSERT INTO generation (one, n, data_id) VALUES (1, 1, lower(hex(randomblob(8))));

-- Photos and the like: the file lies beside the data file under its hash.
CREATE TABLE attachment (
    hash     TEXT NOT NULL PRIMARY KEY, -- SHA-256, hexadecimal
    type     TEXT NOT NULL,
    taken_at TEXT
);

-- From here on: what earlier versions held. The newest state of each thing stands in its history, since nothing was ever
-- stored past it; what its table does not have any more is not brought back.
INSERT INTO change (id, at, actor, name, machine_id, undoes)
SELECT id, made_at, nullif(who, 'workshop'), what, machine_id, undoes FROM earlier_change;

CREATE TEMP TABLE numbered AS
SELECT change_id, position, thing, thing_id, json_remove(after, '$.id', '$.version') AS body,
       row_number() OVER (PARTITION BY thing, thing_id ORDER BY change_id, position) AS version,
       row_number() OVER (PARTITION BY thing, thing_id ORDER BY change_id DESC, position DESC) = 1 AS is_newest
FROM earlier_thing;

INSERT INTO change_item (change_id, position, kind, id, version, schema, body, hash)
SELECT change_id, position, thing, thing_id, version, 1, body, body_hash(thing, thing_id, version, 1, coalesce(body, ''))
FROM numbered;

INSERT INTO record (kind, id, version, schema, body, hash, at, actor)
SELECT thing, thing_id, version, 1, body, body_hash(thing, thing_id, version, 1, body), change.at, change.actor
FROM numbered JOIN change ON change.id = numbered.change_id
WHERE is_newest AND body IS NOT NULL AND (
       (thing = 'machine' AND thing_id IN (SELECT id FROM machine))
    OR (thing = 'setup' AND thing_id IN (SELECT id FROM setup))
    OR (thing = 'aim' AND thing_id IN (SELECT id FROM aim))
    OR (thing = 'stock_item' AND thing_id IN (SELECT id FROM stock_item))
    OR (thing = 'stock_spacer' AND thing_id IN (SELECT id FROM stock_spacer))
    OR (thing = 'gearbox_set' AND thing_id IN (SELECT id FROM gearbox_set)));

INSERT INTO number_given (kind, last)
SELECT CASE thing WHEN 'setJob' THEN 'job' ELSE thing END, max(thing_id) FROM earlier_thing GROUP BY thing;

INSERT INTO reference (kind, id, hold, to_kind, to_id)
SELECT kind, id, 'BelongsTo', 'machine', machine_id FROM record WHERE machine_id IS NOT NULL;
INSERT INTO reference (kind, id, hold, to_kind, to_id)
SELECT DISTINCT 'machine', drive.machine_id, 'Needs', 'gearbox_set', stage.gearbox_set_id
FROM stage JOIN drive ON drive.id = stage.drive_id
WHERE stage.gearbox_set_id IS NOT NULL;
INSERT INTO reference (kind, id, hold, to_kind, to_id)
SELECT DISTINCT 'aim', record.id, 'Mentions', 'setup', json_extract(outcome.value, '$.setupId')
FROM record, json_each(body, '$.outcomes') AS outcome
WHERE kind = 'aim'
UNION
SELECT 'aim', id, 'Mentions', 'setup', json_extract(body, '$.target.setupId')
FROM record
WHERE kind = 'aim' AND json_extract(body, '$.target.setupId') IS NOT NULL;

-- Visits become jobs with events; the history of the visits stays as it was written.
CREATE TEMP TABLE visit AS
SELECT set_job.id, set_job.machine_id, opened_on, earlier_thing.after,
       json_object('machineId', machine_id, 'openedOn', opened_on) AS body
FROM set_job JOIN earlier_thing ON earlier_thing.thing = 'setJob' AND earlier_thing.thing_id = set_job.id
WHERE (change_id, position) IN (
    SELECT change_id, position FROM numbered WHERE thing = 'setJob' AND is_newest);

INSERT INTO change (id, at, name)
SELECT 1 + coalesce((SELECT max(id) FROM change), 0), strftime('%Y-%m-%dT%H:%M:%SZ', 'now'), 'brought visits over to jobs'
WHERE EXISTS (SELECT 1 FROM visit);

INSERT INTO change_item (change_id, position, kind, id, version, schema, body, hash)
SELECT (SELECT max(id) FROM change), row_number() OVER (ORDER BY id) - 1, 'job', id, 1, 1, body, body_hash('job', id, 1, 1, body)
FROM visit;
INSERT INTO record (kind, id, version, schema, body, hash, at)
SELECT 'job', id, 1, 1, body, body_hash('job', id, 1, 1, body), strftime('%Y-%m-%dT%H:%M:%SZ', 'now') FROM visit;
INSERT INTO reference (kind, id, hold, to_kind, to_id) SELECT 'job', id, 'BelongsTo', 'machine', machine_id FROM visit;

INSERT INTO job_event (id, change_id, job_id, machine_id, kind, at, actor, schema, body, hash)
SELECT number, change_id, job_id, machine_id, kind, at, actor, 1, body, body_hash(kind, number, 1, 1, body)
FROM (
    SELECT (SELECT max(id) FROM change) + row_number() OVER (ORDER BY visit.id, entry.key) AS number,
           (SELECT max(id) FROM change) AS change_id, visit.id AS job_id, visit.machine_id,
           entry.value ->> '$.kind' AS kind, entry.value ->> '$.at' AS at, entry.value ->> '$.actor' AS actor,
           entry.value ->> '$.body' AS body
    FROM visit, json_each(visit_entries(visit.after)) AS entry);

DROP TABLE visit;
DROP TABLE numbered;
DROP TABLE set_job;
DROP TABLE machine_settings;
DROP TABLE machine_loads;
DROP TABLE setup_redo;
DROP TABLE shaft_widths;
DROP TABLE loop_layout;
DROP TABLE aim_outcome;
DROP TABLE aim;
DROP TABLE setup_road_wheel;
DROP TABLE setup_loop;
DROP TABLE setup;
DROP TABLE drive_output;
DROP TABLE stage;
DROP TABLE drive;
DROP TABLE machine;
DROP TABLE gearbox_set;
DROP TABLE stock_item;
DROP TABLE stock_spacer;
DROP TABLE earlier_thing;
DROP TABLE earlier_change;

PRAGMA application_id = 0x57444b31; -- “WDK1”
