-- What was done to an engine, and what had to be proven again after it; or that it was not done after all. None of it is changed or removed.
create table work (
  club_id uuid not null,
  work_id uuid not null,
  seq bigint generated always as identity,
  engine_id uuid not null,
  work text not null,
  text text not null,
  again text[] not null,
  -- Of a row that says another was written in error: which.
  of_id uuid,
  at timestamptz not null default now(),
  by_id uuid,
  by_name text not null,
  primary key (club_id, work_id),
  foreign key (club_id, engine_id) references engine on delete cascade,
  foreign key (club_id, of_id) references work
);
create index work_engine on work (club_id, engine_id, seq);
create unique index work_taken_back on work (club_id, of_id) where of_id is not null;
alter table work enable row level security;
create policy club_wall on work to joram_app using (club_id = current_club()) with check (club_id = current_club());
grant select, insert on work to joram_app;
