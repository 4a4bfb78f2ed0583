-- Where a fault is, and pictures of it, told on its own page: of one that was found while nothing was in steam.
alter table fault_entry drop constraint fault_entry_kind_check;
alter table fault_entry add constraint fault_entry_kind_check
  check (kind in ('asked', 'shown', 'struck', 'changed', 'undone', 'tried', 'fix', 'retest', 'cleared', 'placed', 'photo'));
