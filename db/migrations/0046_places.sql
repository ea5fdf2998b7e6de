-- Places of batches on real lines: what is kept, by whom it may be; and batches that no solved plan moves.
create extension if not exists btree_gist;

alter table batch add column pinned boolean not null default false;

create table batch_place (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  batch_id   integer not null,
  stage      double precision not null check (stage between 0 and 9 and stage = trunc(stage)),
  stand_id   integer not null,
  line       double precision not null check (line between 1 and 10000 and line = trunc(line)),
  first_site double precision not null check (first_site between 1 and 1000000 and first_site = trunc(first_site)),
  sites      double precision not null check (sites between 1 and 1000000 and sites = trunc(sites)),
  from_day   date not null,
  to_day     date not null,
  how        text not null check (how in ('hand', 'plan', 'stood')),
  typed      jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  foreign key (garden_id, batch_id) references batch (garden_id, id) on delete cascade,
  foreign key (garden_id, stand_id) references stand (garden_id, id) on delete cascade,
  constraint batch_place_days check (from_day <= to_day),
  -- No two at one site and time; looked at when a change is whole, so that two can be swapped.
  constraint batch_place_free exclude using gist (
    stand_id with =,
    line with =,
    int4range(first_site::integer, (first_site + sites)::integer) with &&,
    daterange(from_day, to_day) with &&
  ) deferrable initially deferred
);
alter table batch_place enable row level security;
alter table batch_place force row level security;
create policy own_garden on batch_place using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on batch_place for each row execute function remember_change('id');
create index batch_place_of_batch on batch_place (garden_id, batch_id);
