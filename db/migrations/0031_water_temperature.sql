-- How cold the water gets that a loop's pump pushes. What was there before was worked out at 20 degrees.
create function pump_with_water(pump jsonb) returns jsonb language sql immutable as $$
  select case when jsonb_typeof(pump) = 'object' then '{"waterC": 20}' || pump else pump end
$$;
create function loop_row(given jsonb) returns jsonb language sql immutable as $$
  select case when coalesce(given ? 'pump', false) then given || jsonb_build_object('pump', case
    -- Changed: the pump before and after.
    when jsonb_typeof(given -> 'pump') = 'array'
      then (select jsonb_agg(pump_with_water(one) order by place) from jsonb_array_elements(given -> 'pump') with ordinality as pumps(one, place))
    else pump_with_water(given -> 'pump')
  end) else given end
$$;
alter table loop drop constraint loop_pump;
do $$
declare
  one text;
begin
  foreach one in array array['loop', 'change', 'change_set_row'] loop
    execute format('alter table %I no force row level security', one);
    execute format('alter table %I disable trigger user', one);
  end loop;
  update loop set pump = pump_with_water(pump) where pump is not null;
  update change set before = loop_row(before), after = loop_row(after) where table_name = 'loop';
  update change_set_row set patch = loop_row(patch) where entity = 'loop';
  foreach one in array array['loop', 'change', 'change_set_row'] loop
    execute format('alter table %I enable trigger user', one);
    execute format('alter table %I force row level security', one);
  end loop;
end $$;
drop function loop_row(jsonb);
drop function pump_with_water(jsonb);
alter table loop
  add constraint loop_pump check (pump is null or measures_within(pump, '{
    "label": {"flowAtNoLiftLph":[1,1000000],"greatestLiftM":[0.05,500],"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"waterC":[0,50],"nonReturnValve":"switch"},
    "table": {"points":{"rows":[2,30],"columns":{"flowLph":[0,1000000],"headM":[0,500]}},"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"waterC":[0,50],"nonReturnValve":"switch"},
    "gravity": {"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"waterC":[0,50],"nonReturnValve":"switch"},
    "mains": {"supplyHeadM":[0.1,150],"setHeadM":[0.1,150],"regulatorLeastLph":[0,1000000],"regulatorGreatestLph":[0.1,1000000],"regulatorLossM":[0,100],"highestOutletM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"waterC":[0,50],"nonReturnValve":"switch"}
  }')) not valid;
