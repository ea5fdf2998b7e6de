-- The ground on which all rooms stand: gardens, people, and the functions that the checks of later tables use.

create table garden (
  id              integer generated always as identity primary key,
  name            text not null check (length(trim(name)) between 1 and 80),
  place           text not null default '' check (length(place) <= 120),
  latitude_deg    double precision not null default 0 check (latitude_deg between -90 and 90),
  time_zone       text not null default 'UTC',
  unit_system     text not null default 'metric' check (unit_system in ('metric', 'us')),
  ec_unit         text not null default 'mS/cm' check (ec_unit in ('mS/cm', 'CF', 'ppm500', 'ppm700')),
  temperature_unit text not null default '°C' check (temperature_unit in ('°C', '°F')),
  currency        text not null default '€' check (length(currency) between 1 and 4),
  rain_mm_by_month double precision[] not null default array_fill(0::double precision, array[12])
                  check (array_length(rain_mm_by_month, 1) = 12 and 0 <= all (rain_mm_by_month)),
  wet_days_by_month double precision[] not null default array_fill(0::double precision, array[12])
                  check (array_length(wet_days_by_month, 1) = 12 and 0 <= all (wet_days_by_month) and 31 >= all (wet_days_by_month)),
  sow_weekdays    integer[] not null default '{1,4}'
                  check (array_length(sow_weekdays, 1) between 1 and 7 and 1 <= all (sow_weekdays) and 7 >= all (sow_weekdays)),
  is_demo         boolean not null default false,
  created_at      timestamptz not null default now()
);

create table person (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  name       text not null check (length(trim(name)) between 1 and 80),
  role       text not null check (role in ('keeper', 'grower', 'helper', 'viewer')),
  unique (garden_id, id),
  unique (garden_id, name)
);

-- True when a specification holds a number of that name inside a range. Kinds of stands differ in their measures,
-- so these live in one jsonb column; the database still refuses what cannot be.
create function spec_number(spec jsonb, key text, low double precision, high double precision) returns boolean
language sql immutable parallel safe as $$
  select coalesce(jsonb_typeof(spec -> key) = 'number' and (spec ->> key)::double precision between low and high, false)
$$;
