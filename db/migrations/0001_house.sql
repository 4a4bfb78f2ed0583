-- Clubs, people, engines, steamings and the log. Every table carries club_id first in its key, so that one club's rows
-- lie together and could be moved to a server of their own; every table is behind row-level security by that column.

do $$ begin
  if not exists (select from pg_roles where rolname = 'joram_app') then
    create role joram_app nologin nosuperuser nocreatedb nocreaterole nobypassrls;
  end if;
end $$;
do $$ begin execute format('grant connect on database %I to joram_app', current_database()); end $$;
grant usage on schema public to joram_app;

-- The club this request speaks for; null when none has been set, and then every policy says no.
create function current_club() returns uuid language sql stable as
  $$ select nullif(current_setting('joram.club', true), '')::uuid $$;

create table club (
  club_id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  demo boolean not null default false,
  created_at timestamptz not null default now()
);

create table member (
  club_id uuid not null references club on delete cascade,
  member_id uuid not null,
  sign_in text not null check (length(sign_in) between 2 and 120),
  name text not null check (length(name) between 1 and 120),
  roles text[] not null check (roles <@ array['owner','steward','operator','examiner','trainee'] and cardinality(roles) > 0),
  secret text not null,
  settings jsonb not null default '{}',
  created_at timestamptz not null default now(),
  primary key (club_id, member_id)
);
create unique index member_sign_in on member (lower(sign_in));

create table session (
  club_id uuid not null,
  token_hash text not null,
  member_id uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  primary key (club_id, token_hash),
  foreign key (club_id, member_id) references member on delete cascade
);
create unique index session_token on session (token_hash);
create index session_member on session (club_id, member_id);

create table invitation (
  club_id uuid not null,
  token_hash text not null,
  roles text[] not null,
  made_by uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_by uuid,
  primary key (club_id, token_hash),
  foreign key (club_id, made_by) references member on delete cascade
);
create unique index invitation_token on invitation (token_hash);
create index invitation_maker on invitation (club_id, made_by);

create table engine (
  club_id uuid not null references club on delete cascade,
  engine_id uuid not null,
  name text not null check (length(name) between 1 and 80),
  fit_out jsonb not null,
  version int not null default 1,
  created_at timestamptz not null default now(),
  primary key (club_id, engine_id)
);
create unique index engine_name on engine (club_id, lower(name));

create table paper (
  club_id uuid not null,
  paper_id uuid not null,
  engine_id uuid not null,
  kind text not null,
  number text not null default '',
  issued date not null,
  expires date not null,
  primary key (club_id, paper_id),
  foreign key (club_id, engine_id) references engine on delete cascade
);
create index paper_engine on paper (club_id, engine_id, expires);

create table steaming (
  club_id uuid not null,
  steaming_id uuid not null,
  engine_id uuid not null,
  keeper_id uuid not null,
  purpose text not null default '',
  wanted_at timestamptz,
  started_at timestamptz,
  ended_at timestamptz,
  -- What it was run with, kept whole: an old record always shows the engine and the procedure of its day.
  fit_out jsonb not null,
  procedure jsonb not null,
  override jsonb,
  -- Written once when it ends, from the same fold that every screen uses.
  summary jsonb,
  imported_from jsonb,
  created_at timestamptz not null default now(),
  primary key (club_id, steaming_id),
  foreign key (club_id, engine_id) references engine on delete cascade,
  foreign key (club_id, keeper_id) references member
);
create index steaming_engine on steaming (club_id, engine_id, started_at desc);
create index steaming_book on steaming (club_id, started_at desc, steaming_id);
create index steaming_open on steaming (club_id) where ended_at is null;
create index steaming_keeper on steaming (club_id, keeper_id);
-- One engine, one fire: two phones that both press start get one steaming.
create unique index steaming_one_open on steaming (club_id, engine_id) where started_at is not null and ended_at is null;

create table entry (
  club_id uuid not null,
  entry_id uuid not null,
  steaming_id uuid not null,
  seq bigint generated always as identity,
  kind text not null,
  at timestamptz not null,
  received_at timestamptz not null default now(),
  by_id uuid not null,
  by_name text not null,
  source text not null check (source in ('person', 'device', 'practice')),
  body jsonb not null,
  strikes uuid,
  primary key (club_id, entry_id),
  foreign key (club_id, steaming_id) references steaming on delete cascade
);
create index entry_steaming on entry (club_id, steaming_id, seq);

create table fault (
  club_id uuid not null,
  fault_id uuid not null,
  engine_id uuid not null,
  steaming_id uuid,
  text text not null check (length(text) between 1 and 2000),
  forbids text not null check (forbids in ('steaming', 'passengers', 'nothing')),
  raised_at timestamptz not null,
  raised_by text not null,
  fixed_at timestamptz,
  fixed_by text,
  fix text,
  withdrawn_at timestamptz,
  primary key (club_id, fault_id),
  foreign key (club_id, engine_id) references engine on delete cascade,
  foreign key (club_id, steaming_id) references steaming on delete set null (steaming_id)
);
create index fault_engine on fault (club_id, engine_id, raised_at desc);
create index fault_open on fault (club_id, raised_at desc) where fixed_at is null and withdrawn_at is null;
create index fault_book on fault (club_id, raised_at desc, fault_id);
create index fault_steaming on fault (club_id, steaming_id);

-- The walls. The serving role sees one club at a time and can neither change nor remove a log entry.
do $$
declare t text;
begin
  foreach t in array array['club','member','session','invitation','engine','paper','steaming','entry','fault'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy club_wall on %I to joram_app using (club_id = current_club()) with check (club_id = current_club())', t);
  end loop;
end $$;
grant select on club to joram_app;
grant select, insert, update on member, engine, paper, steaming, fault to joram_app;
grant select, insert, update, delete on session, invitation to joram_app;
grant delete on paper to joram_app;
grant select, insert on entry to joram_app;

-- Doors through the wall, for those who have no club yet. Each answers one question and no more.
create function sign_in_member(wanted text) returns table (club_id uuid, member_id uuid, secret text)
  language sql stable security definer set search_path = public as
  $$ select club_id, member_id, secret from member where lower(sign_in) = lower(wanted) $$;

create function session_member(hash text)
  returns table (club_id uuid, member_id uuid, name text, sign_in text, roles text[], settings jsonb, club_name text, demo boolean)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id, m.name, m.sign_in, m.roles, m.settings, c.name, c.demo
     from session s join member m using (club_id, member_id) join club c using (club_id)
     where s.token_hash = hash and s.expires_at > now() $$;

create function open_invitation(hash text) returns table (club_id uuid, club_name text, roles text[])
  language sql stable security definer set search_path = public as
  $$ select i.club_id, c.name, i.roles from invitation i join club c using (club_id)
     where i.token_hash = hash and i.used_by is null and i.expires_at > now() $$;

create function demo_members() returns table (sign_in text, name text, roles text[], club text)
  language sql stable security definer set search_path = public as
  $$ select m.sign_in, m.name, m.roles, c.name from member m join club c using (club_id) where c.demo
     order by c.created_at, array_position(array['owner','operator','steward','examiner','trainee'], m.roles[1]), m.name $$;

create function demo_member(wanted text) returns table (club_id uuid, member_id uuid)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id from member m join club c using (club_id) where c.demo and m.sign_in = wanted $$;

create function has_clubs() returns boolean
  language sql stable security definer set search_path = public as $$ select exists (select from club) $$;

-- The first club and its owner, once, while there is none.
create function found_first_club(club uuid, club_name text, member uuid, sign_in text, name text, secret text) returns boolean
  language plpgsql security definer set search_path = public as $$
begin
  lock table club in exclusive mode;
  if exists (select from club) then return false; end if;
  insert into club (club_id, name) values (club, club_name);
  insert into member (club_id, member_id, sign_in, name, roles, secret) values (club, member, sign_in, name, array['owner'], secret);
  return true;
end $$;

do $$
declare f text;
begin
  foreach f in array array['sign_in_member(text)','session_member(text)','open_invitation(text)','demo_members()','demo_member(text)','has_clubs()','found_first_club(uuid,text,uuid,text,text,text)'] loop
    execute format('revoke all on function %s from public', f);
    execute format('grant execute on function %s to joram_app', f);
  end loop;
end $$;

-- New entries are told to every process that listens, one message a statement; the rows themselves are fetched by whoever may read them.
create function tell_entries() returns trigger language plpgsql as $$
begin
  perform pg_notify('joram_entry', json_build_object('club', club_id, 'steaming', steaming_id, 'from', min(seq))::text)
    from added group by club_id, steaming_id;
  return null;
end $$;
create trigger entries_told after insert on entry referencing new table as added
  for each statement execute function tell_entries();
