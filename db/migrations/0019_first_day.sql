-- A pump may be known by the two figures of its label alone; a timer's window may go on over midnight.
alter table loop
  drop constraint loop_pump, drop constraint loop_timer_run,
  add constraint loop_pump check (pump is null or measures_within(pump, '{
    "label": {"flowAtNoLiftLph":[1,1000000],"greatestLiftM":[0.05,500],"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"fittingsK":[0,1000],"nonReturnValve":"switch"},
    "table": {"points":{"rows":[2,30],"columns":{"flowLph":[0,1000000],"headM":[0,500]}},"highestOutletM":[-20,100],"lowestWaterM":[-20,100],"headWantedM":[0,200],"pipeLengthM":[0,5000],"boreMm":[2,1000],"fittingsK":[0,1000],"nonReturnValve":"switch"}
  }')) not valid,
  add constraint loop_timer_run check (timer ->> 'kind' <> 'every' or (timer ->> 'runMin')::numeric <= (timer ->> 'everyMin')::numeric) not valid;
-- A shed has walls that no light comes through.
alter table house
  drop constraint house_cover_check,
  add constraint house_cover_check check (cover in ('net', 'film', 'glass', 'polycarbonate', 'open', 'solid'));
-- A garden that was opened to look through: it is left with one press.
alter table garden add column example boolean not null default false;
create or replace function enter(hash bytea, idle interval, seen interval)
returns table (
  "sessionId" integer, "accountId" integer, "confirmedAt" timestamptz,
  "gardenId" integer, "gardenName" text, "isDemo" boolean, "personId" integer, "personName" text, role text,
  system text, ec text, temperature text, currency text, "timeZone" text, "latitudeDeg" double precision, "sowWeekdays" integer[],
  revision bigint, whole bigint, base bigint, gardens jsonb, "backupAt" timestamptz, "backupProblem" text
) language plpgsql as $$
declare
  entered session;
  home integer;
begin
  select * into entered from session where token_hash = hash and expires_at > now() and last_seen_at > now() - idle;
  if entered.id is null then return; end if;
  if entered.last_seen_at < now() - seen then update session set last_seen_at = now() where id = entered.id; end if;
  perform set_config('seed_round.account', entered.account_id::text, true);
  select garden_id into home from person where account_id = entered.account_id and left_at is null
   order by garden_id is not distinct from entered.present_garden desc, garden_id limit 1;
  perform set_config('seed_round.garden', coalesce(home::text, ''), true);
  return query
    select entered.id, entered.account_id, entered.confirmed_at,
           garden.id, garden.name, garden.is_demo, person.id, person.name, person.role,
           unit_system, ec_unit, temperature_unit, garden.currency, time_zone, latitude_deg, sow_weekdays,
           coalesce(counts.count, 0), coalesce(counts.whole, 0), (select oid::bigint from pg_database where datname = current_database()),
           (select coalesce(jsonb_agg(jsonb_build_object('id', g.id, 'name', g.name, 'example', g.example) order by g.name, g.id), '[]')
              from person p join garden g on g.id = p.garden_id where p.account_id = entered.account_id and p.left_at is null),
           (select at from backup_run where problem is null order by id desc limit 1),
           (select problem from backup_run order by id desc limit 1)
      from (select 1) one
      left join garden on garden.id = home
      left join person on person.garden_id = home and person.account_id = entered.account_id and person.left_at is null
      left join revision counts on counts.garden_id = home;
end $$;
