-- What simulated years of weather said of a garden's store: the last answer, and of which day and store it is.
create table store_years (
  garden_id  integer primary key references garden on delete cascade,
  day        date not null,
  capacity_l double precision not null check (capacity_l between 0 and 1e9),
  answer     jsonb not null check (jsonb_typeof(answer) = 'object')
);
alter table store_years enable row level security;
alter table store_years force row level security;
create policy own_garden on store_years using (garden_id = current_garden()) with check (garden_id = current_garden());
