create table frames (
  id text primary key,
  name text not null,
  revision integer not null,
  made timestamptz not null default now(),
  changed timestamptz not null default now(),
  deleted timestamptz
);

-- json, not jsonb: the order of keys and nodes is the person's
create table revisions (
  frame text not null references frames (id),
  number integer not null,
  key text not null,
  label text not null,
  made timestamptz not null default now(),
  edit json,
  inverse json,
  snapshot json,
  primary key (frame, number)
);

create index revisions_with_snapshot on revisions (frame, number) where snapshot is not null;
