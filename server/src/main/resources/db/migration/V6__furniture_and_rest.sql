-- What recurs on the pages of a crawl and is no text of any: keys in hexadecimal digits, blanks between.
ALTER TABLE source ADD COLUMN furniture CHARACTER LARGE OBJECT DEFAULT '' NOT NULL;

-- What was deleted, for as long as it can be brought back: its rows, as gzip of JSON Lines.
CREATE TABLE deleted (
    deleted_id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    -- site, collection or search
    kind       VARCHAR(10) NOT NULL,
    site_key   VARCHAR(40) NOT NULL,
    own_key    VARCHAR(40) NOT NULL,
    name       VARCHAR(80) NOT NULL,
    deleted    TIMESTAMP WITH TIME ZONE NOT NULL,
    deleted_by VARCHAR(80) NOT NULL,
    kept_rows  BINARY LARGE OBJECT NOT NULL
);
CREATE INDEX deleted_by_site ON deleted (site_key, deleted_id);

-- Passwords and tokens of the address, which the settings have masked: a JSON object.
ALTER TABLE source ADD COLUMN secrets CHARACTER LARGE OBJECT DEFAULT '{}' NOT NULL;
