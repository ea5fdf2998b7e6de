-- Ranges of varieties as the entities describe them.
alter table variety
  drop constraint variety_germination_check,
  add constraint variety_germination_check check (germination between 0.01 and 1),
  drop constraint variety_seeds_per_g_check,
  add constraint variety_seeds_per_g_check check (seeds_per_g between 0.01 and 100000);
