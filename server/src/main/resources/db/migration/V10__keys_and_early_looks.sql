-- What a search is for, in its owner's words; null where nobody said.
ALTER TABLE search ADD COLUMN purpose VARCHAR(300);

-- Keys that a search had before: tags that carry one go on working.
CREATE TABLE former_search_key (
    former_key VARCHAR(40) PRIMARY KEY,
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE
);

-- A design that is to be published at a time to come, as its owner looked it over.
CREATE TABLE planned_publication (
    search_key VARCHAR(40) PRIMARY KEY REFERENCES search ON DELETE CASCADE,
    design     CHARACTER LARGE OBJECT NOT NULL,
    due        TIMESTAMP WITH TIME ZONE NOT NULL,
    planned_by VARCHAR(80) NOT NULL,
    reason     VARCHAR(300),
    -- Why it could not be published when its time came; null before.
    failure    VARCHAR(1000)
);

-- Pages of a site, or all of an origin, on which the draft of a search stands in place of its live version.
CREATE TABLE test_page (
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    address    VARCHAR(500) NOT NULL,
    PRIMARY KEY (search_key, address)
);

-- A design that a share of visitors meets in place of the live version, for a while. The last one of each search is
-- kept, with what both sides did.
CREATE TABLE split (
    split_id   BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    search_key VARCHAR(40) NOT NULL UNIQUE REFERENCES search ON DELETE CASCADE,
    design     CHARACTER LARGE OBJECT NOT NULL,
    percent    INT NOT NULL,
    begun      TIMESTAMP WITH TIME ZONE NOT NULL,
    begun_by   VARCHAR(80) NOT NULL,
    ends       TIMESTAMP WITH TIME ZONE NOT NULL
);

-- What visitors of each side did: the number of the split, its side and what was done, as '7 draft asked'.
CREATE TABLE split_count (
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    done       VARCHAR(60) NOT NULL,
    times      BIGINT NOT NULL,
    PRIMARY KEY (search_key, done)
);

-- What somebody decided to leave as it is, of what was open in a search.
CREATE TABLE left_point (
    search_key VARCHAR(40) NOT NULL REFERENCES search ON DELETE CASCADE,
    point_id   VARCHAR(200) NOT NULL,
    left_by    VARCHAR(80) NOT NULL,
    left_at    TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (search_key, point_id)
);

-- In windows of which widths a page was met (narrow, wide; one a line), with which version of the script, and since when.
ALTER TABLE search_page ADD COLUMN widths VARCHAR(40) DEFAULT '' NOT NULL;
ALTER TABLE search_page ADD COLUMN script VARCHAR(40);
ALTER TABLE search_page ADD COLUMN first_seen TIMESTAMP WITH TIME ZONE DEFAULT CURRENT_TIMESTAMP NOT NULL;
UPDATE search_page SET first_seen = seen;
