-- Ranges of loops and recipes as the entities describe them.
alter table loop
  drop constraint loop_working_l_check,
  add constraint loop_normal_fill_l_check check (normal_fill_l between 1 and 1000000),
  drop constraint loop_drain_share_check,
  add constraint loop_drain_share_check check (drain_share between 0 and 0.89),
  drop constraint loop_injector_least_lph_check,
  add constraint loop_injector_least_lph_check check (injector_least_lph between 0 and 100000),
  add constraint loop_injector_greatest_lph_check check (injector_greatest_lph between 0 and 1000000);
alter table recipe
  drop constraint recipe_ec_low_check,
  add constraint recipe_ec_low_check check (ec_low between 0.05 and 8),
  add constraint recipe_ec_high_check check (ec_high between 0.1 and 10);
