-- The rules that a club proves by, as its examiner gives them: every version stays.
create table rules (
  club_id uuid not null references club,
  version int not null check (version >= 1),
  document jsonb not null,
  at timestamptz not null default now(),
  by_name text not null,
  primary key (club_id, version)
);

-- Worksheets and signatures, each as the text it was written as, with the sum of itself and of the one before it: a chain for each club.
create table proof (
  club_id uuid not null,
  proof_id uuid not null,
  seq bigint generated always as identity,
  engine_id uuid not null,
  kind text not null check (kind in ('worksheet', 'signature')),
  at timestamptz not null,
  by_name text not null,
  -- For finding it: what counts is in the document.
  sheet text,
  verdict text,
  of_id uuid,
  document text not null check (length(document) between 2 and 200000),
  previous text not null,
  hash text not null check (hash ~ '^[0-9a-f]{64}$'),
  primary key (club_id, proof_id),
  foreign key (club_id, engine_id) references engine on delete cascade
);
-- Two cannot follow the same one.
create unique index proof_chain on proof (club_id, previous);
create unique index proof_signed on proof (club_id, of_id) where of_id is not null;
create index proof_engine on proof (club_id, engine_id, seq desc);

do $$
declare t text;
begin
  foreach t in array array['rules', 'proof'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy club_wall on %I to joram_app using (club_id = current_club()) with check (club_id = current_club())', t);
    execute format('grant select, insert on %I to joram_app', t);
  end loop;
end $$;
