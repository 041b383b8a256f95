-- Why a version was published, in its publisher's words; null where nobody said.
ALTER TABLE search_version ADD COLUMN reason VARCHAR(300);
