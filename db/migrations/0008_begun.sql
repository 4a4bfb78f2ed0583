-- What a steaming was begun with: whether it is public, what the book said of the engine. And how many proven feeds a club asks for it.
alter table steaming add column begun jsonb;
alter table club add column feeds_asked int not null default 2 check (feeds_asked between 0 and 6);
grant update (feeds_asked) on club to joram_app;
