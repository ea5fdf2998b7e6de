-- What an emitter narrows its line, benches in series, thin tubes to towers; of a loop's pipes what lies along the lines, a bank's
-- valve and what the pipe is of. What was there before is taken as it was worked out until now.
create function line_spec(spec jsonb) returns jsonb language sql immutable as $$
  select case spec ->> 'kind'
    when 'drip-beds' then '{"equivalentLengthM": 0.1}'::jsonb || spec
    when 'bucket-line' then '{"equivalentLengthM": 0.2}'::jsonb || spec
    when 'towers' then '{"microBoreMm": 0, "microLengthM": 1}'::jsonb || spec
    when 'flood-bench' then '{"linesPerRun": 1}'::jsonb || spec
    when 'media-bed' then '{"linesPerRun": 1}'::jsonb || spec
    else spec
  end
$$;
create function pump_with_lines(pump jsonb) returns jsonb language sql immutable as $$
  select case when jsonb_typeof(pump) = 'object' then '{"manifoldBoreMm": 0, "bankValveK": 0, "wall": "plastic"}' || pump else pump end
$$;
create function line_row(table_name text, given jsonb) returns jsonb language sql immutable as $$
  select case
    when table_name = 'stand' and coalesce(given ? 'spec', false) then given || jsonb_build_object('spec', case
      -- Changed: the specification before and after.
      when jsonb_typeof(given -> 'spec') = 'array'
        then (select jsonb_agg(line_spec(one) order by place) from jsonb_array_elements(given -> 'spec') with ordinality as specs(one, place))
      else line_spec(given -> 'spec')
    end)
    when table_name = 'loop' and coalesce(given ? 'pump', false) then given || jsonb_build_object('pump', case
      when jsonb_typeof(given -> 'pump') = 'array'
        then (select jsonb_agg(pump_with_lines(one) order by place) from jsonb_array_elements(given -> 'pump') with ordinality as pumps(one, place))
      else pump_with_lines(given -> 'pump')
    end)
    else given
  end
$$;
alter table stand drop constraint stand_measures;
alter table loop drop constraint loop_pump;
do $$
declare
  one text;
begin
  foreach one in array array['stand', 'loop', 'change', 'change_set_row'] loop
    execute format('alter table %I no force row level security', one);
    execute format('alter table %I disable trigger user', one);
  end loop;
  update stand set spec = line_spec(spec) where kind in ('drip-beds', 'bucket-line', 'towers', 'flood-bench', 'media-bed');
  update loop set pump = pump_with_lines(pump) where pump is not null;
  update change set before = line_row(table_name, before), after = line_row(table_name, after) where table_name in ('stand', 'loop');
  update change_set_row set patch = line_row(entity, patch) where entity in ('stand', 'loop');
  foreach one in array array['stand', 'loop', 'change', 'change_set_row'] loop
    execute format('alter table %I enable trigger user', one);
    execute format('alter table %I force row level security', one);
  end loop;
end $$;
drop function line_row(text, jsonb);
drop function line_spec(jsonb);
drop function pump_with_lines(jsonb);
-- Stands on a slope or on terraces. An analysis may be kept though its ions do not balance: somebody said so.
alter table stand add column ground_m double precision not null default 0 check (ground_m between -50 and 50);
alter table source add column balance_doubted boolean not null default false;
alter table stand
  add constraint stand_measures check (measures_within(spec, '{
    "channel-bank": {"lines":[1,2000],"lineLengthM":[0.1,500],"section":["rectangular","round"],"channelWidthM":[0.01,5],"channelDepthM":[0.005,2],"pitchM":[0.005,50],"endMarginM":[0,50],"holeMm":[1,1000],"zones":{"rows":[0,6],"columns":{"lengthM":[0.01,500],"pitchM":[0.005,50],"weeks":[0.1,52]}},"gapM":[0,20],"linesPerBlock":[1,2000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"fallOneIn":[0,1000],"damMm":[0,2000],"supportSpacingM":[0.05,50],"outletHeightM":[0,10],"lineFlowLph":[0,10000],"linesPerRun":[1,200],"joinLengthM":[0,50]},
    "drip-beds": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"lateralsPerBed":[0,100],"emitterSpacingM":[0.02,10],"emitterFlowLph":[0,1000],"wettedRadiusM":[0.02,2],"emitterHeadM":[0.1,150],"emitterExponent":[0,1.5],"emitterLeastHeadM":[0.1,150],"manufacturingCv":[0,0.5],"lateralBoreMm":[0.5,200],"equivalentLengthM":[0,10],"fallM":[-50,50],"linePricePerM":[0,10000],"lineSeasons":[0.5,50]},
    "raft-pond": {"ponds":[1,500],"pondLengthM":[0.2,200],"pondWidthM":[0.2,20],"waterDepthM":[0.02,2],"raftLengthM":[0.1,10],"raftWidthM":[0.1,10],"pitchM":[0.005,10],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"holeMm":[1,1000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,500],"pondFlowLph":[0,100000],"floatRatedLph":[0,100000],"floatRatedHeadM":[0.1,150],"headAtFloatM":[0,150],"leastDepthM":[0,2]},
    "bucket-line": {"lines":[1,2000],"bucketsPerLine":[1,2000],"bucketSpacingM":[0.05,20],"bucketDiameterM":[0.02,5],"bucketVolumeL":[0.1,2000],"plantsPerBucket":[1,50],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"emittersPerBucket":[0,50],"emitterFlowLph":[0,1000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}},"emitterHeadM":[0.1,150],"emitterExponent":[0,1.5],"emitterLeastHeadM":[0.1,150],"manufacturingCv":[0,0.5],"lateralBoreMm":[0.5,200],"equivalentLengthM":[0,10],"fallM":[-50,50],"linePricePerM":[0,10000],"lineSeasons":[0.5,50]},
    "towers": {"rows":[1,200],"towersPerRow":[1,500],"towerSpacingM":[0.05,20],"towerDiameterM":[0.03,3],"tiers":[1,100],"plantsPerTier":[1,100],"firstTierHeightM":[0,10],"tierPitchM":[0.02,5],"aboveTopTierM":[0,5],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"towerFlowLph":[0,10000],"microBoreMm":[0,50],"microLengthM":[0.01,50],"inFlightL":[0,100]},
    "flood-bench": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"linesPerRun":[1,200],"potMm":[5,1000],"floodDepthM":[0.002,1],"displacedShare":[0,0.95],"fillFlowLph":[1,1000000],"drainHoleMm":[1,500],"drainHoles":[1,50]},
    "media-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"linesPerRun":[1,200],"mediumDepthM":[0.05,2],"waterDepthM":[0.01,2],"voidShare":[0.05,0.95],"drains":["empties","stays-full"],"bedFlowLph":[0,100000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}}},
    "wicking-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"mediumDepthM":[0.05,2],"reservoirDepthM":[0.02,2],"voidShare":[0.05,1],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}},"floatRatedLph":[0,100000],"floatRatedHeadM":[0.1,150],"headAtFloatM":[0,150],"leastDepthM":[0,2]},
    "tray-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"cellsPerTray":[1,2000],"cellL":[0.0001,5],"aisleM":[0,20]},
    "shoots-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"use":["shoots","fodder"],"rinseLPerTray":[0,100],"rinsesPerDay":[0,48],"aisleM":[0,20]}
  }')) not valid;
alter table loop
  add constraint loop_pump check (pump is null or measures_within(pump, '{
    "label": {"flowAtNoLiftLph":[1,1000000],"greatestLiftM":[0.05,500],"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"nonReturnValve":"switch"},
    "table": {"points":{"rows":[2,30],"columns":{"flowLph":[0,1000000],"headM":[0,500]}},"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"nonReturnValve":"switch"},
    "gravity": {"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"waterSinksM":[0,20],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"nonReturnValve":"switch"},
    "mains": {"supplyHeadM":[0.1,150],"setHeadM":[0.1,150],"regulatorLeastLph":[0,1000000],"regulatorGreatestLph":[0.1,1000000],"regulatorLossM":[0,100],"highestOutletM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"elbows":[0,500],"valves":[0,500],"fittingsK":[0,1000],"filterCleanM":[0,100],"filterDirtyM":[0,100],"filterAtLph":[1,1000000],"manifoldBoreMm":[0,1000],"bankValveK":[0,1000],"wall":["plastic","hose","steel","rusty"],"nonReturnValve":"switch"}
  }')) not valid;
