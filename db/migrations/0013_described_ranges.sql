-- Ranges as the entities describe them.
alter table order_line
  drop constraint order_line_quantity_check,
  add constraint order_line_quantity_check check (quantity between 0.001 and 1000000);
