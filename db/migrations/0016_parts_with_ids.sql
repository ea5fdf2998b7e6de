-- An entity is described once, its parts too: each part has an id of its own, what is described has its range in the
-- database, names can change places within one act, and what was typed for a quantity is kept beside it.

-- Ids for parts. The history names them by their ids from here on, also those that are gone.
create temp table part_key (garden_id integer, one text, key jsonb, id integer);
do $$
declare
  one text;
  key text[];
begin
  for one, key in values ('stock_tank', array['loop_id', 'letter']), ('recipe_salt', array['recipe_id', 'salt_id']),
                         ('variety_stage', array['variety_id', 'position']), ('batch_stage', array['batch_id', 'position']) loop
    execute format('drop trigger remember_change on %I', one);
    execute format('alter table %I add column id integer generated always as identity', one);
    execute format('alter table %I no force row level security', one);
    execute format('insert into part_key select garden_id, %L, jsonb_build_object(%L, %I, %L, %I), id from %I',
                   one, key[1], key[1], key[2], key[2], one);
    execute format('alter table %I force row level security', one);
    execute format('alter table %I drop constraint %I, add primary key (id), add unique (garden_id, id)', one, one || '_pkey');
    execute format('alter table %I add constraint %I unique (%I, %I) deferrable initially deferred', one, one || '_once', key[1], key[2]);
    execute format('create trigger remember_change after insert or update or delete on %I for each row execute function remember_change(%L)', one, 'id');
  end loop;
end $$;
alter table change no force row level security;
insert into part_key
  select garden_id, table_name, row_key, nextval(pg_get_serial_sequence(table_name, 'id'))
    from (select distinct garden_id, table_name, row_key from change
           where table_name in ('stock_tank', 'recipe_salt', 'variety_stage', 'batch_stage')) gone
   where not exists (select from part_key where part_key.garden_id = gone.garden_id and one = table_name and key = row_key);
update change set before = before || jsonb_build_object('id', part_key.id), after = after || jsonb_build_object('id', part_key.id),
                  row_key = jsonb_build_object('id', part_key.id)
  from part_key where part_key.garden_id = change.garden_id and one = table_name and key = row_key;
drop table part_key;

-- Names that two rows can exchange.
alter table house drop constraint house_garden_id_name_key,
  add constraint house_garden_id_name_key unique (garden_id, name) deferrable initially deferred;
alter table growing_area drop constraint growing_area_garden_id_name_key,
  add constraint growing_area_garden_id_name_key unique (garden_id, name) deferrable initially deferred;
alter table stand drop constraint stand_house_id_name_key,
  add constraint stand_house_id_name_key unique (house_id, name) deferrable initially deferred;
alter table salt drop constraint salt_garden_id_name_key,
  add constraint salt_garden_id_name_key unique (garden_id, name) deferrable initially deferred;
alter table harvest_unit drop constraint harvest_unit_garden_id_name_key,
  add constraint harvest_unit_garden_id_name_key unique (garden_id, name) deferrable initially deferred;
alter table variety drop constraint variety_garden_id_name_key,
  add constraint variety_garden_id_name_key unique (garden_id, name) deferrable initially deferred;
alter table customer drop constraint customer_garden_id_name_key,
  add constraint customer_garden_id_name_key unique (garden_id, name) deferrable initially deferred;

-- A stand's kind is the kind of its measures.
create function kind_of_spec() returns trigger language plpgsql as $$
begin
  new.kind := new.spec ->> 'kind';
  return new;
end $$;
create trigger kind_of_spec before insert or update on stand for each row execute function kind_of_spec();

-- A save collides in fields, not in versions.
do $$
declare
  one text;
begin
  foreach one in array array['house', 'growing_area', 'stand', 'store', 'source', 'loop', 'stock_tank', 'salt', 'recipe',
                             'harvest_unit', 'variety', 'customer', 'order_line', 'batch'] loop
    execute format('drop trigger if exists next_version on %I', one);
    execute format('alter table %I drop column version', one);
  end loop;
  foreach one in array array['house', 'growing_area', 'stand', 'store', 'source', 'loop', 'stock_tank', 'salt', 'recipe', 'recipe_salt',
                             'harvest_unit', 'variety', 'variety_stage', 'customer', 'order_line', 'batch', 'batch_stage'] loop
    execute format('alter table %I add column typed jsonb not null default %L check (jsonb_typeof(typed) = ''object'')', one, '{}');
  end loop;
end $$;

-- Whether the measures of a JSON column are those of its kind, each in its range: [least, greatest], a list of choices,
-- "switch", "text", or rows of those.
-- Named with their schema: a restored dump looks for them by that.
create function measure_within(value jsonb, bounds jsonb) returns boolean language sql immutable as $$
  select case
    when value is null then false
    when bounds = '"switch"' then jsonb_typeof(value) = 'boolean'
    when bounds = '"text"' then jsonb_typeof(value) = 'string' and length(trim(value #>> '{}')) between 1 and 80
    when jsonb_typeof(bounds -> 0) = 'string' then jsonb_typeof(value) = 'string' and bounds ? (value #>> '{}')
    when jsonb_typeof(bounds -> 0) = 'number' then
      case when jsonb_typeof(value) = 'number' then value::numeric between (bounds -> 0)::numeric and (bounds -> 1)::numeric else false end
    when jsonb_typeof(value) <> 'array' then false
    when jsonb_array_length(value) not between (bounds -> 'rows' -> 0)::integer and (bounds -> 'rows' -> 1)::integer then false
    when bounds ? 'of' then (select coalesce(bool_and(public.measure_within(part, bounds -> 'of')), true) from jsonb_array_elements(value) part)
    else (select coalesce(bool_and(public.measure_within(part -> name, of)), true)
            from jsonb_array_elements(value) part, jsonb_each(bounds -> 'columns') as columns(name, of))
  end
$$;
create function measures_within(value jsonb, kinds jsonb) returns boolean language sql immutable as $$
  select coalesce(kinds ? (value ->> 'kind'), false)
     and (select coalesce(bool_and(public.measure_within(value -> name, bounds)), true)
            from jsonb_each(kinds -> (value ->> 'kind')) as measures(name, bounds))
$$;
create function amounts_within(amounts jsonb, most numeric) returns boolean language sql immutable as $$
  select jsonb_typeof(amounts) = 'object'
     and (select coalesce(bool_and(case when jsonb_typeof(value) = 'number' then value::numeric between 0 and most else false end), true)
            from jsonb_each(amounts))
$$;

-- A pump says its kind; its non-return valve is there or not.
create function grown_row(table_name text, old_row jsonb) returns jsonb language sql immutable as $$
  select case
    when old_row is null then null
    when table_name = 'loop' and jsonb_typeof(old_row -> 'pump') = 'object'
      then old_row || jsonb_build_object('pump', '{"kind": "table", "nonReturnValve": false}' || (old_row -> 'pump'))
    else old_row
  end
$$;
alter table loop no force row level security;
alter table loop disable trigger user;
update loop set pump = '{"kind": "table", "nonReturnValve": false}' || pump where pump is not null;
alter table loop enable trigger user;
alter table loop force row level security;
update change set before = grown_row(table_name, before), after = grown_row(table_name, after) where table_name = 'loop';
alter table change force row level security;
drop function grown_row(text, jsonb);

-- Rows of before stay readable, whatever stands in them; what is written from here on is in its range.
alter table stand
  drop constraint stand_bed_measures, drop constraint stand_bucket_measures, drop constraint stand_channel_measures,
  drop constraint stand_pond_measures, drop constraint stand_rack_measures, drop constraint stand_shoots_measures,
  drop constraint stand_table_measures, drop constraint stand_tower_measures,
  add constraint stand_measures check (measures_within(spec, '{
    "channel-bank": {"lines":[1,2000],"lineLengthM":[0.1,500],"section":["rectangular","round"],"channelWidthM":[0.01,5],"channelDepthM":[0.005,2],"pitchM":[0.005,50],"endMarginM":[0,50],"holeMm":[1,1000],"zones":{"rows":[0,6],"columns":{"lengthM":[0.01,500],"pitchM":[0.005,50],"weeks":[0.1,52]}},"gapM":[0,20],"linesPerBlock":[1,2000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"fallOneIn":[0,1000],"damMm":[0,2000],"supportSpacingM":[0.05,50],"outletHeightM":[0,10],"lineFlowLph":[0,10000]},
    "drip-beds": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"lateralsPerBed":[0,100],"emitterSpacingM":[0.02,10],"emitterFlowLph":[0,1000]},
    "raft-pond": {"ponds":[1,500],"pondLengthM":[0.2,200],"pondWidthM":[0.2,20],"waterDepthM":[0.02,2],"raftLengthM":[0.1,10],"raftWidthM":[0.1,10],"pitchM":[0.005,10],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"holeMm":[1,1000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,500],"pondFlowLph":[0,100000]},
    "bucket-line": {"lines":[1,2000],"bucketsPerLine":[1,2000],"bucketSpacingM":[0.05,20],"bucketDiameterM":[0.02,5],"bucketVolumeL":[0.1,2000],"plantsPerBucket":[1,50],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"emittersPerBucket":[0,50],"emitterFlowLph":[0,1000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}}},
    "towers": {"rows":[1,200],"towersPerRow":[1,500],"towerSpacingM":[0.05,20],"towerDiameterM":[0.03,3],"tiers":[1,100],"plantsPerTier":[1,100],"firstTierHeightM":[0,10],"tierPitchM":[0.02,5],"aboveTopTierM":[0,5],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"towerFlowLph":[0,10000],"inFlightL":[0,100]},
    "flood-bench": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"potMm":[5,1000],"floodDepthM":[0.002,1],"displacedShare":[0,0.95],"fillFlowLph":[1,1000000],"drainHoleMm":[1,500],"drainHoles":[1,50]},
    "media-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"mediumDepthM":[0.05,2],"waterDepthM":[0.01,2],"voidShare":[0.05,0.95],"drains":["empties","stays-full"],"bedFlowLph":[0,100000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}}},
    "wicking-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"mediumDepthM":[0.05,2],"reservoirDepthM":[0.02,2],"voidShare":[0.05,1],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}}},
    "tray-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"cellsPerTray":[1,2000],"cellL":[0.0001,5],"aisleM":[0,20]},
    "shoots-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"use":["shoots","fodder"],"rinseLPerTray":[0,100],"rinsesPerDay":[0,48],"aisleM":[0,20]}
  }')) not valid;
alter table loop
  drop constraint loop_pump_check, drop constraint loop_timer_check, drop constraint loop_acid_check,
  add constraint loop_acid_check check (acid in ('citric', 'phosphoric', 'nitric', 'sulfuric')),
  add column stocks integer not null default 2 check (stocks between 1 and 3),
  add constraint loop_pump check (pump is null or measures_within(pump, '{
    "table": {"points":{"rows":[2,30],"columns":{"flowLph":[0,1000000],"headM":[0,500]}},"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"fittingsK":[0,1000],"nonReturnValve":"switch"}
  }')) not valid,
  add constraint loop_timer check (measures_within(timer, '{
    "continuous": {},
    "every": {"everyMin":[1,1440],"runMin":[0.05,1440],"fromMin":[0,1439],"toMin":[1,1440]},
    "times": {"timesMin":{"of":[0,1439],"rows":[1,200]},"runMin":[0.05,1440]}
  }')) not valid,
  add constraint loop_timer_run check (timer ->> 'kind' <> 'every' or ((timer ->> 'runMin')::numeric <= (timer ->> 'everyMin')::numeric
                                       and (timer ->> 'toMin')::numeric >= (timer ->> 'fromMin')::numeric + 1)) not valid;
alter table stock_tank
  drop constraint stock_tank_letter_check, add constraint stock_tank_letter_check check (letter in ('A', 'B', 'C'));
alter table recipe_salt
  drop constraint recipe_salt_stock_check, add constraint recipe_salt_stock_check check (stock in ('A', 'B', 'C'));
alter table recipe
  drop constraint recipe_targets_mg_per_l_check, add constraint recipe_targets_mg_per_l_check check (amounts_within(targets_mg_per_l, 2000)) not valid;
alter table salt
  add constraint salt_caution_check check (length(caution) <= 500) not valid,
  drop constraint salt_percent_check, add constraint salt_percent_check check (amounts_within(percent, 100)) not valid,
  drop constraint salt_solubility_g_per_l_check,
  add constraint salt_solubility_g_per_l_check
    check (solubility_g_per_l is null or (array_length(solubility_g_per_l, 1) = 4 and 0.001 <= all (solubility_g_per_l) and 10000 >= all (solubility_g_per_l))) not valid;
alter table source
  drop constraint source_analysis_mg_per_l_check,
  add constraint source_analysis_mg_per_l_check check (amounts_within(analysis_mg_per_l, 20000)) not valid,
  add column pressure_m double precision check (pressure_m between 0 and 150),
  add column analysed_on date,
  add column ec_ms_per_cm double precision check (ec_ms_per_cm between 0 and 20),
  add column ph double precision check (ph between 3 and 11);

create function stand_kinds() returns text[] language sql immutable as $$
  select array['channel-bank', 'drip-beds', 'raft-pond', 'bucket-line', 'towers', 'flood-bench', 'media-bed', 'wicking-bed', 'tray-rack', 'shoots-rack']
$$;

-- The whole profile of a crop, and of each of its stages.
alter table variety
  drop constraint variety_pattern_check,
  add constraint variety_pattern check (measures_within(pattern, '{
    "once": {"unitsPerPlant":[0.0001,1000],"keepsDays":[0,120]},
    "cut": {"unitsPerPlant":[0.0001,1000],"cuts":[1,50],"daysBetween":[1,120],"factor":[0,2],"keepsDays":[0,120]},
    "picking": {"unitsPerPlantWeek":[0.0001,1000],"weeks":[1,80],"keepsDays":[0,120]}
  }')) not valid,
  add column family text not null default '' check (length(family) <= 80),
  add column price_per_unit double precision check (price_per_unit between 0 and 100000),
  add column thin_to integer check (thin_to between 1 and 1000),
  add column pelleted boolean not null default false,
  add column seed_price_per_g double precision check (seed_price_per_g between 0 and 10000),
  add column depth_m double precision check (depth_m between 0 and 0.3),
  add column germinates_in text not null default 'either' check (germinates_in in ('either', 'light', 'dark')),
  add column soak_h double precision not null default 0 check (soak_h between 0 and 72),
  add column tray jsonb constraint variety_tray check (tray is null or measures_within(tray, '{
    "weight": {"seedGPerTray":[0.1,20000],"yieldRatio":[0.1,50],"germinationOfRatio":[0.01,1],"blackoutDays":[0,30],"lightDays":[0,60]}
  }')),
  add column suits text[] not null default '{}',
  add column suits_not text[] not null default '{}',
  add column ec_low double precision check (ec_low between 0.05 and 10),
  add column ec_high double precision check (ec_high between 0.05 and 10),
  add column ph_low double precision check (ph_low between 3 and 10),
  add column ph_high double precision check (ph_high between 3 and 10),
  add column solution_low_c double precision check (solution_low_c between 0 and 45),
  add column solution_high_c double precision check (solution_high_c between 0 and 45),
  add column air_base_c double precision check (air_base_c between -10 and 30),
  add column air_optimum_c double precision check (air_optimum_c between -10 and 45),
  add column air_ceiling_c double precision check (air_ceiling_c between -10 and 60),
  add column light_mol_per_m2_day double precision check (light_mol_per_m2_day between 0 and 100),
  add constraint variety_suits_known check (suits <@ stand_kinds() and suits_not <@ stand_kinds()),
  add constraint variety_bands check (ec_low <= ec_high and ph_low <= ph_high and solution_low_c <= solution_high_c
                                      and air_base_c <= air_optimum_c and air_optimum_c <= air_ceiling_c);
alter table variety_stage
  drop constraint variety_stage_days_by_month_check,
  add constraint variety_stage_days_by_month_check
    check (array_length(days_by_month, 1) = 12 and 0.5 <= all (days_by_month) and 400 >= all (days_by_month)) not valid,
  drop constraint variety_stage_survival_check,
  add constraint variety_stage_survival_check check (survival between 0.01 and 1) not valid,
  add column kc double precision check (kc between 0.05 and 2),
  add column area_per_plant_m2 double precision check (area_per_plant_m2 between 0.0001 and 10),
  add column uptake_mg_per_l jsonb not null default '{}' check (amounts_within(uptake_mg_per_l, 20000));
