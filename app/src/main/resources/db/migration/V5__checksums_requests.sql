-- A revision says what it was written as: the checksum of its own fields and document, and that chained to the one before.
-- Those that are there already are sealed by the next step.
ALTER TABLE revision ADD COLUMN checksum TEXT NOT NULL DEFAULT '';
ALTER TABLE revision ADD COLUMN chain TEXT NOT NULL DEFAULT '';

-- The key a page gave a change, so that a request that is sent again is one edit.
ALTER TABLE revision ADD COLUMN request TEXT;
CREATE UNIQUE INDEX revision_request ON revision (job_id, request) WHERE request IS NOT NULL;
