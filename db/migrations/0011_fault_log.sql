-- What was asked, seen, changed, mended and tried again of a fault: its own log. None of it is changed or removed.
create table fault_entry (
  club_id uuid not null,
  entry_id uuid not null,
  seq bigint generated always as identity,
  fault_id uuid not null,
  kind text not null check (kind in ('asked', 'shown', 'struck', 'changed', 'undone', 'tried', 'fix', 'retest', 'cleared')),
  at timestamptz not null default now(),
  by_id uuid,
  by_name text not null,
  body jsonb not null,
  primary key (club_id, entry_id),
  foreign key (club_id, fault_id) references fault on delete cascade
);
create index fault_entry_fault on fault_entry (club_id, fault_id, seq);
create index fault_entry_fixes on fault_entry (club_id, fault_id) where kind = 'fix';

alter table fault_entry enable row level security;
create policy club_wall on fault_entry to joram_app using (club_id = current_club()) with check (club_id = current_club());
grant select, insert on fault_entry to joram_app;

-- What its log comes to: whom or what a fix still waits for, and how it is to be seen that it holds.
alter table fault add column awaits text check (awaits in ('examiner', 'retest')), add column retest text;
create index fault_retest on fault (club_id, engine_id) where awaits = 'retest';
