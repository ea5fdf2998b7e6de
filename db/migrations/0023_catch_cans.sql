-- Catch-can tests of drip lines, and the emitters flushed or replaced after them, are kept in the log.
alter table log_entry drop constraint log_entry_kind_check, drop constraint log_entry_what_kind;
alter table log_entry
  add constraint log_entry_kind_check check (kind in ('reading', 'dose', 'mix', 'top-up', 'sow', 'move', 'pick', 'wash', 'store', 'order', 'catch-cans', 'flush', 'skip', 'count', 'loss', 'note')),
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'mix', 'sow', 'move', 'pick', 'flush') then 'task'
    else kind
  end);
create index log_entry_of_catch_cans on log_entry (garden_id, at desc) where kind in ('catch-cans', 'flush');
