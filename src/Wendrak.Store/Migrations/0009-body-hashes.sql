-- Hashes of bodies by XXH3: see Bodies/BodyHash.cs. A row that is not what was written keeps the hash that says so.
-- body_hash and earlier_body_hash are functions of the program.

UPDATE record SET hash = body_hash(kind, id, version, schema, body)
WHERE length(hash) = 32 AND hash = earlier_body_hash(kind, id, version, schema, body);

UPDATE change_item SET hash = body_hash(kind, id, version, schema, coalesce(body, ''))
WHERE length(hash) = 32 AND hash = earlier_body_hash(kind, id, version, schema, coalesce(body, ''));

UPDATE job_event SET hash = body_hash(kind, id, 1, schema, body)
WHERE length(hash) = 32 AND hash = earlier_body_hash(kind, id, 1, schema, body);
