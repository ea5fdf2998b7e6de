-- What a recipe may aim at and hold, and the amounts of its salts: found once and accepted, no longer worked out each time.
-- Recipes of before have none until they are solved again.
alter table recipe
  add column least_mg_per_l jsonb not null default '{}' check (amounts_within(least_mg_per_l, 2000)),
  add column greatest_mg_per_l jsonb not null default '{"Mn": 1.5, "Zn": 0.6, "Cu": 0.2, "B": 0.7}' check (amounts_within(greatest_mg_per_l, 2000)),
  add column ammonium_share_most double precision not null default 0.15 check (ammonium_share_most between 0 and 1);
alter table recipe_salt add column g_per_1000l double precision check (g_per_1000l between 0 and 1000000);
