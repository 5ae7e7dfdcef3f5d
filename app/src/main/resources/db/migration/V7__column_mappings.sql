-- How the columns of a file from elsewhere become those of the catalogue; the newest of a name counts.
CREATE TABLE column_mapping (
    id          INTEGER PRIMARY KEY,
    kind        TEXT    NOT NULL,
    name        TEXT    NOT NULL,
    at          TEXT    NOT NULL,
    body        TEXT    NOT NULL,
    UNIQUE (kind, name)
);
