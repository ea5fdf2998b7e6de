-- What was called a pool is called what growers call it: a growing area. Rows, memory and kept copies of layouts follow.

alter table pool rename to growing_area;
alter table stand rename column pool_id to growing_area_id;
alter table variety_stage rename column pool_id to growing_area_id;
alter table growing_area rename constraint pool_pkey to growing_area_pkey;
alter table growing_area rename constraint pool_garden_id_name_key to growing_area_garden_id_name_key;
alter sequence pool_id_seq rename to growing_area_id_seq;

alter table change no force row level security;
alter table layout no force row level security;
alter table layout disable trigger user;

-- A layout's document of version 1 had pools, and each stand the pool that it serves.
create function with_growing_areas(document jsonb) returns jsonb language sql immutable as $$
  select case when document ? 'pools' then
    (document - 'pools') || jsonb_build_object(
      'version', 2,
      'growingAreas', document -> 'pools',
      'stands', coalesce((select jsonb_agg((stand - 'pool') || jsonb_build_object('growingArea', stand -> 'pool') order by nr)
                            from jsonb_array_elements(document -> 'stands') with ordinality as stands (stand, nr)), '[]'))
  else document end
$$;
create function renamed_row(table_name text, old_row jsonb) returns jsonb language sql immutable as $$
  select case
    when old_row is null then null
    when old_row ? 'pool_id' then (old_row - 'pool_id') || jsonb_build_object('growing_area_id', old_row -> 'pool_id')
    when table_name = 'layout' then old_row || jsonb_build_object('document', with_growing_areas(old_row -> 'document'))
    else old_row
  end
$$;
update layout set document = with_growing_areas(document);
update change set before = renamed_row(table_name, before), after = renamed_row(table_name, after)
 where table_name in ('stand', 'variety_stage', 'layout');
update change set table_name = 'growing_area' where table_name = 'pool';
drop function renamed_row(text, jsonb);
drop function with_growing_areas(jsonb);

alter table layout enable trigger user;
alter table layout force row level security;
alter table change force row level security;
