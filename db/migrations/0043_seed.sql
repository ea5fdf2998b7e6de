-- Lots of seed with their age and tested germination; seedlings that were counted; the day on which a stage was found complete.
create table seed_lot (
  id          integer generated always as identity primary key,
  garden_id   integer not null references garden on delete cascade,
  variety_id  integer not null,
  name        text not null check (length(trim(name)) between 1 and 80),
  received_on date not null,
  on_hand_g   double precision not null check (on_hand_g between 0 and 1000000),
  germination double precision check (germination between 0.01 and 1),
  tested_on   date,
  best_before date,
  typed       jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  foreign key (garden_id, variety_id) references variety (garden_id, id) on delete cascade,
  constraint seed_lot_name_once unique (garden_id, variety_id, name) deferrable initially deferred
);
alter table seed_lot enable row level security;
alter table seed_lot force row level security;
create policy own_garden on seed_lot using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on seed_lot for each row execute function remember_change('id');
create index seed_lot_of_variety on seed_lot (garden_id, variety_id);

alter table variety
  add column seed_lead_days double precision not null default 7
    check (seed_lead_days between 0 and 365 and seed_lead_days = trunc(seed_lead_days));
alter table batch_stage
  add column counted_of double precision check (counted_of between 1 and 1000000 and counted_of = trunc(counted_of)),
  add column counted_up double precision check (counted_up between 0 and 1000000 and counted_up = trunc(counted_up)),
  add column counted_on date,
  add column ready_on date,
  add constraint batch_stage_counted check (counted_up <= counted_of),
  add constraint batch_stage_ready check (ready_on >= begun_on);

alter table log_entry drop constraint log_entry_kind_check, drop constraint log_entry_what_kind;
alter table log_entry
  add constraint log_entry_kind_check check (kind in ('reading', 'dose', 'mix', 'top-up', 'change-solution', 'sow', 'germination', 'move', 'pick', 'wash', 'store', 'order', 'catch-cans', 'calibration', 'flush', 'skip', 'count', 'loss', 'note')),
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'change-solution', 'mix', 'sow', 'move', 'pick', 'flush') then 'task'
    else kind
  end);
