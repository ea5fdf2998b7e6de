-- How strong the acid of a loop is, where it is not the usual bottle.
alter table loop
  add column acid_percent double precision check (acid_percent between 1 and 100),
  add column acid_density_kg_per_l double precision check (acid_density_kg_per_l between 0.9 and 2),
  add constraint loop_acid_told_whole check ((acid_percent is null) = (acid_density_kg_per_l is null));
