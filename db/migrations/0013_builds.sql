-- What was said of a build: that it began, that a stage is left out, that it was released. None of it is changed or removed.
create table build_entry (
  club_id uuid not null,
  entry_id uuid not null,
  seq bigint generated always as identity,
  engine_id uuid not null,
  kind text not null check (kind in ('begun', 'skipped', 'stopped', 'released')),
  at timestamptz not null default now(),
  by_id uuid,
  by_name text not null,
  body jsonb not null,
  primary key (club_id, entry_id),
  foreign key (club_id, engine_id) references engine on delete cascade
);
create index build_entry_engine on build_entry (club_id, engine_id, seq);

-- Pictures, each once, under the sum of its bytes.
create table photo (
  club_id uuid not null references club,
  sum text not null check (sum ~ '^[0-9a-f]{64}$'),
  kind text not null check (kind in ('image/jpeg', 'image/png', 'image/webp')),
  bytes bytea not null check (octet_length(bytes) <= 1600000),
  at timestamptz not null default now(),
  by_id uuid,
  by_name text not null,
  primary key (club_id, sum)
);

do $$
declare t text;
begin
  foreach t in array array['build_entry', 'photo'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy club_wall on %I to joram_app using (club_id = current_club()) with check (club_id = current_club())', t);
    execute format('grant select, insert on %I to joram_app', t);
  end loop;
end $$;

-- Where a fault is, and at which pressure it showed.
alter table fault add column place text, add column pressure double precision;
create index fault_place on fault (club_id, engine_id, place) where place is not null;

-- What a matrix, a sweep and a rig are made of, wherever it was logged.
create index entry_commission on entry (club_id, steaming_id) where kind in ('cell', 'sweep', 'rig', 'accumulation');
