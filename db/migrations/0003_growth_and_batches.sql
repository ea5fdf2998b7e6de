-- Growth: varieties and their stages. Batches: what is sown, what is ordered, what really happened.

create table variety (
  id              integer generated always as identity primary key,
  garden_id       integer not null references garden on delete cascade,
  name            text not null check (length(trim(name)) between 1 and 80),
  crop            text not null check (length(trim(crop)) between 1 and 80),
  kind            text not null check (kind in ('leaf', 'herb', 'fruit', 'root', 'shoots', 'fodder', 'flower')),
  unit            text not null check (length(trim(unit)) between 1 and 30),
  germination     double precision not null check (germination between 0 and 1),
  seeds_per_cell  integer not null default 1 check (seeds_per_cell between 1 and 10000),
  seeds_per_g     double precision not null default 100 check (seeds_per_g > 0),
  pattern         jsonb not null check (pattern ->> 'kind' in ('once', 'cut', 'picking')),
  unique (garden_id, id),
  unique (garden_id, name)
);

create table variety_stage (
  garden_id    integer not null references garden on delete cascade,
  variety_id   integer not null,
  position     integer not null check (position between 0 and 9),
  name         text not null check (length(trim(name)) between 1 and 40),
  pool_id      integer not null,
  days_by_month double precision[] not null
               check (array_length(days_by_month, 1) = 12 and 0 < all (days_by_month) and 400 >= all (days_by_month)),
  survival     double precision not null check (survival > 0 and survival <= 1),
  need_lpd     double precision not null check (need_lpd between 0 and 200),
  primary key (variety_id, position),
  foreign key (garden_id, variety_id) references variety (garden_id, id) on delete cascade,
  foreign key (garden_id, pool_id) references pool (garden_id, id)
);

create table outlet (
  id        integer generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  name      text not null check (length(trim(name)) between 1 and 80),
  unique (garden_id, id),
  unique (garden_id, name)
);

create table order_line (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  outlet_id  integer not null,
  variety_id integer not null,
  weekday    integer not null check (weekday between 1 and 7),
  quantity   double precision not null check (quantity > 0 and quantity <= 1000000),
  from_day   date not null,
  to_day     date not null,
  unique (garden_id, id),
  foreign key (garden_id, outlet_id) references outlet (garden_id, id),
  foreign key (garden_id, variety_id) references variety (garden_id, id),
  constraint order_line_days check (from_day <= to_day)
);

create table batch (
  id            integer generated always as identity primary key,
  garden_id     integer not null references garden on delete cascade,
  variety_id    integer not null,
  sow_day       date not null,
  cells         integer not null check (cells between 1 and 1000000),
  target_plants integer not null check (target_plants between 1 and 1000000),
  cleared_day   date,
  note          text not null default '' check (length(note) <= 500),
  unique (garden_id, id),
  foreign key (garden_id, variety_id) references variety (garden_id, id),
  constraint batch_cells_cover_target check (target_plants <= cells),
  constraint batch_cleared_after_sowing check (cleared_day is null or cleared_day >= sow_day)
);
create index batch_by_garden on batch (garden_id, sow_day);

-- Append-only: what was done, read, skipped or corrected. A correction points at what it corrects; the first value stays.
create table log_entry (
  id          bigint generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  person_id   integer not null,
  at          timestamptz not null default now(),
  day         date not null,
  kind        text not null check (kind in ('reading', 'dose', 'mix', 'top-up', 'sow', 'move', 'pick', 'wash', 'store', 'order', 'skip', 'count', 'loss', 'note')),
  item_key    text,
  place       text not null default '',
  title       text not null check (length(trim(title)) between 1 and 200),
  loop_id     integer,
  batch_id    integer,
  planned     jsonb not null default '{}',
  actual      jsonb not null default '{}',
  note        text not null default '' check (length(note) <= 1000),
  corrects_id bigint,
  undone_at   timestamptz,
  undone_by   integer,
  unique (garden_id, id),
  foreign key (garden_id, person_id) references person (garden_id, id),
  foreign key (garden_id, loop_id) references loop (garden_id, id),
  foreign key (garden_id, batch_id) references batch (garden_id, id) on delete set null (batch_id),
  foreign key (garden_id, corrects_id) references log_entry (garden_id, id),
  foreign key (garden_id, undone_by) references person (garden_id, id),
  constraint log_entry_undone_whole check ((undone_at is null) = (undone_by is null))
);
create index log_entry_by_day on log_entry (garden_id, day desc, id desc);
-- One item is done once a day, however often it is sent.
create unique index log_entry_item_once on log_entry (garden_id, day, item_key) where undone_at is null and item_key is not null;

-- A stage that really began. Taken back when its log entry is undone.
create table batch_stage (
  garden_id integer not null references garden on delete cascade,
  batch_id  integer not null,
  position  integer not null check (position between 0 and 9),
  begun_on  date not null,
  plants    integer not null check (plants between 0 and 1000000),
  log_id    bigint,
  primary key (batch_id, position),
  foreign key (garden_id, batch_id) references batch (garden_id, id) on delete cascade,
  foreign key (garden_id, log_id) references log_entry (garden_id, id)
);

-- A batch is sown once and may be picked for an order once a day; readings of tanks by hand or by meter.
create table reading (
  id        bigint generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  loop_id   integer not null,
  at        timestamptz not null,
  origin    text not null check (origin in ('hand', 'meter')),
  ec_ms_per_cm double precision check (ec_ms_per_cm between 0 and 20),
  ph        double precision check (ph between 0 and 14),
  water_c   double precision check (water_c between -5 and 60),
  level_l   double precision check (level_l >= 0),
  log_id    bigint,
  foreign key (garden_id, loop_id) references loop (garden_id, id) on delete cascade,
  foreign key (garden_id, log_id) references log_entry (garden_id, id)
);
create index reading_by_loop on reading (garden_id, loop_id, at desc);
-- Meters write every few minutes; readings by hand are few and asked for on every page.
create index reading_by_hand on reading (garden_id, loop_id, at desc) where origin = 'hand';
