-- Heavy work, seen by every web process: one at a time for each garden, two at once. Whoever works on one holds a lease;
-- one whose lease has run out is found and begun again.
create table job (
  id          integer generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  person_id   integer not null,
  kind        text not null check (length(kind) between 1 and 40),
  -- What it is about: the same is not asked for twice at once.
  subject     jsonb not null check (jsonb_typeof(subject) = 'object'),
  state       text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'failed', 'stopped')),
  progress    jsonb,
  -- Why it failed, as a refusal.
  refused     jsonb,
  asked_at    timestamptz not null default now(),
  ended_at    timestamptz,
  worker      uuid,
  lease_until timestamptz,
  tries       integer not null default 0,
  cancel      boolean not null default false,
  unique (garden_id, id),
  foreign key (garden_id, person_id) references person (garden_id, id),
  constraint job_runs_with_lease check (state <> 'running' or (worker is not null and lease_until is not null))
);
create unique index job_once on job (garden_id, kind, subject) where state in ('waiting', 'running');
create index job_to_do on job (id) where state in ('waiting', 'running');
create index job_newest on job (garden_id, kind, id desc);
alter table job enable row level security;
alter table job force row level security;
create policy own_garden on job using (garden_id = current_garden()) with check (garden_id = current_garden());
-- What looks for work to do looks in all gardens.
create policy looks_for_work on job using (current_setting('seed_round.jobs', true) = 'on') with check (current_setting('seed_round.jobs', true) = 'on');
