-- What owners changed by hand in a site: what it was and what it became, so that it can be taken back. Rests 30 days.
CREATE TABLE owner_change (
    change_id    BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    site_key     VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    kind         VARCHAR(20) NOT NULL,
    -- All three as JSON; the states are null where there was no such thing.
    subject      CHARACTER LARGE OBJECT NOT NULL,
    state_before CHARACTER LARGE OBJECT,
    state_after  CHARACTER LARGE OBJECT,
    told         VARCHAR(500) NOT NULL,
    changed      TIMESTAMP WITH TIME ZONE NOT NULL,
    changed_by   VARCHAR(80) NOT NULL
);
CREATE INDEX owner_change_by_site ON owner_change (site_key, change_id);
