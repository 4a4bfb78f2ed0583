-- Who is in, who was, what was done: members are put out and not deleted, papers withdrawn and not removed, and what is done is told.

alter table member add column left_at timestamptz;
alter table session add column agent text not null default '' check (length(agent) <= 300), add column seen_at timestamptz not null default now();
alter table invitation add column recalled_at timestamptz;

-- A link by which a member who forgot it gives a new password.
create table reset (
  club_id uuid not null,
  token_hash text not null,
  member_id uuid not null,
  made_by text not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  primary key (club_id, token_hash),
  foreign key (club_id, member_id) references member on delete cascade
);
create unique index reset_token on reset (token_hash);
create index reset_member on reset (club_id, member_id);

-- What was done, by whom: added to and never changed.
create table audit (
  club_id uuid not null references club on delete cascade,
  audit_id bigint generated always as identity,
  at timestamptz not null default now(),
  by_id uuid,
  by_name text not null,
  what text not null check (length(what) <= 60),
  about jsonb not null default '{}',
  primary key (club_id, audit_id)
);
create index audit_book on audit (club_id, at desc, audit_id desc);

-- Every fit-out that an engine has had, with who changed it.
create table fit_out_version (
  club_id uuid not null,
  engine_id uuid not null,
  version int not null,
  fit_out jsonb not null,
  at timestamptz not null default now(),
  by_name text not null,
  primary key (club_id, engine_id, version),
  foreign key (club_id, engine_id) references engine on delete cascade
);
insert into fit_out_version (club_id, engine_id, version, fit_out, at, by_name)
  select club_id, engine_id, version, fit_out, created_at, '' from engine;

alter table paper add column withdrawn_at timestamptz, add column withdrawn_by text, add column withdrawn_why text;
revoke delete on paper from joram_app;

do $$
declare t text;
begin
  foreach t in array array['reset','audit','fit_out_version'] loop
    execute format('alter table %I enable row level security', t);
    execute format('create policy club_wall on %I to joram_app using (club_id = current_club()) with check (club_id = current_club())', t);
  end loop;
end $$;
grant select, insert, update on reset to joram_app;
grant select, insert on audit, fit_out_version to joram_app;
grant update (seen_at) on session to joram_app;

-- Tries of a password, counted for every process alike. It holds no club's rows.
create table try_limit (key varchar(255) primary key, points int not null default 0, expire bigint);
grant select, insert, update, delete on try_limit to joram_app;

create or replace function sign_in_member(wanted text) returns table (club_id uuid, member_id uuid, secret text)
  language sql stable security definer set search_path = public as
  $$ select club_id, member_id, secret from member where lower(sign_in) = lower(wanted) and left_at is null $$;

drop function session_member(text);
create function session_member(hash text)
  returns table (club_id uuid, member_id uuid, name text, sign_in text, roles text[], settings jsonb, club_name text, demo boolean, zone text,
    expires_at timestamptz, seen_at timestamptz)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id, m.name, m.sign_in, m.roles, m.settings, c.name, c.demo, c.zone, s.expires_at, s.seen_at
     from session s join member m using (club_id, member_id) join club c using (club_id)
     where s.token_hash = hash and s.expires_at > now() and m.left_at is null $$;

create or replace function open_invitation(hash text) returns table (club_id uuid, club_name text, roles text[])
  language sql stable security definer set search_path = public as
  $$ select i.club_id, c.name, i.roles from invitation i join club c using (club_id)
     where i.token_hash = hash and i.used_by is null and i.recalled_at is null and i.expires_at > now() $$;

create function open_reset(hash text) returns table (club_id uuid, member_id uuid, club_name text, name text, sign_in text)
  language sql stable security definer set search_path = public as
  $$ select r.club_id, r.member_id, c.name, m.name, m.sign_in from reset r join member m using (club_id, member_id) join club c using (club_id)
     where r.token_hash = hash and r.used_at is null and r.expires_at > now() and m.left_at is null $$;

create or replace function demo_members() returns table (sign_in text, name text, roles text[], club text)
  language sql stable security definer set search_path = public as
  $$ select m.sign_in, m.name, m.roles, c.name from member m join club c using (club_id) where c.demo and m.left_at is null
     order by c.created_at, array_position(array['owner','operator','steward','examiner','trainee'], m.roles[1]), m.name $$;
create or replace function demo_member(wanted text) returns table (club_id uuid, member_id uuid)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id from member m join club c using (club_id) where c.demo and m.sign_in = wanted and m.left_at is null $$;

do $$
declare f text;
begin
  foreach f in array array['session_member(text)','open_reset(text)'] loop
    execute format('revoke all on function %s from public', f);
    execute format('grant execute on function %s to joram_app', f);
  end loop;
end $$;
