-- The club's own clock: every time on a page, a record, a CSV and a PDF is by it. Files carry UTC or the offset.
alter table club add column zone text not null default 'UTC' check (length(zone) between 1 and 60);
grant update (zone) on club to joram_app;

drop function session_member(text);
create function session_member(hash text)
  returns table (club_id uuid, member_id uuid, name text, sign_in text, roles text[], settings jsonb, club_name text, demo boolean, zone text)
  language sql stable security definer set search_path = public as
  $$ select m.club_id, m.member_id, m.name, m.sign_in, m.roles, m.settings, c.name, c.demo, c.zone
     from session s join member m using (club_id, member_id) join club c using (club_id)
     where s.token_hash = hash and s.expires_at > now() $$;

drop function found_first_club(uuid, text, uuid, text, text, text);
create function found_first_club(club uuid, club_name text, club_zone text, member uuid, sign_in text, name text, secret text) returns boolean
  language plpgsql security definer set search_path = public as $$
begin
  lock table club in exclusive mode;
  if exists (select from club) then return false; end if;
  insert into club (club_id, name, zone) values (club, club_name, club_zone);
  insert into member (club_id, member_id, sign_in, name, roles, secret) values (club, member, sign_in, name, array['owner'], secret);
  return true;
end $$;

do $$
declare f text;
begin
  foreach f in array array['session_member(text)','found_first_club(uuid,text,text,uuid,text,text,text)'] loop
    execute format('revoke all on function %s from public', f);
    execute format('grant execute on function %s to joram_app', f);
  end loop;
end $$;

-- An engine that is no longer steamed: its records stay, and it is neither planned nor started.
alter table engine add column retired_at timestamptz;

-- A start that was none: by whom, when, why. Its entries stay with it; it stands in no list.
alter table steaming add column thrown_away jsonb;

-- What is derived from logs (summary, raising, what a plan said) carries the version of the code that made it.
alter table steaming add column derived int not null default 0;
create index steaming_derived on steaming (club_id, derived) where ended_at is not null or planned is not null;
