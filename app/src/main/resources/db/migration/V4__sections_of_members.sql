-- Sections of members join the catalogue. Which kinds there are is known to the reader of entries; the table only keeps them.
CREATE TABLE catalogue_entry_next (
    id          INTEGER PRIMARY KEY,
    kind        TEXT    NOT NULL CHECK (length(kind) BETWEEN 1 AND 40),
    code        TEXT    NOT NULL,
    edition     TEXT    NOT NULL,
    hash        TEXT    NOT NULL,
    body        TEXT    NOT NULL,
    origin      TEXT    NOT NULL DEFAULT 'shipped' CHECK (origin IN ('shipped', 'own')),
    added_at    TEXT    NOT NULL DEFAULT '',
    UNIQUE (kind, code, edition)
);
INSERT INTO catalogue_entry_next (id, kind, code, edition, hash, body, origin, added_at)
    SELECT id, kind, code, edition, hash, body, origin, added_at FROM catalogue_entry;
DROP TABLE catalogue_entry;
ALTER TABLE catalogue_entry_next RENAME TO catalogue_entry;
