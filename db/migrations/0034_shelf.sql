-- What the shelf knows of a product besides its content: liquid or solid, how heavy, how long it takes to come; and its lots.
alter table salt
  add column form text not null default 'solid' check (form in ('solid', 'liquid')),
  add column density_kg_per_l double precision check (density_kg_per_l between 0.05 and 20),
  add column alone boolean not null default false,
  add column lead_days double precision not null default 14 check (lead_days between 0 and 365 and lead_days = trunc(lead_days)),
  add constraint salt_liquid_has_density check (form <> 'liquid' or density_kg_per_l is not null);
create table salt_lot (
  id          integer generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  salt_id     integer not null,
  name        text not null check (length(trim(name)) between 1 and 80),
  received_on date not null,
  opened_on   date,
  used_up_on  date,
  typed       jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  foreign key (garden_id, salt_id) references salt (garden_id, id) on delete cascade,
  constraint salt_lot_name_once unique (garden_id, salt_id, name) deferrable initially deferred,
  constraint salt_lot_days check ((opened_on is null or opened_on >= received_on) and (used_up_on is null or used_up_on >= coalesce(opened_on, received_on)))
);
alter table salt_lot enable row level security;
alter table salt_lot force row level security;
create policy own_garden on salt_lot using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on salt_lot for each row execute function remember_change('id');
create index salt_lot_of_salt on salt_lot (garden_id, salt_id);
