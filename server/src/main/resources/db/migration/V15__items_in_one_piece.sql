-- What an item says lies in its row, as long as it is no longer than this (in bytes). Most are shorter; kept apart, each
-- is written and read a second time, which is most of what a large push and an index made anew take of the database.
SET MAX_LENGTH_INPLACE_LOB 8192;
