-- What is signed and what was done on the roof. Rows are only ever added; what is taken back is a row of its own.

-- A signature under the ballast map of one revision, with the map and the checks as they were signed.
CREATE TABLE signature (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    revision    INTEGER NOT NULL,
    name        TEXT    NOT NULL,
    licence     TEXT    NOT NULL,
    signed_on   TEXT    NOT NULL,
    relied_on   TEXT    NOT NULL,
    settled     TEXT    NOT NULL,
    signed      TEXT    NOT NULL,
    checksum    TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);
CREATE INDEX signature_job ON signature (job_id);

CREATE TABLE signature_withdrawn (
    signature_id INTEGER PRIMARY KEY REFERENCES signature (id),
    name        TEXT    NOT NULL,
    reason      TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);

-- A signed map is locked until somebody opens it for changes.
CREATE TABLE signature_opened (
    signature_id INTEGER PRIMARY KEY REFERENCES signature (id),
    name        TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);

-- Blocks as laid: the newest row of a place counts; one without blocks takes the tick back.
CREATE TABLE laid (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    signature_id INTEGER NOT NULL REFERENCES signature (id),
    array       TEXT    NOT NULL,
    number      TEXT    NOT NULL,
    x_mm        INTEGER NOT NULL,
    y_mm        INTEGER NOT NULL,
    blocks      INTEGER CHECK (blocks IS NULL OR blocks BETWEEN 0 AND 200),
    laid_by     TEXT    NOT NULL,
    note        TEXT    NOT NULL,
    picture     TEXT,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);
CREATE INDEX laid_job ON laid (job_id);

-- Penetrations of the covering: the newest row of a number counts.
CREATE TABLE penetration (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    number      INTEGER NOT NULL,
    place       TEXT    NOT NULL,
    kind        TEXT    NOT NULL,
    made_by     TEXT    NOT NULL,
    made_on     TEXT    NOT NULL,
    flashed_by  TEXT    NOT NULL,
    flashed_on  TEXT,
    accepted_by TEXT    NOT NULL,
    accepted_on TEXT,
    note        TEXT    NOT NULL,
    pictures    TEXT    NOT NULL,
    struck_out  INTEGER NOT NULL DEFAULT 0 CHECK (struck_out IN (0, 1)),
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL
);
CREATE INDEX penetration_job ON penetration (job_id, number);
