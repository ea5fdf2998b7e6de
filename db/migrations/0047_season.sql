-- What a season is solved by, one row a garden; days on which nobody works or no market is held; which orders go first.
create table season (
  id                     integer generated always as identity primary key,
  garden_id              integer not null references garden on delete cascade,
  confidence             double precision not null default 0.9 check (confidence between 0.5 and 0.99),
  horizon_days           double precision not null default 182 check (horizon_days between 28 and 548 and horizon_days = trunc(horizon_days)),
  least_batch            double precision not null default 6 check (least_batch between 1 and 10000 and least_batch = trunc(least_batch)),
  waste_share            double precision not null default 0.1 check (waste_share between 0 and 2),
  hours_per_week         double precision check (hours_per_week between 0 and 1000),
  wage_per_hour          double precision not null default 0 check (wage_per_hour between 0 and 1000),
  sow_seconds_per_cell   double precision not null default 5 check (sow_seconds_per_cell between 0 and 3600),
  move_seconds_per_plant double precision not null default 10 check (move_seconds_per_plant between 0 and 3600),
  pick_seconds_per_unit  double precision not null default 20 check (pick_seconds_per_unit between 0 and 3600),
  buys_salts             boolean not null default true,
  typed                  jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  constraint season_once unique (garden_id) deferrable initially deferred
);
create table closed_day (
  id        integer generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  day       date not null,
  kind      text not null check (kind in ('off', 'no-market')),
  note      text not null default '' check (length(note) <= 80),
  typed     jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  constraint closed_day_once unique (garden_id, day, kind) deferrable initially deferred
);
do $$
declare
  one text;
begin
  foreach one in array array['season', 'closed_day'] loop
    execute format('alter table %I enable row level security', one);
    execute format('alter table %I force row level security', one);
    execute format('create policy own_garden on %I using (garden_id = current_garden()) with check (garden_id = current_garden())', one);
    execute format('create trigger remember_change after insert or update or delete on %I for each row execute function remember_change(''id'')', one);
  end loop;
end $$;
alter table order_line add column matters text not null default 'usual' check (matters in ('first', 'usual', 'spare'));
