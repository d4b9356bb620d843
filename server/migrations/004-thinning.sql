-- what a person named is kept when older revisions are thinned
alter table revisions add column named boolean not null default false;

-- by which frames are found that were deleted long ago
create index frames_deleted on frames (deleted) where deleted is not null;
