-- Photographs and plan pictures, each stored once by the hash of what is stored; jobs name them by id.
CREATE TABLE picture (
    id          TEXT    PRIMARY KEY,
    name        TEXT    NOT NULL,
    kind        TEXT    NOT NULL CHECK (kind IN ('image/png', 'image/jpeg')),
    width       INTEGER NOT NULL,
    height      INTEGER NOT NULL,
    caption     TEXT    NOT NULL,
    who         TEXT    NOT NULL,
    at          TEXT    NOT NULL,
    bytes       BLOB    NOT NULL
);
