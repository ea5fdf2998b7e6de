-- A what-if: changes of the plan that are kept beside the garden and follow it. One row for each row that it changes, so
-- that a stand that is dragged writes one small row, and two people can work on one what-if.
create table change_set (
  id        integer generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  name      text not null check (length(trim(name)) between 1 and 80),
  purpose   text not null default '' check (length(purpose) <= 500),
  unique (garden_id, id),
  constraint change_set_garden_id_name_key unique (garden_id, name) deferrable initially deferred
);
create table change_set_row (
  id        bigint generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  set_id    integer not null,
  entity    text not null check (length(entity) between 1 and 40),
  row_id    integer not null check (row_id > 0),
  op        text not null check (op in ('add', 'remove', 'update')),
  -- The whole row that is added or removed; or [from, to] by field.
  patch     jsonb not null check (jsonb_typeof(patch) = 'object'),
  unique (garden_id, id),
  constraint change_set_row_once unique (set_id, entity, row_id) deferrable initially deferred,
  foreign key (garden_id, set_id) references change_set (garden_id, id) on delete cascade
);

do $$
declare
  one text;
begin
  foreach one in array array['change_set', 'change_set_row'] loop
    execute format('alter table %I enable row level security', one);
    execute format('alter table %I force row level security', one);
    execute format('create policy own_garden on %I using (garden_id = current_garden()) with check (garden_id = current_garden())', one);
    execute format('create trigger remember_change after insert or update or delete on %I for each row execute function remember_change(''id'')', one);
  end loop;
end $$;

-- A what-if moves nothing of the garden itself.
create or replace function remember_change() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  one_row jsonb := coalesce(new_row, old_row);
  own_garden integer := (one_row ->> case when tg_table_name = 'garden' then 'id' else 'garden_id' end)::integer;
  key     jsonb := (select jsonb_object_agg(name, one_row -> name) from unnest(tg_argv) as name);
  plan    integer := (tg_table_name not in ('log_entry', 'reading', 'person', 'invitation', 'reset_link', 'change_set', 'change_set_row'))::integer;
  counted text := pg_current_xact_id()::text || ':' || own_garden;
begin
  if old_row - 'version' = new_row - 'version' then return null; end if;
  -- A garden that goes takes its memory along.
  if tg_op = 'DELETE' and not exists (select from garden where id = own_garden) then return null; end if;
  insert into change (garden_id, at, person_id, act, undoes, table_name, row_key, before, after)
  values (own_garden, coalesce(nullif(current_setting('seed_round.at', true), '')::timestamptz, now()), nullif(current_setting('seed_round.person', true), '')::integer,
          coalesce(nullif(current_setting('seed_round.act', true), '')::uuid, gen_random_uuid()),
          nullif(current_setting('seed_round.undoes', true), '')::uuid, tg_table_name, key, old_row, new_row);
  -- Each count once a transaction: a change of the plan counts in both, even after one that counted only in the whole.
  if current_setting('seed_round.counted', true) is distinct from counted || ':1'
     and (plan = 1 or current_setting('seed_round.counted', true) is distinct from counted || ':0') then
    insert into revision values (own_garden, plan, 1)
      on conflict (garden_id) do update set count = revision.count + plan, whole = revision.whole + 1;
    perform set_config('seed_round.counted', counted || ':' || plan, true);
  end if;
  perform pg_notify('seed_round_change', own_garden::text);
  return null;
end $$;
