-- Heavy work that is to come to its end with what it has; and the last season that was planned, beside its changes.
alter table job add column enough boolean not null default false;
create table season_answer (
  garden_id integer primary key references garden on delete cascade,
  day       date not null,
  set_id    integer,
  answer    jsonb not null check (jsonb_typeof(answer) = 'object'),
  foreign key (garden_id, set_id) references change_set (garden_id, id) on delete set null (set_id)
);
alter table season_answer enable row level security;
alter table season_answer force row level security;
create policy own_garden on season_answer using (garden_id = current_garden()) with check (garden_id = current_garden());
