-- Every try of a feed, found by its engine: few among many entries.
create index entry_attempts on entry (club_id, steaming_id) where kind = 'attempt';
