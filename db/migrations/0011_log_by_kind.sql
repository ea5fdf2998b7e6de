-- An entry of the log says what was done as a value of its kind, stored once; the sentence is made where it is shown.

create function what_was_logged(entry jsonb) returns jsonb language sql immutable as $$
  select case
    when entry ->> 'corrects_id' is not null then
      jsonb_build_object('kind', 'correction', 'values', (entry -> 'actual') - 'effects'::text, 'slip', entry -> 'planned' -> 'slip')
    when entry ->> 'kind' = 'reading' then
      jsonb_build_object(
        'kind', 'reading',
        'tank', entry -> 'place',
        'figures', jsonb_build_object(
          'ecMsPerCm', entry -> 'actual' -> 'ecMsPerCm', 'ph', entry -> 'actual' -> 'ph',
          'waterC', entry -> 'actual' -> 'waterC', 'levelL', entry -> 'actual' -> 'levelL'),
        'slip', entry -> 'planned' -> 'slip')
    when entry ->> 'kind' = 'dose' then
      jsonb_build_object('kind', 'dose', 'tank', entry -> 'place', 'steps', coalesce(entry -> 'planned' -> 'steps', '[]'))
    when entry ->> 'kind' = 'store' then
      jsonb_build_object(
        'kind', 'store',
        'store', regexp_replace(entry ->> 'title', '^Read the level of ', ''),
        'storedL', entry -> 'actual' -> 'storedL')
    when entry ->> 'kind' in ('note', 'count', 'loss') then
      jsonb_build_object('kind', entry -> 'kind', 'title', entry -> 'title', 'place', entry -> 'place')
    else
      jsonb_build_object(
        'kind', case when entry ->> 'kind' in ('skip', 'wash') then entry ->> 'kind' else 'task' end,
        'stop', entry -> 'planned' -> 'stop',
        'task', jsonb_build_object(
          'kind', 'written', 'title', entry -> 'title', 'place', entry -> 'place',
          'unit', coalesce(entry -> 'actual' -> 'word', '""'),
          'dimension', coalesce(entry -> 'actual' -> 'dimension', '"count"')))
      || case entry ->> 'kind'
           when 'skip' then '{}'::jsonb
           when 'wash' then jsonb_build_object(
             'picked', entry -> 'actual' -> 'picked', 'thrownAway', entry -> 'actual' -> 'thrownAway')
           else jsonb_build_object('done', entry -> 'actual' -> 'done')
         end
  end
$$;
create function logged_row(entry jsonb) returns jsonb language sql immutable as $$
  select case when entry is null or entry ? 'what' then entry else
    (entry - '{title,place,planned,actual}'::text[]) || jsonb_build_object(
      'what', what_was_logged(entry), 'effects', coalesce(entry -> 'actual' -> 'effects', '[]'))
  end
$$;

alter table log_entry no force row level security;
alter table change no force row level security;
alter table log_entry disable trigger user;
alter table log_entry add column what jsonb, add column effects jsonb not null default '[]';
update log_entry entry
   set what = what_was_logged(to_jsonb(entry)), effects = coalesce(actual -> 'effects', '[]');
update change set before = logged_row(before), after = logged_row(after) where table_name = 'log_entry';
alter table log_entry
  alter column what set not null,
  add constraint log_entry_what_kind check (what ->> 'kind' = case
    when corrects_id is not null then 'correction'
    when kind in ('order', 'top-up', 'mix', 'sow', 'move', 'pick') then 'task'
    else kind
  end),
  drop column title, drop column place, drop column planned, drop column actual;
alter table log_entry enable trigger user;
alter table log_entry force row level security;
alter table change force row level security;
drop function logged_row(jsonb);
drop function what_was_logged(jsonb);
