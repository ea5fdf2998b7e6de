-- Place in full: all kinds of stands, houses with a place in the garden, layouts to compare, the bench and its materials.

-- What stands in these tables belongs to all gardens; for a moment whoever migrates sees over the walls.
alter table stand no force row level security;
alter table house no force row level security;
alter table change no force row level security;
alter table stand disable trigger user;
alter table house disable trigger user;

-- The measures that the kinds have gained; a rack of one-cell trays was a shoots rack all along.
create function grown_spec(spec jsonb) returns jsonb language sql immutable as $$
  select case
    when spec ->> 'kind' = 'channel-bank' then
      '{"section": "rectangular", "zones": [], "accessM": 0, "damMm": 0, "supportSpacingM": 1.2, "outletHeightM": 0.8}'::jsonb || spec
    when spec ->> 'kind' = 'drip-beds' then '{"accessM": 0}'::jsonb || spec
    when spec ->> 'kind' = 'bucket-line' then
      '{"accessM": 0, "mix": [{"name": "coir", "parts": 7}, {"name": "perlite", "parts": 3}]}'::jsonb || spec
    when spec ->> 'kind' = 'tray-rack' and spec ->> 'cellsPerTray' = '1' then
      '{"use": "shoots", "rinseLPerTray": 0.5, "rinsesPerDay": 2}'::jsonb || (spec - 'cellsPerTray') || '{"kind": "shoots-rack"}'
    when spec ->> 'kind' = 'tray-rack' then '{"cellL": 0.025}'::jsonb || spec
    else spec
  end
$$;
create function grown_row(table_name text, old_row jsonb) returns jsonb language sql immutable as $$
  select case
    when old_row is null then null
    when table_name = 'stand' then
      old_row || jsonb_build_object('spec', grown_spec(old_row -> 'spec'), 'kind', grown_spec(old_row -> 'spec') -> 'kind')
    else '{"x_m": 0, "y_m": 0}'::jsonb || old_row
  end
$$;

alter table stand drop constraint stand_kind_check, drop constraint stand_spec_kind;
update stand set spec = grown_spec(spec), kind = grown_spec(spec) ->> 'kind';
alter table stand
  add constraint stand_kind_known check (kind in ('channel-bank', 'drip-beds', 'raft-pond', 'bucket-line', 'towers', 'flood-bench', 'media-bed', 'wicking-bed', 'tray-rack', 'shoots-rack')),
  add constraint stand_spec_kind check (spec ->> 'kind' = kind),
  add constraint stand_pond_measures check (kind <> 'raft-pond' or (
    spec_number(spec, 'ponds', 1, 500) and spec_number(spec, 'pondLengthM', 0.2, 200) and spec_number(spec, 'pondWidthM', 0.2, 20)
    and spec_number(spec, 'raftLengthM', 0.1, 10) and spec_number(spec, 'raftWidthM', 0.1, 10) and spec_number(spec, 'pitchM', 0.005, 50))),
  add constraint stand_tower_measures check (kind <> 'towers' or (
    spec_number(spec, 'rows', 1, 200) and spec_number(spec, 'towersPerRow', 1, 500) and spec_number(spec, 'tiers', 1, 100)
    and spec_number(spec, 'plantsPerTier', 1, 100) and spec_number(spec, 'towerSpacingM', 0.05, 20))),
  add constraint stand_table_measures check (kind not in ('flood-bench', 'media-bed', 'wicking-bed') or (
    spec_number(spec, 'lines', 1, 2000) and spec_number(spec, 'lineLengthM', 0.1, 500) and spec_number(spec, 'bedWidthM', 0.05, 20)
    and spec_number(spec, 'pitchM', 0.005, 50))),
  add constraint stand_shoots_measures check (kind <> 'shoots-rack' or (
    spec_number(spec, 'racks', 1, 1000) and spec_number(spec, 'shelvesPerRack', 1, 50)
    and spec_number(spec, 'trayLengthM', 0.05, 10) and spec_number(spec, 'trayWidthM', 0.05, 10)));

-- Where a house stands in the garden, so that all can be seen at once. Those that are there stand below one another.
alter table house
  add column x_m double precision not null default 0 check (x_m between 0 and 10000),
  add column y_m double precision not null default 0 check (y_m between 0 and 10000);
update house set y_m = placed.y_m
  from (select id, sum(width_m + 2) over (partition by garden_id order by position, id) - width_m - 2 as y_m from house) placed
 where placed.id = house.id;

update change set before = grown_row(table_name, before), after = grown_row(table_name, after) where table_name in ('stand', 'house');
drop function grown_row(text, jsonb);
drop function grown_spec(jsonb);

alter table stand enable trigger user;
alter table house enable trigger user;
alter table stand force row level security;
alter table house force row level security;
alter table change force row level security;

-- A layout put by to be compared: the same document that goes out as a file.
create table layout (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  name       text not null check (length(trim(name)) between 1 and 80),
  document   jsonb not null check (jsonb_typeof(document -> 'houses') = 'array' and jsonb_typeof(document -> 'stands') = 'array'),
  version    integer not null default 1,
  unique (garden_id, id),
  unique (garden_id, name)
);

-- A list of cuts: what is wanted, from which bars, and the plan that was found for exactly that.
create table cut_list (
  id               integer generated always as identity primary key,
  garden_id        integer not null references garden on delete cascade,
  name             text not null check (length(trim(name)) between 1 and 80),
  material         text not null check (length(trim(material)) between 1 and 80),
  kerf_mm          double precision not null check (kerf_mm between 0 and 50),
  trim_mm          double precision not null check (trim_mm between 0 and 1000),
  least_offcut_mm  double precision not null check (least_offcut_mm between 0 and 100000),
  objective        text not null check (objective in ('money', 'bars')),
  uses_offcuts     boolean not null,
  stocks           jsonb not null check (jsonb_typeof(stocks) = 'array' and jsonb_array_length(stocks) <= 3),
  pieces           jsonb not null check (jsonb_typeof(pieces) = 'array'),
  assemblies       jsonb not null default '[]' check (jsonb_typeof(assemblies) = 'array'),
  plan             jsonb,
  cut_on           date,
  version          integer not null default 1,
  unique (garden_id, id),
  unique (garden_id, name),
  constraint cut_list_cut_has_plan check (cut_on is null or plan is not null)
);

-- Bars and offcuts that lie on the shelf.
create table offcut (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  material   text not null check (length(trim(material)) between 1 and 80),
  length_mm  double precision not null check (length_mm between 1 and 100000),
  count      integer not null check (count between 1 and 10000),
  version    integer not null default 1,
  unique (garden_id, id),
  unique (garden_id, material, length_mm)
);

-- What is on the shelf of the things stands are built from, and what one costs.
create table material (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  item       text not null check (length(trim(item)) between 1 and 120),
  on_hand    double precision not null default 0 check (on_hand between 0 and 10000000),
  price_each double precision not null default 0 check (price_each between 0 and 1000000),
  version    integer not null default 1,
  unique (garden_id, id),
  unique (garden_id, item)
);

alter table garden add column spare_share double precision not null default 0.05 check (spare_share between 0 and 1);

do $$
declare
  one text;
begin
  foreach one in array array['layout', 'cut_list', 'offcut', 'material'] loop
    execute format('create trigger next_version before update on %I for each row execute function next_version()', one);
    execute format('create trigger remember_change after insert or update or delete on %I for each row execute function remember_change(''id'')', one);
    execute format('alter table %I enable row level security', one);
    execute format('alter table %I force row level security', one);
    execute format('create policy own_garden on %I using (garden_id = current_garden()) with check (garden_id = current_garden())', one);
  end loop;
end $$;
