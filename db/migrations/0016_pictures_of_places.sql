-- What a place is held against is read with what the walks found of it.
drop index entry_commission;
create index entry_commission on entry (club_id, steaming_id) where kind in ('cell', 'sweep', 'rig', 'accumulation', 'photo');
