-- By whose days placements begin and end, and turns change: an IANA name of a time zone.
ALTER TABLE site ADD COLUMN time_zone VARCHAR(60) DEFAULT 'UTC' NOT NULL;

-- That an item holds a featured tier, given by hand. It stays while the item is gone, which may come back with the next sync.
CREATE TABLE placement (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    item_id        VARCHAR(200) NOT NULL,
    tier           VARCHAR(40) NOT NULL,
    place          INT,
    from_day       DATE,
    until_day      DATE,
    PRIMARY KEY (site_key, collection_key, item_id, tier),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);

-- Names that visitors may type for places, beside those of items and of the gazetteer.
CREATE TABLE own_place (
    site_key  VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    name      VARCHAR(100) NOT NULL,
    latitude  DOUBLE PRECISION NOT NULL,
    longitude DOUBLE PRECISION NOT NULL,
    PRIMARY KEY (site_key, name)
);

-- How often visitors asked each query, without anything about who asked.
CREATE TABLE asked_query (
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    query      VARCHAR(200) NOT NULL,
    times      BIGINT NOT NULL,
    PRIMARY KEY (search_key, query)
);
