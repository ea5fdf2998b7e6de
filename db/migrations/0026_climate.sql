-- What the weather of a place is like, month by month; what its houses make of it; and whether what a plant drinks follows it.
create function months_within(figures double precision[], low double precision, high double precision) returns boolean
  language sql immutable as $$
  select figures is null or (cardinality(figures) = 12 and array_position(figures, null) is null
    and (select bool_and(figure between low and high) from unnest(figures) as figure))
$$;
create function months_in_order(low double precision[], high double precision[]) returns boolean
  language sql immutable as $$
  select low is null or high is null
      or (select bool_and(a <= b) from unnest(low, high) as months(a, b))
$$;
create table climate (
  id                   integer primary key generated always as identity,
  garden_id            integer not null references garden on delete cascade,
  elevation_m          double precision not null default 0 check (elevation_m between -450 and 5500),
  near_sea             boolean not null default false,
  highest_c_by_month   double precision[] check (months_within(highest_c_by_month, -60, 60)),
  lowest_c_by_month    double precision[] check (months_within(lowest_c_by_month, -70, 50)),
  humidity_by_month    double precision[] check (months_within(humidity_by_month, 0.01, 1)),
  wind_m_per_s_by_month double precision[] check (months_within(wind_m_per_s_by_month, 0, 40)),
  rain_mm_by_month     double precision[] check (months_within(rain_mm_by_month, 0, 5000)),
  wet_days_by_month    double precision[] check (months_within(wet_days_by_month, 0, 31)),
  typed                jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  check (months_in_order(lowest_c_by_month, highest_c_by_month)),
  constraint climate_once unique (garden_id) deferrable initially deferred
);
alter table climate enable row level security;
-- Rain moves over; a garden that told none has no climate yet.
alter table garden no force row level security;
insert into climate (garden_id, rain_mm_by_month, wet_days_by_month)
  select id, rain_mm_by_month, wet_days_by_month from garden
   where exists (select from unnest(rain_mm_by_month) as mm where mm > 0);
alter table garden force row level security;
alter table climate force row level security;
create policy own_garden on climate using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on climate for each row execute function remember_change('id');
alter table garden drop column rain_mm_by_month, drop column wet_days_by_month;

alter table house
  add column light_through double precision check (light_through between 0 and 1),
  add column warmer_by_day_c double precision not null default 0 check (warmer_by_day_c between -20 and 40),
  add column warmer_by_night_c double precision not null default 0 check (warmer_by_night_c between -20 and 40),
  add column heated_to_c double precision check (heated_to_c between -10 and 40),
  add column vented_at_c double precision check (vented_at_c between 0 and 60),
  add column lamps_from_min double precision check (lamps_from_min between 0 and 1439),
  add column lamps_to_min double precision check (lamps_to_min between 1 and 1440);
alter table variety_stage add column need_from text not null default 'climate' check (need_from in ('climate', 'figure'));
alter table loop add column need_factor double precision not null default 1 check (need_factor between 0.1 and 10);

-- Daily weather that was imported, as it was measured outside.
create table weather_day (
  garden_id         integer not null references garden on delete cascade,
  day               date not null,
  highest_c         double precision not null check (highest_c between -60 and 60),
  lowest_c          double precision not null check (lowest_c between -70 and 50),
  rain_mm           double precision check (rain_mm between 0 and 1000),
  humidity_percent  double precision check (humidity_percent between 0 and 100),
  wind_m_per_s      double precision check (wind_m_per_s between 0 and 80),
  radiation_mj_per_m2 double precision check (radiation_mj_per_m2 between 0 and 45),
  primary key (garden_id, day),
  check (lowest_c <= highest_c)
);
alter table weather_day enable row level security;
alter table weather_day force row level security;
create policy own_garden on weather_day using (garden_id = current_garden()) with check (garden_id = current_garden());

-- A timer may follow the sun.
alter table loop drop constraint loop_timer;
alter table loop add constraint loop_timer check (measures_within(timer, '{
    "continuous": {},
    "every": {"everyMin":[1,1440],"runMin":[0.05,1440],"fromMin":[0,1439],"toMin":[1,1440]},
    "times": {"timesMin":{"of":[0,1439],"rows":[1,200]},"runMin":[0.05,1440]},
    "daylight": {"runs":[1,200],"runMin":[0.05,1440],"marginMin":[0,360]}
  }')) not valid;
