-- A figure that was worked on the bench and kept with an engine: what was said, what it came to, when and by whom. Let go of, it stays in the book.
create table kept_figure (
  club_id uuid not null,
  kept_id uuid not null,
  engine_id uuid not null,
  sum text not null check (length(sum) between 1 and 60),
  said jsonb not null,
  value double precision not null,
  kind text not null,
  name text not null check (length(name) <= 120),
  at timestamptz not null default now(),
  by_name text not null,
  let_go_at timestamptz,
  let_go_by text,
  primary key (club_id, kept_id),
  foreign key (club_id, engine_id) references engine on delete cascade
);
create index kept_figure_engine on kept_figure (club_id, engine_id, at desc);

alter table kept_figure enable row level security;
create policy club_wall on kept_figure to joram_app using (club_id = current_club()) with check (club_id = current_club());
grant select, insert on kept_figure to joram_app;
grant update (let_go_at, let_go_by) on kept_figure to joram_app;
