-- Whoever signs in. Those who run the installation may do everything; the others what their sites let them.
ALTER TABLE owner RENAME TO person;
ALTER TABLE person ADD COLUMN runs_installation BOOLEAN DEFAULT FALSE NOT NULL;
UPDATE person SET runs_installation = TRUE;

CREATE TABLE site_person (
    site_key VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    person   VARCHAR(80) NOT NULL REFERENCES person (name) ON DELETE CASCADE,
    -- owner, editor or viewer
    role     VARCHAR(10) NOT NULL,
    since    TIMESTAMP WITH TIME ZONE NOT NULL,
    PRIMARY KEY (site_key, person)
);

-- Only a hash of what a link holds is kept. A link works once.
CREATE TABLE invitation (
    invitation_id BIGINT GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    site_key      VARCHAR(40) NOT NULL REFERENCES site ON DELETE CASCADE,
    role          VARCHAR(10) NOT NULL,
    token_hash    CHAR(64) NOT NULL UNIQUE,
    made          TIMESTAMP WITH TIME ZONE NOT NULL,
    made_by       VARCHAR(80) NOT NULL
);
