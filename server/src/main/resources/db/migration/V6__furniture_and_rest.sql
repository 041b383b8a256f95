-- What recurs on the pages of a crawl and is no text of any: keys in hexadecimal digits, blanks between.
ALTER TABLE source ADD COLUMN furniture CHARACTER LARGE OBJECT DEFAULT '' NOT NULL;
