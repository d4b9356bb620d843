-- the file that a frame is kept in too, and the revision that stands in it
alter table frames add column file text unique;
alter table frames add column file_revision integer;
