-- Still water may have a float valve. What was there before is taken as filled by hand.
create function still_spec(spec jsonb) returns jsonb language sql immutable as $$
  select case
    when spec ->> 'kind' in ('raft-pond', 'wicking-bed') then
      '{"floatRatedLph": 0, "floatRatedHeadM": 10, "headAtFloatM": 10, "leastDepthM": 0.05}'::jsonb || spec
    else spec
  end
$$;
create function still_row(table_name text, given jsonb) returns jsonb language sql immutable as $$
  select case
    when table_name <> 'stand' or not coalesce(given ? 'spec', false) then given
    -- Changed: the specification before and after.
    when jsonb_typeof(given -> 'spec') = 'array'
      then given || jsonb_build_object('spec', (select jsonb_agg(still_spec(one) order by place)
                                                  from jsonb_array_elements(given -> 'spec') with ordinality as specs(one, place)))
    else given || jsonb_build_object('spec', still_spec(given -> 'spec'))
  end
$$;
alter table stand drop constraint stand_measures;
do $$
declare
  one text;
begin
  foreach one in array array['stand', 'change', 'change_set_row'] loop
    execute format('alter table %I no force row level security', one);
    execute format('alter table %I disable trigger user', one);
  end loop;
  update stand set spec = still_spec(spec) where kind in ('raft-pond', 'wicking-bed');
  update change set before = still_row(table_name, before), after = still_row(table_name, after) where table_name = 'stand';
  update change_set_row set patch = still_row(entity, patch) where entity = 'stand';
  foreach one in array array['stand', 'change', 'change_set_row'] loop
    execute format('alter table %I enable trigger user', one);
    execute format('alter table %I force row level security', one);
  end loop;
end $$;
drop function still_row(text, jsonb);
drop function still_spec(jsonb);
alter table stand
  add constraint stand_measures check (measures_within(spec, '{
    "channel-bank": {"lines":[1,2000],"lineLengthM":[0.1,500],"section":["rectangular","round"],"channelWidthM":[0.01,5],"channelDepthM":[0.005,2],"pitchM":[0.005,50],"endMarginM":[0,50],"holeMm":[1,1000],"zones":{"rows":[0,6],"columns":{"lengthM":[0.01,500],"pitchM":[0.005,50],"weeks":[0.1,52]}},"gapM":[0,20],"linesPerBlock":[1,2000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"fallOneIn":[0,1000],"damMm":[0,2000],"supportSpacingM":[0.05,50],"outletHeightM":[0,10],"lineFlowLph":[0,10000],"linesPerRun":[1,200],"joinLengthM":[0,50]},
    "drip-beds": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"lateralsPerBed":[0,100],"emitterSpacingM":[0.02,10],"emitterFlowLph":[0,1000],"wettedRadiusM":[0.02,2],"emitterHeadM":[0.1,150],"emitterExponent":[0,1.5],"emitterLeastHeadM":[0.1,150],"manufacturingCv":[0,0.5],"lateralBoreMm":[0.5,200],"fallM":[-50,50],"linePricePerM":[0,10000],"lineSeasons":[0.5,50]},
    "raft-pond": {"ponds":[1,500],"pondLengthM":[0.2,200],"pondWidthM":[0.2,20],"waterDepthM":[0.02,2],"raftLengthM":[0.1,10],"raftWidthM":[0.1,10],"pitchM":[0.005,10],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"holeMm":[1,1000],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,500],"pondFlowLph":[0,100000],"floatRatedLph":[0,100000],"floatRatedHeadM":[0.1,150],"headAtFloatM":[0,150],"leastDepthM":[0,2]},
    "bucket-line": {"lines":[1,2000],"bucketsPerLine":[1,2000],"bucketSpacingM":[0.05,20],"bucketDiameterM":[0.02,5],"bucketVolumeL":[0.1,2000],"plantsPerBucket":[1,50],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"emittersPerBucket":[0,50],"emitterFlowLph":[0,1000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}},"emitterHeadM":[0.1,150],"emitterExponent":[0,1.5],"emitterLeastHeadM":[0.1,150],"manufacturingCv":[0,0.5],"lateralBoreMm":[0.5,200],"fallM":[-50,50],"linePricePerM":[0,10000],"lineSeasons":[0.5,50]},
    "towers": {"rows":[1,200],"towersPerRow":[1,500],"towerSpacingM":[0.05,20],"towerDiameterM":[0.03,3],"tiers":[1,100],"plantsPerTier":[1,100],"firstTierHeightM":[0,10],"tierPitchM":[0.02,5],"aboveTopTierM":[0,5],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"towerFlowLph":[0,10000],"inFlightL":[0,100]},
    "flood-bench": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"potMm":[5,1000],"floodDepthM":[0.002,1],"displacedShare":[0,0.95],"fillFlowLph":[1,1000000],"drainHoleMm":[1,500],"drainHoles":[1,50]},
    "media-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"pitchM":[0.005,50],"packing":["square","hexagonal"],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"linesPerValve":[1,2000],"mediumDepthM":[0.05,2],"waterDepthM":[0.01,2],"voidShare":[0.05,0.95],"drains":["empties","stays-full"],"bedFlowLph":[0,100000],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}}},
    "wicking-bed": {"lines":[1,2000],"lineLengthM":[0.1,500],"bedWidthM":[0.05,20],"rows":[1,200],"pattern":["square","staggered"],"pitchM":[0.005,50],"endMarginM":[0,50],"edgeMarginM":[0,10],"aisleM":[0,20],"accessM":[0,20],"mediumDepthM":[0.05,2],"reservoirDepthM":[0.02,2],"voidShare":[0.05,1],"mix":{"rows":[0,6],"columns":{"name":"text","parts":[0.1,100]}},"floatRatedLph":[0,100000],"floatRatedHeadM":[0.1,150],"headAtFloatM":[0,150],"leastDepthM":[0,2]},
    "tray-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"cellsPerTray":[1,2000],"cellL":[0.0001,5],"aisleM":[0,20]},
    "shoots-rack": {"racks":[1,1000],"shelvesPerRack":[1,50],"shelfLengthM":[0.1,20],"shelfWidthM":[0.1,10],"trayLengthM":[0.05,10],"trayWidthM":[0.05,10],"use":["shoots","fodder"],"rinseLPerTray":[0,100],"rinsesPerDay":[0,48],"aisleM":[0,20]}
  }')) not valid;
