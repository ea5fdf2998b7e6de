-- Who orders is called a customer; what is remembered follows.

alter table outlet rename to customer;
alter table order_line rename column outlet_id to customer_id;
alter table customer rename constraint outlet_pkey to customer_pkey;
alter table customer rename constraint outlet_garden_id_name_key to customer_garden_id_name_key;
alter sequence outlet_id_seq rename to customer_id_seq;

alter table change no force row level security;
update change
   set before = case when before ? 'outlet_id' then (before - 'outlet_id') || jsonb_build_object('customer_id', before -> 'outlet_id') else before end,
       after = case when after ? 'outlet_id' then (after - 'outlet_id') || jsonb_build_object('customer_id', after -> 'outlet_id') else after end
 where table_name = 'order_line';
update change set table_name = 'customer' where table_name = 'outlet';
alter table change force row level security;
