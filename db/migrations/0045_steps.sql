-- The steps of raising a plant, as a variety's own list; done ones are kept in the log.
create table variety_step (
  id           integer generated always as identity primary key,
  garden_id    integer not null references garden on delete cascade,
  variety_id   integer not null,
  position     integer not null check (position between 0 and 29),
  kind         text not null check (kind in ('cover', 'uncover', 'light', 'thin', 'first-feed', 'pot-up', 'space', 'harden', 'other')),
  stage_number double precision not null check (stage_number between 1 and 10 and stage_number = trunc(stage_number)),
  due          jsonb not null,
  note         text not null default '' check (length(note) <= 200),
  typed        jsonb not null default '{}' check (jsonb_typeof(typed) = 'object'),
  unique (garden_id, id),
  foreign key (garden_id, variety_id) references variety (garden_id, id) on delete cascade,
  constraint variety_step_once unique (variety_id, position) deferrable initially deferred,
  constraint variety_step_due check (measures_within(due, '{
    "days": {"days":[0,200]},
    "share": {"share":[0,1]}
  }'))
);
alter table variety_step enable row level security;
alter table variety_step force row level security;
create policy own_garden on variety_step using (garden_id = current_garden()) with check (garden_id = current_garden());
create trigger remember_change after insert or update or delete on variety_step for each row execute function remember_change('id');
create index variety_step_of_variety on variety_step (garden_id, variety_id);

alter table log_entry drop constraint log_entry_kind_check, drop constraint log_entry_what_kind;
alter table log_entry
  add constraint log_entry_kind_check check (kind in ('reading', 'dose', 'mix', 'top-up', 'change-solution', 'sow', 'germination', 'step', 'move', 'pick', 'wash', 'store', 'order', 'catch-cans', 'calibration', 'flush', 'skip', 'count', 'loss', 'note')),
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'change-solution', 'mix', 'sow', 'step', 'move', 'pick', 'flush') then 'task'
    else kind
  end);
create index log_entry_of_steps on log_entry (garden_id, day) where kind = 'step';
