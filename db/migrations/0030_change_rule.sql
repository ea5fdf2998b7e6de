-- How the solution of a loop's tank is kept or changed. What was there before is topped up only.
alter table loop add column change_rule jsonb not null default '{"kind": "never"}'
  constraint loop_change_rule check (measures_within(change_rule, '{
    "never": {},
    "weeks": {"weeks":[1,52]},
    "topped-up": {"tanks":[0.1,50]},
    "limits": {"sodiumMgPerL":[1,5000],"chlorideMgPerL":[1,5000]}
  }'));
alter table log_entry drop constraint log_entry_kind_check, drop constraint log_entry_what_kind;
alter table log_entry
  add constraint log_entry_kind_check check (kind in ('reading', 'dose', 'mix', 'top-up', 'change-solution', 'sow', 'move', 'pick', 'wash', 'store', 'order', 'catch-cans', 'flush', 'skip', 'count', 'loss', 'note')),
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'change-solution', 'mix', 'sow', 'move', 'pick', 'flush') then 'task'
    else kind
  end);
create index log_entry_of_solution_changes on log_entry (garden_id, loop_id, at desc) where kind = 'change-solution';
