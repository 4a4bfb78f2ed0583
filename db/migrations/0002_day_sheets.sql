-- A planned steaming carries what its day asks for; a raised one what it showed of its engine.
alter table steaming
  add column plan jsonb,
  -- The raising, read by itself when the steaming ended: small, so that an engine learns without its logs being read again.
  add column raised jsonb,
  -- A plan that was called off. Nothing is deleted: a steaming that began keeps its log.
  add column cancelled_at timestamptz;
create index steaming_planned on steaming (club_id, wanted_at) where started_at is null and cancelled_at is null;

-- What the owner has said about an engine's past: steamings left out, chapters begun.
alter table engine add column learning jsonb not null default '{"leftOut": [], "chapters": []}';
-- Steaming bays that a club has, for days with several engines.
alter table club add column bays int not null default 3 check (bays between 1 and 60);
grant update (bays) on club to joram_app;

-- What the sheet said when it was last saved: light-up, steam, who is busy when. The Yard and other sheets read it.
alter table steaming add column planned jsonb;
