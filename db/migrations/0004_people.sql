-- People: accounts that sign in, their sessions, invitations; the walls between gardens; the memory of every change.

-- The walls. The one transaction helper says for whom it works; without its word a garden's table shows nothing.
create function current_garden() returns integer language sql stable parallel safe as $$
  select nullif(current_setting('seed_round.garden', true), '')::integer
$$;
create function current_account() returns integer language sql stable parallel safe as $$
  select nullif(current_setting('seed_round.account', true), '')::integer
$$;
create function current_token() returns bytea language sql stable parallel safe as $$
  select decode(nullif(current_setting('seed_round.token', true), ''), 'hex')
$$;

create table account (
  id            integer generated always as identity primary key,
  sign_in_name  text not null,
  name          text not null check (length(trim(name)) between 1 and 80),
  password_hash text not null check (password_hash like '$argon2id$%'),
  is_demo       boolean not null default false,
  -- In how many gardens the account is at home; kept by a trigger, since nobody may look over the walls to count.
  gardens       integer not null default 0 check (gardens >= 0),
  created_at    timestamptz not null default now(),
  constraint account_name_once unique (sign_in_name),
  constraint account_sign_in_name check (sign_in_name = lower(trim(sign_in_name)) and length(sign_in_name) between 3 and 120)
);

-- The cookie holds a random token; only its hash is kept.
create table session (
  id            integer generated always as identity primary key,
  token_hash    bytea not null unique check (length(token_hash) = 32),
  account_id    integer not null references account on delete cascade,
  present_garden integer references garden on delete set null,
  device        text not null default '' check (length(device) <= 200),
  address       text not null default '' check (length(address) <= 64),
  created_at    timestamptz not null default now(),
  last_seen_at  timestamptz not null default now(),
  expires_at    timestamptz not null
);
create index session_by_account on session (account_id);

create table sign_in_attempt (
  id           bigint generated always as identity primary key,
  at           timestamptz not null default now(),
  address      text not null,
  sign_in_name text not null
);
create index sign_in_attempt_by_address on sign_in_attempt (address, at);
create index sign_in_attempt_by_name on sign_in_attempt (sign_in_name, at);

create table backup_run (
  id      bigint generated always as identity primary key,
  at      timestamptz not null default now(),
  file    text not null default '',
  bytes   bigint not null default 0,
  problem text
);

-- One row: whether the demo garden is here, which the sign-in page has to know before anybody has signed in.
create table installation (
  only_one    boolean primary key default true check (only_one),
  demo_garden integer references garden on delete set null
);
insert into installation default values;

alter table person
  add column account_id integer references account on delete set null,
  add column left_at timestamptz,
  add constraint person_account_once unique (garden_id, account_id);
create index person_by_account on person (account_id);

create function count_account_gardens() returns trigger language plpgsql as $$
begin
  if tg_op <> 'INSERT' and old.account_id is not null then
    update account set gardens = gardens - 1 where id = old.account_id;
  end if;
  if tg_op <> 'DELETE' and new.account_id is not null then
    update account set gardens = gardens + 1 where id = new.account_id;
  end if;
  return null;
end $$;
create trigger count_account_gardens after insert or delete or update of account_id on person
  for each row execute function count_account_gardens();

create table invitation (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  token_hash bytea not null unique check (length(token_hash) = 32),
  role       text not null check (role in ('keeper', 'grower', 'helper', 'viewer')),
  made_by    integer not null,
  made_at    timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at    timestamptz,
  used_by    integer,
  withdrawn_at timestamptz,
  unique (garden_id, id),
  foreign key (garden_id, made_by) references person (garden_id, id),
  foreign key (garden_id, used_by) references person (garden_id, id)
);

create table reset_link (
  id         integer generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  account_id integer not null references account on delete cascade,
  token_hash bytea not null unique check (length(token_hash) = 32),
  made_by    integer not null,
  expires_at timestamptz not null,
  used_at    timestamptz,
  unique (garden_id, id),
  foreign key (garden_id, made_by) references person (garden_id, id)
);

-- The memory. One row for each row changed; all changes of one transaction share an act.
create table change (
  id         bigint generated always as identity primary key,
  garden_id  integer not null references garden on delete cascade,
  person_id  integer,
  at         timestamptz not null default now(),
  act        uuid not null,
  undoes     uuid,
  table_name text not null,
  row_key    jsonb not null,
  before     jsonb,
  after      jsonb,
  unique (garden_id, id),
  foreign key (garden_id, person_id) references person (garden_id, id),
  constraint change_says_something check (before is not null or after is not null)
);
create index change_newest on change (garden_id, id desc);
create index change_by_act on change (garden_id, act);
create index change_by_row on change (garden_id, table_name, row_key);

-- Counts the transactions that changed what a season is worked out from, one after the other: what was worked out holds
-- as long as this stands still. (Numbers of changes are given before they commit, so the newest of them cannot tell.)
create table revision (
  garden_id integer primary key references garden on delete cascade,
  count     bigint not null default 0
);

-- What stands in a row, before and after, who did it, and a word to every screen that shows it.
-- Arguments: the columns that name a row.
create function remember_change() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  one_row jsonb := coalesce(new_row, old_row);
  own_garden integer := (one_row ->> case when tg_table_name = 'garden' then 'id' else 'garden_id' end)::integer;
  key     jsonb := (select jsonb_object_agg(name, one_row -> name) from unnest(tg_argv) as name);
begin
  if old_row - 'version' = new_row - 'version' then return null; end if;
  -- A garden that goes takes its memory along.
  if tg_op = 'DELETE' and not exists (select from garden where id = own_garden) then return null; end if;
  insert into change (garden_id, at, person_id, act, undoes, table_name, row_key, before, after)
  values (own_garden, coalesce(nullif(current_setting('seed_round.at', true), '')::timestamptz, now()), nullif(current_setting('seed_round.person', true), '')::integer,
          coalesce(nullif(current_setting('seed_round.act', true), '')::uuid, gen_random_uuid()),
          nullif(current_setting('seed_round.undoes', true), '')::uuid, tg_table_name, key, old_row, new_row);
  if tg_table_name not in ('log_entry', 'reading', 'person', 'invitation')
     and current_setting('seed_round.counted', true) is distinct from pg_current_xact_id()::text || ':' || own_garden then
    insert into revision values (own_garden, 1) on conflict (garden_id) do update set count = revision.count + 1;
    perform set_config('seed_round.counted', pg_current_xact_id()::text || ':' || own_garden, true);
  end if;
  perform pg_notify('seed_round_change', own_garden::text);
  return null;
end $$;

-- The number of a row's version: a save that was begun on an older one is refused.
create function next_version() returns trigger language plpgsql as $$
begin
  new.version := old.version;
  if to_jsonb(new) <> to_jsonb(old) then new.version := old.version + 1; end if;
  return new;
end $$;

do $$
declare
  one text;
  key text;
begin
  foreach one in array array['garden', 'person', 'house', 'pool', 'stand', 'store', 'source', 'loop', 'stock_tank', 'salt', 'recipe', 'variety', 'outlet', 'order_line', 'batch'] loop
    execute format('alter table %I add column version integer not null default 1', one);
    execute format('create trigger next_version before update on %I for each row execute function next_version()', one);
  end loop;
  foreach one in array array['garden', 'person', 'house', 'pool', 'stand', 'store', 'source', 'loop', 'salt', 'recipe', 'variety', 'outlet', 'order_line', 'batch', 'log_entry', 'invitation', 'stock_tank', 'recipe_salt', 'variety_stage', 'batch_stage'] loop
    key := case one when 'stock_tank' then '''loop_id'', ''letter''' when 'recipe_salt' then '''recipe_id'', ''salt_id'''
                    when 'variety_stage' then '''variety_id'', ''position''' when 'batch_stage' then '''batch_id'', ''position''' else '''id''' end;
    execute format('create trigger remember_change after insert or update or delete on %I for each row execute function remember_change(%s)', one, key);
  end loop;
end $$;
-- Meters write by themselves and all day: only what a hand enters is a change.
create trigger remember_change after insert or update on reading for each row when (new.origin = 'hand') execute function remember_change('id');
create trigger remember_removal after delete on reading for each row when (old.origin = 'hand') execute function remember_change('id');

-- Every garden table, forced for its owner too. A table that comes later does the same in its own migration; a test looks.
do $$
declare
  one text;
begin
  for one in select table_name from information_schema.columns
              where table_schema = 'public' and column_name = 'garden_id' loop
    execute format('alter table %I enable row level security', one);
    execute format('alter table %I force row level security', one);
    execute format('create policy own_garden on %I using (garden_id = current_garden()) with check (garden_id = current_garden())', one);
  end loop;
end $$;
-- A person sees where they are at home, before a garden is chosen; a link opens the door it was made for.
create policy own_memberships on person for select using (account_id = current_account());
create policy link_in_hand on invitation for select using (token_hash = current_token());
create policy link_in_hand on reset_link for select using (token_hash = current_token());
alter table garden enable row level security;
alter table garden force row level security;
create policy own_garden on garden using (id = current_garden()) with check (id = current_garden());
create policy own_memberships on garden for select
  using (id in (select garden_id from person where account_id = current_account() and left_at is null));
