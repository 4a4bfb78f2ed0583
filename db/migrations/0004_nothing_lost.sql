-- What was made is neither lost nor hidden: clocks, the order in which entries become visible, who may close and strike.

-- What the device's own clock said, where that was not the time at which the entry stands, and how far ahead it was measured to be.
alter table entry
  add column said_at timestamptz,
  add column ahead_ms bigint,
  -- The transaction that brought it: entries are told in the order in which they can be seen, and not in that of their numbers.
  add column xact xid8 not null default pg_current_xact_id();
create index entry_told on entry (club_id, xact);

-- One row: places in the feed are of this database only. A restore makes a new name, and whoever comes with an old one is told all.
create table house (one bool primary key default true check (one), feed uuid not null default gen_random_uuid());
insert into house default values;
grant select on house to joram_app;

-- A fault is somebody's, by who they are and not by how their name is spelt.
alter table fault add column raised_by_id uuid;
update fault f set raised_by_id = e.by_id from entry e where e.club_id = f.club_id and e.entry_id = f.fault_id;
update fault f set raised_by_id = m.member_id from member m where f.raised_by_id is null and m.club_id = f.club_id and m.name = f.raised_by;

-- Two members of one club have two names: a signature says who it was.
with twice as (
  select club_id, member_id, row_number() over (partition by club_id, lower(name) order by created_at, member_id) as nth from member
)
update member m set name = left(m.name, 112) || ' (' || t.nth || ')' from twice t
  where t.nth > 1 and m.club_id = t.club_id and m.member_id = t.member_id;
create unique index member_name on member (club_id, lower(name));

-- Each statement that stores entries wakes whoever follows that club; what is new they ask for themselves.
create or replace function tell_entries() returns trigger language plpgsql as $$
begin
  perform pg_notify('joram_entry', club_id::text) from (select distinct club_id from added) as told;
  return null;
end $$;

-- A feed ends with its session.
create function tell_session() returns trigger language plpgsql as $$
begin
  perform pg_notify('joram_session', old.token_hash);
  return null;
end $$;
create trigger session_told after delete on session for each row execute function tell_session();

-- Stores entries, each once, in one statement. Whoever ends a steaming holds its lock alone; whoever adds to it, together.
-- Gives nothing when there is no such steaming under way or ended; stores nothing when it has ended and `open_only` is asked for.
create function append_entries(club uuid, wanted uuid, rows jsonb, open_only boolean)
  returns table (engine_id uuid, ended_at timestamptz, fresh uuid[]) language plpgsql as $$
#variable_conflict use_column
declare
  engine uuid;
  ended timestamptz;
  added uuid[];
begin
  perform set_config('joram.club', club::text, true);
  if open_only then perform pg_advisory_xact_lock_shared(hashtextextended(wanted::text, 0)); end if;
  select s.engine_id, s.ended_at into engine, ended from steaming s
    where s.club_id = club and s.steaming_id = wanted and s.started_at is not null;
  if not found then return; end if;
  if ended is null or not open_only then
    with stored as (
      insert into entry (club_id, entry_id, steaming_id, kind, at, said_at, ahead_ms, received_at, by_id, by_name, source, body, strikes)
      select club, r.id, wanted, r.kind, r.at, r.said, r.ahead, r.received, r.maker, r.name, r.source, r.body, r.strikes
      from jsonb_to_recordset(rows) as r(id uuid, kind text, at timestamptz, said timestamptz, ahead bigint, received timestamptz,
        maker uuid, name text, source text, body jsonb, strikes uuid)
      on conflict (club_id, entry_id) do nothing
      returning entry_id)
    select coalesce(array_agg(entry_id), '{}') into added from stored;
  end if;
  return query select engine, ended, added;
end $$;

-- A request knows until when its session is good.
drop function session_member(text);
create function session_member(hash text)
  returns table (club_id uuid, member_id uuid, name text, sign_in text, roles text[], settings jsonb, club_name text, demo boolean, zone text, expires_at timestamptz)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id, m.name, m.sign_in, m.roles, m.settings, c.name, c.demo, c.zone, s.expires_at
     from session s join member m using (club_id, member_id) join club c using (club_id)
     where s.token_hash = hash and s.expires_at > now() $$;
revoke all on function session_member(text) from public;
grant execute on function session_member(text) to joram_app;
