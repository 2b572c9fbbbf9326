-- What was begun of a visit and is not kept yet, and who confirmed the cautions.

ALTER TABLE set_job ADD COLUMN in_hand TEXT; -- JSON
ALTER TABLE set_job ADD COLUMN cautions TEXT; -- JSON
