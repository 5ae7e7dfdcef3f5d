-- Going back to an earlier revision appends one of its own kind.
CREATE TABLE revision_next (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    number      INTEGER NOT NULL,
    made_on     INTEGER NOT NULL,
    kind        TEXT    NOT NULL CHECK (kind IN ('create', 'edit', 'undo', 'redo', 'return')),
    shows       INTEGER NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL,
    words       TEXT    NOT NULL,
    document    TEXT    NOT NULL,
    UNIQUE (job_id, number)
);
INSERT INTO revision_next SELECT id, job_id, number, made_on, kind, shows, who, at, words, document FROM revision;
DROP TABLE revision;
ALTER TABLE revision_next RENAME TO revision;

-- A name for a revision worth finding again; the newest row of a revision counts.
CREATE TABLE revision_name (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    number      INTEGER NOT NULL,
    name        TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);

ALTER TABLE job ADD COLUMN archived_at TEXT;

-- What the list of jobs shows of the newest revision; made again whenever it is missing.
CREATE TABLE job_card (
    job_id      INTEGER PRIMARY KEY REFERENCES job (id),
    revision    INTEGER NOT NULL,
    tables      TEXT    NOT NULL,
    figures     TEXT    NOT NULL,
    drawing     TEXT    NOT NULL
);

CREATE TABLE catalogue_entry_next (
    id          INTEGER PRIMARY KEY,
    kind        TEXT    NOT NULL CHECK (kind IN ('module', 'inverter', 'block', 'tray-system', 'conductor')),
    code        TEXT    NOT NULL,
    edition     TEXT    NOT NULL,
    hash        TEXT    NOT NULL,
    body        TEXT    NOT NULL,
    origin      TEXT    NOT NULL DEFAULT 'shipped' CHECK (origin IN ('shipped', 'own')),
    added_at    TEXT    NOT NULL DEFAULT '',
    UNIQUE (kind, code, edition)
);
INSERT INTO catalogue_entry_next (id, kind, code, edition, hash, body) SELECT id, kind, code, edition, hash, body FROM catalogue_entry;
DROP TABLE catalogue_entry;
ALTER TABLE catalogue_entry_next RENAME TO catalogue_entry;

-- Code tables put in, confirmed or withdrawn by the user; the newest row of a table is in force.
CREATE TABLE code_table_change (
    id          INTEGER PRIMARY KEY,
    table_id    TEXT    NOT NULL,
    kind        TEXT    NOT NULL CHECK (kind IN ('replace', 'confirm', 'withdraw')),
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL,
    title       TEXT    NOT NULL,
    source      TEXT    NOT NULL,
    edition     TEXT    NOT NULL,
    status      TEXT    NOT NULL CHECK (status IN ('confirmed', 'unconfirmed', 'invented')),
    remark      TEXT    NOT NULL,
    data        TEXT    NOT NULL
);
