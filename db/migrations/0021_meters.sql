-- The meters that tanks are read with: the scale they show strength in, and whether they correct for temperature.
create table meter (
  id          integer generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  name        text not null check (length(trim(name)) between 1 and 80),
  ec_scale    text not null check (ec_scale in ('mS/cm', 'µS/cm', 'CF', 'ppm500', 'ppm700')),
  compensated boolean not null default true,
  typed       jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  constraint meter_garden_id_name_key unique (garden_id, name) deferrable initially deferred
);
alter table meter enable row level security;
alter table meter force row level security;
create policy own_garden on meter using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on meter for each row execute function remember_change('id');
