-- A change says which version it was made from: what two people change at once is shown to both, and neither is lost.
alter table steaming add column plan_version int not null default 1, add column plan_by text;
alter table engine add column learning_version int not null default 1, add column learning_by text;

-- What a viewer has missed is read in parts, in the order of transactions.
drop index entry_told;
create index entry_told on entry (club_id, xact, seq);

-- Asked on every request, of all that came meanwhile at once: a function of this language keeps its plan, one of plain SQL plans anew each time, which took three times as long.
drop function session_member(text);
create function session_members(hashes text[])
  returns table (token_hash text, club_id uuid, member_id uuid, name text, sign_in text, roles text[], settings jsonb, club_name text, demo boolean, zone text,
    expires_at timestamptz, seen_at timestamptz)
  language plpgsql stable security definer set search_path = public as $$
#variable_conflict use_column
begin
  return query select s.token_hash, m.club_id, m.member_id, m.name, m.sign_in, m.roles, m.settings, c.name, c.demo, c.zone, s.expires_at, s.seen_at
    from session s join member m using (club_id, member_id) join club c using (club_id)
    where s.token_hash = any(hashes) and s.expires_at > now() and m.left_at is null;
end $$;

revoke all on function session_members(text[]) from public;
grant execute on function session_members(text[]) to joram_app;

-- A club that came as an archive: when, and by which sum of the file. It is no part of what is written of it.
alter table club add column brought_in_at timestamptz, add column brought_in_sum text;
