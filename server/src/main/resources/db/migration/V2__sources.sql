ALTER TABLE field ADD COLUMN unit VARCHAR(20);

-- Category values that the owner merged into others. Paths are JSON arrays of names, top first.
CREATE TABLE merged_value (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    field_key      VARCHAR(64) NOT NULL,
    from_path      VARCHAR(4000) NOT NULL,
    into_path      VARCHAR(4000) NOT NULL,
    PRIMARY KEY (site_key, collection_key, field_key, from_path),
    FOREIGN KEY (site_key, collection_key, field_key) REFERENCES field ON DELETE CASCADE
);

-- Where a collection's items come from. What is pushed needs no source.
CREATE TABLE source (
    source_id       BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    site_key        VARCHAR(40) NOT NULL,
    collection_key  VARCHAR(40) NOT NULL,
    name            VARCHAR(80) NOT NULL,
    settings        CHARACTER LARGE OBJECT NOT NULL,
    mapping         CHARACTER LARGE OBJECT NOT NULL,
    removes_missing BOOLEAN NOT NULL,
    schedule        VARCHAR(10) NOT NULL,
    next_run        TIMESTAMP WITH TIME ZONE,
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);

CREATE TABLE sync (
    sync_id    BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    source_id  BIGINT NOT NULL REFERENCES source ON DELETE CASCADE,
    state      VARCHAR(10) NOT NULL,
    begun      TIMESTAMP WITH TIME ZONE NOT NULL,
    begun_by   VARCHAR(80) NOT NULL,
    ended      TIMESTAMP WITH TIME ZONE,
    report     CHARACTER LARGE OBJECT NOT NULL
);
CREATE INDEX sync_by_source ON sync (source_id, sync_id);

-- What a crawl knows of the pages it read, so that it asks for what changed only.
CREATE TABLE crawled_page (
    source_id     BIGINT NOT NULL REFERENCES source ON DELETE CASCADE,
    address       VARCHAR(2000) NOT NULL,
    entity_tag    VARCHAR(300),
    last_modified VARCHAR(60),
    item_id       VARCHAR(200),
    links         CHARACTER LARGE OBJECT NOT NULL,
    read_as       VARCHAR(64) NOT NULL,
    PRIMARY KEY (source_id, address)
);

-- The source that last brought an item; null for a push.
ALTER TABLE item ADD COLUMN source_id BIGINT;

-- What is gone, for indexes that have not seen it yet. An item that comes back leaves this table.
CREATE TABLE removed_item (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    item_id        VARCHAR(200) NOT NULL,
    change_number  BIGINT NOT NULL,
    PRIMARY KEY (site_key, collection_key, item_id),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);
CREATE INDEX removed_by_change ON removed_item (site_key, change_number);

-- What an owner added to an item by hand. Outlives the item, so that one which comes back has it again.
CREATE TABLE item_mark (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    item_id        VARCHAR(200) NOT NULL,
    mark           VARCHAR(20000) NOT NULL,
    PRIMARY KEY (site_key, collection_key, item_id),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);
