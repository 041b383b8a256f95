-- Who may change things.
CREATE TABLE owner (
    id            BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name          VARCHAR(80) NOT NULL UNIQUE,
    password_hash VARCHAR(200) NOT NULL
);

-- Only a hash of a key is kept: whoever reads the database can use none of them.
CREATE TABLE access_key (
    id       BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name     VARCHAR(80) NOT NULL,
    key_hash CHAR(64) NOT NULL UNIQUE,
    created  TIMESTAMP WITH TIME ZONE NOT NULL
);

CREATE TABLE site (
    site_key    VARCHAR(40) PRIMARY KEY,
    name        VARCHAR(80) NOT NULL,
    address     VARCHAR(500) NOT NULL,
    -- Counts the pushes that changed something; the index tells by it what it has not seen.
    last_change BIGINT DEFAULT 0 NOT NULL
);

-- Which other origins may ask the site's searches from a browser.
CREATE TABLE site_origin (
    site_key VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    origin   VARCHAR(300) NOT NULL,
    PRIMARY KEY (site_key, origin)
);

CREATE TABLE collection (
    site_key       VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    collection_key VARCHAR(40) NOT NULL,
    label          VARCHAR(80) NOT NULL,
    language       VARCHAR(35) NOT NULL,
    place          INT NOT NULL,
    PRIMARY KEY (site_key, collection_key)
);

CREATE TABLE field (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    field_key      VARCHAR(64) NOT NULL,
    kind           VARCHAR(10) NOT NULL,
    property       VARCHAR(200) NOT NULL,
    label          VARCHAR(200) NOT NULL,
    place          INT NOT NULL,
    PRIMARY KEY (site_key, collection_key, field_key),
    UNIQUE (site_key, collection_key, property),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);

-- Items as their sources bring them, so that a corrected kind can read them anew.
CREATE TABLE item (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    item_id        VARCHAR(200) NOT NULL,
    properties     CHARACTER LARGE OBJECT NOT NULL,
    title          VARCHAR(300) NOT NULL,
    address        VARCHAR(2000),
    change_number  BIGINT NOT NULL,
    changed        TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (site_key, collection_key, item_id),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);
CREATE INDEX item_by_change ON item (site_key, change_number, collection_key, item_id);

CREATE TABLE search (
    search_key     VARCHAR(40) PRIMARY KEY,
    site_key       VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    draft          CHARACTER LARGE OBJECT NOT NULL,
    -- Raised with every change, so that nobody overwrites what they have not seen.
    draft_revision BIGINT NOT NULL,
    live_version   INT
);

CREATE TABLE search_version (
    search_key   VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    version      INT NOT NULL,
    design       CHARACTER LARGE OBJECT NOT NULL,
    published    TIMESTAMP WITH TIME ZONE NOT NULL,
    published_by VARCHAR(80) NOT NULL,
    PRIMARY KEY (search_key, version)
);
