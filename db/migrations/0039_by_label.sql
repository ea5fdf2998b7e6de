-- A recipe may be products dosed by their labels, without targets; what the whole dose adds to the EC may be told.
alter table recipe
  add column by_label boolean not null default false,
  add column label_ec_ms_per_cm double precision check (label_ec_ms_per_cm between 0.05 and 10);
