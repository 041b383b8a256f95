-- There is one first start, whoever is quick.
CREATE TABLE first_start (only_one INT PRIMARY KEY CHECK (only_one = 1));
INSERT INTO first_start (only_one) SELECT 1 WHERE EXISTS (SELECT 1 FROM owner);

-- Raised with every new password, which ends the sessions of before.
ALTER TABLE owner ADD COLUMN password_number INT DEFAULT 1 NOT NULL;

-- The one site that a key is good for; null for all of them.
ALTER TABLE access_key ADD COLUMN site_key VARCHAR(40) REFERENCES site ON DELETE CASCADE;
-- content, answers or all
ALTER TABLE access_key ADD COLUMN rights VARCHAR(10) DEFAULT 'all' NOT NULL;
ALTER TABLE access_key ADD COLUMN last_used TIMESTAMP WITH TIME ZONE;
-- Whether it comes from the operator's settings, and ends when those change.
ALTER TABLE access_key ADD COLUMN operators BOOLEAN DEFAULT FALSE NOT NULL;
UPDATE access_key SET operators = TRUE WHERE name = 'the operator’s';

-- Random texts of this installation's own, by which it knows again what it has signed.
CREATE TABLE secret (
    name   VARCHAR(40) PRIMARY KEY,
    secret VARCHAR(200) NOT NULL
);

-- Whether a field's kind was told from values alone, so that it gives way to values that do not fit it.
ALTER TABLE field ADD COLUMN guessed BOOLEAN DEFAULT FALSE NOT NULL;
