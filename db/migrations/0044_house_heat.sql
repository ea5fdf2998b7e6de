-- What a house loses, and what it has against cold, heat and dark.
alter table house
  add column roof text not null default 'flat' check (roof in ('flat', 'gable', 'round')),
  add column ridge_m double precision check (ridge_m between 0.3 and 60),
  add column u_w_per_m2_k double precision check (u_w_per_m2_k between 0.1 and 20),
  add column air_changes_per_hour double precision not null default 1 check (air_changes_per_hour between 0 and 60),
  add column heater_kw double precision check (heater_kw between 0 and 10000),
  add column roof_vents_m2 double precision check (roof_vents_m2 between 0 and 100000),
  add column side_vents_m2 double precision check (side_vents_m2 between 0 and 100000),
  add column price_per_kwh double precision check (price_per_kwh between 0 and 1000);
