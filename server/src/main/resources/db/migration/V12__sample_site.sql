-- A site that was taken to try things with; its pages come from the service itself.
ALTER TABLE site ADD COLUMN sample BOOLEAN DEFAULT FALSE NOT NULL;
