-- an edit is known by its key: where one was accepted twice before, the later one has its number too
update revisions set key = left(revisions.key, 40) || ' ' || revisions.number
from revisions earlier
where earlier.frame = revisions.frame and earlier.key = revisions.key and earlier.number < revisions.number;

create unique index revisions_by_key on revisions (frame, key);

-- how many frames were given an id of this name, so that the next number is known without trying
create table ids (
  slug text primary key,
  number integer not null
);

-- by which it is known whether a revision is as it was written (server/frames/sum.ts has the same)
alter table revisions add column sum text;
update revisions set sum = encode(sha256(convert_to(concat_ws(chr(10), frame, number, key, coalesce(edit::text, ''), coalesce(inverse::text, ''), coalesce(snapshot::text, '')), 'UTF8')), 'hex');
alter table revisions alter column sum set not null;
