-- Elbows and open valves of a pump's pipe are counted; the sum of K is what all else takes. What was a sum stays one.
create function counted_fittings(pump jsonb) returns jsonb language sql immutable as $$
  select case when jsonb_typeof(pump) = 'object' then '{"elbows": 0, "valves": 0}' || pump else pump end
$$;
create function counted_row(table_name text, given jsonb) returns jsonb language sql immutable as $$
  select case
    when table_name <> 'loop' or not coalesce(given ? 'pump', false) then given
    -- Changed: the pump before and after.
    when jsonb_typeof(given -> 'pump') = 'array'
      then given || jsonb_build_object('pump', (select jsonb_agg(counted_fittings(one) order by place)
                                                  from jsonb_array_elements(given -> 'pump') with ordinality as pumps(one, place)))
    else given || jsonb_build_object('pump', counted_fittings(given -> 'pump'))
  end
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
  update loop set pump = counted_fittings(pump) where pump is not null;
  update change set before = counted_row(table_name, before), after = counted_row(table_name, after) where table_name = 'loop';
  update change_set_row set patch = counted_row(entity, patch) where entity = 'loop';
  foreach one in array array['loop', 'change', 'change_set_row'] loop
    execute format('alter table %I enable trigger user', one);
    execute format('alter table %I force row level security', one);
  end loop;
end $$;
drop function counted_row(text, jsonb);
drop function counted_fittings(jsonb);
alter table loop
  add constraint loop_pump check (pump is null or measures_within(pump, '{
    "label": {"flowAtNoLiftLph":[1,1000000],"greatestLiftM":[0.05,500],"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"nonReturnValve":"switch"},
    "table": {"points":{"rows":[2,30],"columns":{"flowLph":[0,1000000],"headM":[0,500]}},"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"nonReturnValve":"switch"}
  }')) not valid;
