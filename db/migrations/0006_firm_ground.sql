-- Doors that stay shut, answers that are given once: links that die with their maker, tries at the door counted by who
-- tries, what happens at the door, second factors, and acts that answer again without writing.

-- Whoever leaves keeps the account in their row, so that they can return to it; only present members share names and
-- count as being at home.
alter table person
  add column joined_at timestamptz not null default now(),
  drop constraint person_garden_id_name_key;
create unique index person_garden_id_name_key on person (garden_id, name) where left_at is null;

create or replace function count_account_gardens() returns trigger language plpgsql as $$
begin
  if tg_op <> 'INSERT' and old.account_id is not null and old.left_at is null then
    update account set gardens = gardens - 1 where id = old.account_id;
  end if;
  if tg_op <> 'DELETE' and new.account_id is not null and new.left_at is null then
    update account set gardens = gardens + 1 where id = new.account_id;
  end if;
  return null;
end $$;
drop trigger count_account_gardens on person;
create trigger count_account_gardens after insert or delete or update of account_id, left_at on person
  for each row execute function count_account_gardens();

-- A link for a new password made before this moment opens nothing any more.
alter table account add column links_void_at timestamptz not null default '-infinity';
alter table reset_link
  add column made_at timestamptz not null default now(),
  add column withdrawn_at timestamptz;
create trigger remember_change after insert or update or delete on reset_link for each row execute function remember_change('id');

-- When the password was last typed in this session.
alter table session add column confirmed_at timestamptz not null default now();

-- Tries that have failed, under each name that they count for: an address, an address with a name, a known browser.
drop table sign_in_attempt;
create table attempt (
  id  bigint generated always as identity primary key,
  at  timestamptz not null default now(),
  key text not null check (length(key) <= 250)
);
create index attempt_by_key on attempt (key, id);

-- What happens at the door. It belongs to an account; keepers of the gardens where it is at home see it.
create table door_event (
  id         bigint generated always as identity primary key,
  account_id integer not null references account on delete cascade,
  at         timestamptz not null default now(),
  kind       text not null check (kind in ('signed-in', 'password-changed', 'password-reset', 'password-by-machine', 'factor-on', 'factor-off', 'factor-off-by-machine', 'recovery-code-used')),
  address    text not null default '' check (length(address) <= 64),
  device     text not null default '' check (length(device) <= 200)
);
create index door_event_by_account on door_event (account_id, id desc);

-- One-time codes beside the password. The secret is sealed with the installation's own key.
create table second_factor (
  account_id    integer primary key references account on delete cascade,
  sealed_secret text not null,
  on_since      timestamptz,
  last_step     bigint not null default 0
);
create table recovery_code (
  id         integer generated always as identity primary key,
  account_id integer not null references account on delete cascade,
  code_hash  bytea not null check (length(code_hash) = 32),
  used_at    timestamptz,
  unique (account_id, code_hash)
);
-- 244 random bits; it stays when the secret of the cookies is made anew, and goes along in every backup.
alter table installation add column factor_key text not null
  default replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', '');

-- What a browser asked for under an id of its own, and what it was answered: asked again, it is answered again, and nothing
-- is written twice. The answer of a command that hands out a secret is sealed.
create table act (
  garden_id  integer not null references garden on delete cascade,
  id         uuid not null,
  person_id  integer not null,
  at         timestamptz not null default now(),
  input_hash bytea not null check (length(input_hash) = 32),
  answer     jsonb,
  primary key (garden_id, id),
  foreign key (garden_id, person_id) references person (garden_id, id)
);
create index act_by_age on act (garden_id, at);
alter table act enable row level security;
alter table act force row level security;
create policy own_garden on act using (garden_id = current_garden()) with check (garden_id = current_garden());
-- The same for what is done before the door.
create table door_act (
  id_hash        bytea primary key check (length(id_hash) = 32),
  account_id     integer not null references account on delete cascade,
  present_garden integer references garden on delete cascade,
  at             timestamptz not null default now()
);

-- Begins an act: writers of one garden queue here. Gives the row of an act that was done already, else nothing. An act is
-- remembered for a season: long enough for whatever was entered without a connection.
create function begin_act(own_garden integer, own_act uuid, own_person integer, hash bytea)
returns table (answer jsonb, same boolean) language plpgsql as $$
begin
  insert into revision as r values (own_garden, 0) on conflict do nothing;
  perform from revision r where r.garden_id = own_garden for update;
  delete from act a where a.garden_id = own_garden and a.at < now() - interval '90 days';
  insert into act as a (garden_id, id, person_id, input_hash) values (own_garden, own_act, own_person, hash) on conflict do nothing;
  if not found then
    return query select a.answer, a.person_id = own_person and a.input_hash = hash from act a where a.garden_id = own_garden and a.id = own_act;
  end if;
end $$;

-- A second count: of all that hands change, the log and the people too. What was read holds as long as it stands still.
alter table revision add column whole bigint not null default 0;

create or replace function remember_change() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  one_row jsonb := coalesce(new_row, old_row);
  own_garden integer := (one_row ->> case when tg_table_name = 'garden' then 'id' else 'garden_id' end)::integer;
  key     jsonb := (select jsonb_object_agg(name, one_row -> name) from unnest(tg_argv) as name);
  plan    integer := (tg_table_name not in ('log_entry', 'reading', 'person', 'invitation', 'reset_link'))::integer;
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

-- Who asks, in one question: the session behind a cookie, the garden it looks at, the member there, how far the garden
-- has moved, where else the account is at home, and the last backup. No row: nobody. No garden: an account that is at home nowhere.
create function enter(hash bytea, idle interval, seen interval)
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
           (select coalesce(jsonb_agg(jsonb_build_object('id', g.id, 'name', g.name) order by g.name, g.id), '[]')
              from person p join garden g on g.id = p.garden_id where p.account_id = entered.account_id and p.left_at is null),
           (select at from backup_run where problem is null order by id desc limit 1),
           (select problem from backup_run order by id desc limit 1)
      from (select 1) one
      left join garden on garden.id = home
      left join person on person.garden_id = home and person.account_id = entered.account_id and person.left_at is null
      left join revision counts on counts.garden_id = home;
end $$;
