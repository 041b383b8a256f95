-- What the site's elements wear: a look as JSON.
ALTER TABLE site ADD COLUMN look CHARACTER LARGE OBJECT DEFAULT '{}' NOT NULL;
