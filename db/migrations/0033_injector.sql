-- What an injector's maker tells of it, and how often it is calibrated. Calibrations are kept in the log.
alter table loop
  add column injector_least_r double precision check (injector_least_r between 1 and 2000),
  add column injector_greatest_r double precision check (injector_greatest_r between 1 and 2000),
  add column injector_least_head_m double precision check (injector_least_head_m between 0 and 200),
  add column injector_greatest_head_m double precision check (injector_greatest_head_m between 0 and 200),
  add column injector_stroke_l double precision check (injector_stroke_l between 0.0001 and 100),
  add column calibrate_every_days double precision not null default 90
    check (calibrate_every_days between 1 and 1000 and calibrate_every_days = trunc(calibrate_every_days)),
  add constraint loop_injector_ratios check (injector_greatest_r >= injector_least_r),
  add constraint loop_injector_heads check (injector_greatest_head_m >= injector_least_head_m);
alter table log_entry drop constraint log_entry_kind_check, drop constraint log_entry_what_kind;
alter table log_entry
  add constraint log_entry_kind_check check (kind in ('reading', 'dose', 'mix', 'top-up', 'change-solution', 'sow', 'move', 'pick', 'wash', 'store', 'order', 'catch-cans', 'calibration', 'flush', 'skip', 'count', 'loss', 'note')),
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'change-solution', 'mix', 'sow', 'move', 'pick', 'flush') then 'task'
    else kind
  end);
create index log_entry_of_calibrations on log_entry (garden_id, loop_id, at desc) where kind = 'calibration';
