-- What a crop is sold by is chosen from a list; what wants the food-safety caution is said of the crop; what is on hand of a
-- material is known by the thing and its sizes, not by a text.

alter table garden no force row level security;
alter table variety no force row level security;
alter table change no force row level security;
alter table material no force row level security;
alter table variety disable trigger user;
alter table material disable trigger user;

create table harvest_unit (
  id        integer generated always as identity primary key,
  garden_id integer not null references garden on delete cascade,
  name      text not null check (length(trim(name)) between 1 and 30),
  divisible boolean not null,
  version   integer not null default 1,
  unique (garden_id, id),
  unique (garden_id, name)
);
create trigger next_version before update on harvest_unit for each row execute function next_version();

-- Every unit that a garden has used, its history too; what is weighed can be given in parts.
insert into harvest_unit (garden_id, name, divisible)
select garden_id, name, lower(trim(name)) ~ '^(k?g|kgs|kilos?|kilograms?|grams?|lbs?|pounds?|oz|ounces?)\.?$'
  from (select garden_id, unit as name from variety
        union select garden_id, before ->> 'unit' from change where table_name = 'variety' and before ->> 'unit' is not null
        union select garden_id, after ->> 'unit' from change where table_name = 'variety' and after ->> 'unit' is not null) used
 group by garden_id, name;
insert into harvest_unit (garden_id, name, divisible)
select garden.id, common.name, common.divisible
  from garden, (values ('heads', false), ('bunches', false), ('pieces', false), ('pots', false), ('punnets', false), ('trays', false),
               ('bags', false), ('kg', true), ('g', true), ('lb', true), ('oz', true)) common (name, divisible)
    on conflict (garden_id, name) do nothing;

alter table variety
  add column unit_id integer,
  add column food_safety_sensitive boolean not null default false;
update variety set unit_id = harvest_unit.id, food_safety_sensitive = (variety.kind = 'shoots' or variety.unit like '%tray%')
  from harvest_unit where harvest_unit.garden_id = variety.garden_id and harvest_unit.name = variety.unit;
alter table variety
  drop column unit,
  alter column unit_id set not null,
  add foreign key (garden_id, unit_id) references harvest_unit (garden_id, id);

create function grown_variety(garden integer, old_row jsonb) returns jsonb language sql stable as $$
  select case when old_row is null then null
    else (old_row - 'unit') || jsonb_build_object(
      'unit_id', (select id from harvest_unit where garden_id = garden and name = old_row ->> 'unit'),
      'food_safety_sensitive', old_row ->> 'kind' = 'shoots' or old_row ->> 'unit' like '%tray%')
  end
$$;
update change set before = grown_variety(garden_id, before), after = grown_variety(garden_id, after)
 where table_name = 'variety' and (before ? 'unit' or after ? 'unit');
drop function grown_variety(integer, jsonb);

-- 'net cup, ⟦50|bore⟧' becomes 'net-cup:50'; a part of a mix keeps its own name behind 'mix:'.
create function material_key(item text) returns text language sql immutable as $$
  select rtrim(regexp_replace(lower(regexp_replace(item, '[,:]? *⟦.*$', '')), '[^a-z0-9]+', '-', 'g'), '-')
      || coalesce(':' || (select string_agg(found[1], 'x' order by nr) from regexp_matches(item, '⟦([^|]*)\|', 'g') with ordinality as sizes (found, nr)), '')
$$;
delete from material older using material newer
 where older.garden_id = newer.garden_id and material_key(older.item) = material_key(newer.item) and older.id < newer.id;
update material set item = material_key(item);
update change set before = jsonb_set(before, '{item}', to_jsonb(material_key(before ->> 'item'))),
                  after = jsonb_set(after, '{item}', to_jsonb(material_key(after ->> 'item')))
 where table_name = 'material';
drop function material_key(text);

create trigger remember_change after insert or update or delete on harvest_unit for each row execute function remember_change('id');
alter table harvest_unit enable row level security;
create policy own_garden on harvest_unit using (garden_id = current_garden()) with check (garden_id = current_garden());
alter table variety enable trigger user;
alter table material enable trigger user;
alter table garden force row level security;
alter table variety force row level security;
alter table change force row level security;
alter table material force row level security;
alter table harvest_unit force row level security;

-- The last reading and dose of a tank are asked for on every page.
create index log_entry_of_tank on log_entry (garden_id, loop_id, at desc) where kind in ('reading', 'dose');
create index log_entry_corrects on log_entry (garden_id, corrects_id) where corrects_id is not null;
