-- One word for one thing, the same in interface, code and database: access, normal fill level, saw cut, keeps once ready.

alter table door_event rename to access_event;
alter index door_event_by_account rename to access_event_by_account;
alter table door_act rename to access_act;

alter table loop rename column working_l to normal_fill_l;
alter table loop rename constraint loop_working_fits to loop_normal_fill_fits;
alter table cut_list rename column kerf_mm to saw_cut_mm;

create function keeps_days(pattern jsonb) returns jsonb language sql immutable as $$
  select case when pattern ? 'holdDays' then (pattern - 'holdDays') || jsonb_build_object('keepsDays', pattern -> 'holdDays') else pattern end
$$;
alter table variety no force row level security;
alter table variety disable trigger user;
update variety set pattern = keeps_days(pattern);
alter table variety enable trigger user;
alter table variety force row level security;

-- The history follows.
create function renamed_row(table_name text, old_row jsonb) returns jsonb language sql immutable as $$
  select case
    when old_row is null then null
    when table_name = 'loop' then (old_row - 'working_l') || jsonb_build_object('normal_fill_l', old_row -> 'working_l')
    when table_name = 'cut_list' then (old_row - 'kerf_mm') || jsonb_build_object('saw_cut_mm', old_row -> 'kerf_mm')
    when table_name = 'variety' then old_row || jsonb_build_object('pattern', keeps_days(old_row -> 'pattern'))
    else old_row
  end
$$;
alter table change no force row level security;
update change set before = renamed_row(table_name, before), after = renamed_row(table_name, after)
 where table_name in ('loop', 'cut_list', 'variety');
alter table change force row level security;
drop function renamed_row(text, jsonb);
drop function keeps_days(jsonb);
