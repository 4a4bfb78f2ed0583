-- Steamings that were begun on a device without a connection, and two of one engine that were begun so at once.
alter table steaming
  -- What its device knew of the book when it was begun there, and what stood against it that the device had not heard of.
  add column begun_away jsonb,
  -- The one that was under way already when this was delivered: both are kept, until somebody says which is which.
  add column beside uuid,
  -- Which of the two it was, by whom it was said.
  add column told_apart jsonb,
  -- The same fire, logged on two devices: its entries are filed in the other, and so is what still comes.
  add column joined_to uuid;
drop index steaming_one_open;
create unique index steaming_one_open on steaming (club_id, engine_id) where started_at is not null and ended_at is null and beside is null;
create index steaming_away on steaming (club_id, engine_id, started_at) where begun_away is not null and told_apart is null;

-- As it was, but that what comes for a steaming that was joined to another is filed there.
create or replace function append_entries(club uuid, wanted uuid, rows jsonb, open_only boolean)
  returns table (engine_id uuid, ended_at timestamptz, fresh uuid[]) language plpgsql as $$
#variable_conflict use_column
declare
  engine uuid;
  ended timestamptz;
  added uuid[];
  filed uuid;
begin
  perform set_config('joram.club', club::text, true);
  select coalesce(s.joined_to, s.steaming_id) into filed from steaming s where s.club_id = club and s.steaming_id = wanted;
  if open_only then
    perform pg_advisory_xact_lock_shared(hashtextextended(filed::text, 0));
    -- It may have been joined while this waited.
    select coalesce(s.joined_to, s.steaming_id) into filed from steaming s where s.club_id = club and s.steaming_id = filed;
  end if;
  select s.engine_id, s.ended_at into engine, ended from steaming s
    where s.club_id = club and s.steaming_id = filed and s.started_at is not null;
  if not found then return; end if;
  if ended is null or not open_only then
    with stored as (
      insert into entry (club_id, entry_id, steaming_id, kind, at, said_at, ahead_ms, received_at, by_id, by_name, source, body, strikes)
      select club, r.id, filed, r.kind, r.at, r.said, r.ahead, r.received, r.maker, r.name, r.source, r.body, r.strikes
      from jsonb_to_recordset(rows) as r(id uuid, kind text, at timestamptz, said timestamptz, ahead bigint, received timestamptz,
        maker uuid, name text, source text, body jsonb, strikes uuid)
      on conflict (club_id, entry_id) do nothing
      returning entry_id)
    select coalesce(array_agg(entry_id), '{}') into added from stored;
  end if;
  return query select engine, ended, added;
end $$;

-- Files the entries of one steaming in another of the same engine: none is changed, and each is told again to whoever follows the other.
create function join_steamings(club uuid, away uuid, main uuid) returns void language plpgsql security definer set search_path = public as $$
begin
  if club is distinct from current_club() then raise exception 'another club'; end if;
  perform pg_advisory_xact_lock(hashtextextended(least(away, main)::text, 0));
  perform pg_advisory_xact_lock(hashtextextended(greatest(away, main)::text, 0));
  perform 1 from steaming a join steaming b using (club_id, engine_id)
    where a.club_id = club and a.steaming_id = away and b.steaming_id = main and a.joined_to is null and b.joined_to is null and away <> main;
  if not found then raise exception 'not two steamings of one engine'; end if;
  update entry set steaming_id = main, xact = pg_current_xact_id() where club_id = club and steaming_id = away;
  update fault set steaming_id = main where club_id = club and steaming_id = away;
  update steaming set joined_to = main, ended_at = coalesce(ended_at, now()) where club_id = club and steaming_id = away;
  perform pg_notify('joram_entry', club::text);
end $$;
revoke all on function join_steamings(uuid, uuid, uuid) from public;
grant execute on function join_steamings(uuid, uuid, uuid) to joram_app;
