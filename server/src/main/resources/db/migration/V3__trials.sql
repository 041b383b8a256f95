-- Queries that must go well. They belong to the search, not to one of its designs: draft and live version answer the same ones.
CREATE TABLE trial (
    id             BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    search_key     VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    query          VARCHAR(200) NOT NULL,
    -- within, at-least, at-most or suggests
    expects        VARCHAR(10) NOT NULL,
    -- Of 'within'. Items come and go, so nothing is referred to.
    collection_key VARCHAR(40),
    item_id        VARCHAR(200),
    -- Places of 'within', results of 'at-least' and 'at-most'.
    number         INT,
    suggestion     VARCHAR(200)
);
CREATE INDEX trial_by_search ON trial (search_key, id);
