-- What drives a machine, and what its chains and belts can take.

CREATE TABLE machine_loads (
    machine_id INTEGER PRIMARY KEY REFERENCES machine (id) ON DELETE CASCADE,
    loads      TEXT NOT NULL -- JSON
);
