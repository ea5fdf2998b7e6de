-- Water: what comes in, where it is kept, which loops carry it. Place: houses, pools of sites, stands.

create table store (
  id          integer generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  name        text not null check (length(trim(name)) between 1 and 80),
  capacity_l  double precision not null check (capacity_l between 1 and 100000000),
  stored_l    double precision not null check (stored_l >= 0),
  read_on     date not null,
  unique (garden_id, id),
  constraint store_not_overfull check (stored_l <= capacity_l)
);

create table source (
  id           integer generated always as identity primary key,
  garden_id    integer not null references garden on delete cascade,
  name         text not null check (length(trim(name)) between 1 and 80),
  kind         text not null check (kind in ('rain', 'well', 'mains', 'carried')),
  priority     integer not null check (priority between 1 and 99),
  flow_lph     double precision not null default 0 check (flow_lph between 0 and 1000000),
  hours_per_day double precision not null default 0 check (hours_per_day between 0 and 24),
  allowance_lpd double precision not null default 0 check (allowance_lpd between 0 and 10000000),
  roof_area_m2 double precision not null default 0 check (roof_area_m2 between 0 and 1000000),
  price_per_m3 double precision not null default 0 check (price_per_m3 between 0 and 10000),
  -- Elements in mg/L; alkalinity as CaCO3.
  analysis_mg_per_l jsonb not null default '{}' check (jsonb_typeof(analysis_mg_per_l) = 'object'),
  alkalinity_mg_caco3_per_l double precision not null default 0 check (alkalinity_mg_caco3_per_l between 0 and 5000),
  unique (garden_id, id)
);

create table salt (
  id            integer generated always as identity primary key,
  garden_id     integer not null references garden on delete cascade,
  name          text not null check (length(trim(name)) between 1 and 80),
  percent       jsonb not null check (jsonb_typeof(percent) = 'object'),
  solubility_g_per_l double precision[] check (solubility_g_per_l is null or (array_length(solubility_g_per_l, 1) = 4 and 0 < all (solubility_g_per_l))),
  chelate       boolean not null default false,
  on_hand_g     double precision not null default 0 check (on_hand_g between 0 and 100000000),
  price_per_kg  double precision not null default 0 check (price_per_kg between 0 and 100000),
  caution       text not null default '',
  unique (garden_id, id),
  unique (garden_id, name)
);

create table recipe (
  id            integer generated always as identity primary key,
  garden_id     integer not null references garden on delete cascade,
  name          text not null check (length(trim(name)) between 1 and 80),
  targets_mg_per_l jsonb not null check (jsonb_typeof(targets_mg_per_l) = 'object'),
  ec_ms_per_cm  double precision not null check (ec_ms_per_cm between 0.1 and 8),
  ec_low        double precision not null check (ec_low > 0),
  ec_high       double precision not null,
  ph_low        double precision not null check (ph_low between 3 and 10),
  ph_high       double precision not null check (ph_high between 3 and 10),
  unique (garden_id, id),
  constraint recipe_ec_in_band check (ec_low <= ec_ms_per_cm and ec_ms_per_cm <= ec_high),
  constraint recipe_ph_band check (ph_low <= ph_high)
);

create table recipe_salt (
  garden_id integer not null references garden on delete cascade,
  recipe_id integer not null,
  salt_id   integer not null,
  stock     text not null check (stock in ('A', 'B')),
  primary key (recipe_id, salt_id),
  foreign key (garden_id, recipe_id) references recipe (garden_id, id) on delete cascade,
  foreign key (garden_id, salt_id) references salt (garden_id, id)
);

create table loop (
  id            integer generated always as identity primary key,
  garden_id     integer not null references garden on delete cascade,
  name          text not null check (length(trim(name)) between 1 and 80),
  position      integer not null default 1,
  kind          text not null check (kind in ('recirculating', 'run-to-waste')),
  feeding       text not null check (feeding in ('injector', 'stocks', 'dry')),
  tank_l        double precision not null check (tank_l between 1 and 1000000),
  working_l     double precision not null check (working_l > 0),
  drain_share   double precision not null default 0 check (drain_share >= 0 and drain_share < 0.9),
  pump          jsonb check (pump is null or jsonb_typeof(pump -> 'points') = 'array'),
  timer         jsonb not null check (timer ->> 'kind' in ('continuous', 'every', 'times')),
  turns         integer not null default 1 check (turns between 1 and 50),
  recipe_id     integer,
  source_id     integer,
  ratio_r       double precision not null default 100 check (ratio_r between 1 and 2000),
  ratio_convention text not null default 'in' check (ratio_convention in ('in', 'to')),
  injector_least_lph double precision check (injector_least_lph >= 0),
  injector_greatest_lph double precision,
  acid          text not null default 'citric' check (acid in ('phosphoric', 'citric')),
  coldest_c     double precision not null default 10 check (coldest_c between -10 and 40),
  read_every_days integer not null default 1 check (read_every_days between 1 and 60),
  unique (garden_id, id),
  foreign key (garden_id, recipe_id) references recipe (garden_id, id),
  foreign key (garden_id, source_id) references source (garden_id, id),
  constraint loop_working_fits check (working_l <= tank_l),
  constraint loop_injector_range check ((injector_least_lph is null) = (injector_greatest_lph is null) and injector_least_lph <= injector_greatest_lph),
  constraint loop_injector_has_range check (feeding <> 'injector' or injector_least_lph is not null)
);

create table stock_tank (
  garden_id integer not null references garden on delete cascade,
  loop_id   integer not null,
  letter    text not null check (letter in ('A', 'B')),
  volume_l  double precision not null check (volume_l between 0.1 and 100000),
  left_l    double precision not null check (left_l >= 0),
  read_on   date not null,
  primary key (loop_id, letter),
  foreign key (garden_id, loop_id) references loop (garden_id, id) on delete cascade,
  constraint stock_tank_not_overfull check (left_l <= volume_l)
);

create table house (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  name       text not null check (length(trim(name)) between 1 and 80),
  position   integer not null default 1,
  length_m   double precision not null check (length_m between 0.5 and 500),
  width_m    double precision not null check (width_m between 0.5 and 500),
  height_m   double precision not null check (height_m between 0.3 and 30),
  cover      text not null check (cover in ('net', 'film', 'glass', 'polycarbonate', 'open')),
  shade_share double precision not null default 0 check (shade_share between 0 and 1),
  unique (garden_id, id),
  unique (garden_id, name)
);

create table pool (
  id            integer generated always as identity primary key,
  garden_id     integer not null references garden on delete cascade,
  name          text not null check (length(trim(name)) between 1 and 80),
  position      integer not null default 1,
  cleaning_days integer not null default 0 check (cleaning_days between 0 and 60),
  unique (garden_id, id),
  unique (garden_id, name)
);

create table stand (
  id        integer generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  house_id  integer not null,
  pool_id   integer not null,
  loop_id   integer,
  name      text not null check (length(trim(name)) between 1 and 80),
  position  integer not null default 1,
  x_m       double precision not null check (x_m between 0 and 500),
  y_m       double precision not null check (y_m between 0 and 500),
  turned    boolean not null default false,
  kind      text not null check (kind in ('channel-bank', 'drip-beds', 'bucket-line', 'tray-rack')),
  spec      jsonb not null,
  unique (garden_id, id),
  unique (house_id, name),
  foreign key (garden_id, house_id) references house (garden_id, id),
  foreign key (garden_id, pool_id) references pool (garden_id, id),
  foreign key (garden_id, loop_id) references loop (garden_id, id),
  constraint stand_spec_kind check (spec ->> 'kind' = kind),
  constraint stand_channel_measures check (kind <> 'channel-bank' or (
    spec_number(spec, 'lines', 1, 2000) and spec_number(spec, 'lineLengthM', 0.1, 500) and spec_number(spec, 'pitchM', 0.005, 50)
    and spec_number(spec, 'endMarginM', 0, 50) and spec_number(spec, 'channelWidthM', 0.01, 5) and spec_number(spec, 'lineFlowLph', 0, 10000))),
  constraint stand_bed_measures check (kind <> 'drip-beds' or (
    spec_number(spec, 'lines', 1, 2000) and spec_number(spec, 'lineLengthM', 0.1, 500) and spec_number(spec, 'bedWidthM', 0.05, 20)
    and spec_number(spec, 'rows', 1, 200) and spec_number(spec, 'pitchM', 0.005, 50) and spec_number(spec, 'emitterFlowLph', 0, 1000))),
  constraint stand_bucket_measures check (kind <> 'bucket-line' or (
    spec_number(spec, 'lines', 1, 2000) and spec_number(spec, 'bucketsPerLine', 1, 2000) and spec_number(spec, 'plantsPerBucket', 1, 50)
    and spec_number(spec, 'bucketSpacingM', 0.05, 20) and spec_number(spec, 'emitterFlowLph', 0, 1000))),
  constraint stand_rack_measures check (kind <> 'tray-rack' or (
    spec_number(spec, 'racks', 1, 1000) and spec_number(spec, 'shelvesPerRack', 1, 50) and spec_number(spec, 'cellsPerTray', 1, 2000)
    and spec_number(spec, 'trayLengthM', 0.05, 10) and spec_number(spec, 'trayWidthM', 0.05, 10)))
);
