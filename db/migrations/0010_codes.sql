-- What is chosen from a list is stored as a code; what is shown is its label.

alter table stand no force row level security;
alter table stand disable trigger user;
update stand
   set spec = jsonb_set(spec, '{drains}', case spec ->> 'drains' when 'stays full' then '"stays-full"'::jsonb else '"empties"'::jsonb end)
 where kind = 'media-bed' and spec ->> 'drains' in ('stays full', 'after each flood');
alter table stand enable trigger user;
alter table stand force row level security;

alter table layout no force row level security;
alter table layout disable trigger user;
update layout
   set document = jsonb_set(
         document,
         '{stands}',
         coalesce(
           (select jsonb_agg(
                     case one -> 'spec' ->> 'drains'
                       when 'stays full' then jsonb_set(one, '{spec,drains}', '"stays-full"')
                       when 'after each flood' then jsonb_set(one, '{spec,drains}', '"empties"')
                       else one
                     end
                     order by place)
              from jsonb_array_elements(document -> 'stands') with ordinality as each (one, place)),
           '[]'::jsonb))
 where document -> 'stands' @? '$[*].spec.drains';
alter table layout enable trigger user;
alter table layout force row level security;

alter table cut_list no force row level security;
alter table cut_list disable trigger user;
update cut_list
   set assemblies = (
         select jsonb_agg(
                  case one ->> 'way'
                    when 'a thing goes into it' then jsonb_set(one, '{way}', '"takes-a-piece"')
                    when 'it goes into a space' then jsonb_set(one, '{way}', '"fits-a-space"')
                    else one
                  end
                  order by place)
           from jsonb_array_elements(assemblies) with ordinality as each (one, place))
 where assemblies @? '$[*].way';
alter table cut_list enable trigger user;
alter table cut_list force row level security;
