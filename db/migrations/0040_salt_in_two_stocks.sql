-- A salt may be split between A and B, half each, so that it stays dissolved.
alter table recipe_salt
  drop constraint recipe_salt_stock_check,
  add constraint recipe_salt_stock_check check (stock in ('A', 'B', 'C', 'A+B'));
