-- Items that a push or a run removed, as they were, so that they can be put back. They rest 30 days.
CREATE TABLE resting_item (
    site_key       VARCHAR(40) NOT NULL,
    collection_key VARCHAR(40) NOT NULL,
    -- The site's number of the change that removed it.
    removed_by     BIGINT NOT NULL,
    item_id        VARCHAR(200) NOT NULL,
    properties     CHARACTER LARGE OBJECT NOT NULL,
    title          VARCHAR(300) NOT NULL,
    address        VARCHAR(2000),
    source_id      BIGINT,
    -- From when the 30 days count: when it was removed, put back or removed again.
    rests_from     TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (site_key, collection_key, removed_by, item_id),
    FOREIGN KEY (site_key, collection_key) REFERENCES collection ON DELETE CASCADE
);
CREATE INDEX resting_item_by_time ON resting_item (rests_from);
