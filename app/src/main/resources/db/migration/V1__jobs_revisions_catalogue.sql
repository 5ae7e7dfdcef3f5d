-- A job is a line of revisions; each revision holds the whole input document. Rows are only ever added.
CREATE TABLE job (
    id          INTEGER PRIMARY KEY,
    slug        TEXT    NOT NULL UNIQUE,
    created_at  TEXT    NOT NULL
);

CREATE TABLE revision (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    number      INTEGER NOT NULL,
    made_on     INTEGER NOT NULL,
    kind        TEXT    NOT NULL CHECK (kind IN ('create', 'edit', 'undo', 'redo')),
    shows       INTEGER NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL,
    words       TEXT    NOT NULL,
    document    TEXT    NOT NULL,
    UNIQUE (job_id, number)
);

-- Catalogue entries are never changed in place: a change is a new edition, and jobs keep their own copy.
CREATE TABLE catalogue_entry (
    id          INTEGER PRIMARY KEY,
    kind        TEXT    NOT NULL CHECK (kind IN ('module', 'inverter', 'block', 'tray-system')),
    code        TEXT    NOT NULL,
    edition     TEXT    NOT NULL,
    hash        TEXT    NOT NULL,
    body        TEXT    NOT NULL,
    UNIQUE (kind, code, edition)
);
