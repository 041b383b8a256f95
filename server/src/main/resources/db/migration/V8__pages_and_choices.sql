-- How often visitors chose each item among the results of a search, without anything about who chose.
CREATE TABLE chosen_item (
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    item       VARCHAR(241) NOT NULL,
    times      BIGINT NOT NULL,
    PRIMARY KEY (search_key, item)
);

-- Pages of the site on which elements of a search were met, and what they found there.
CREATE TABLE search_page (
    search_key    VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    address       VARCHAR(500) NOT NULL,
    title         VARCHAR(200) NOT NULL,
    elements      VARCHAR(100) NOT NULL,
    unknown_links CHARACTER LARGE OBJECT NOT NULL,
    unknown_count INT NOT NULL,
    seen          TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (search_key, address)
);

-- Links that show the draft of a search on the site's own pages to whoever has them, until they end.
CREATE TABLE draft_link (
    token_hash VARCHAR(64) PRIMARY KEY,
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    ends       TIMESTAMP WITH TIME ZONE NOT NULL
);
