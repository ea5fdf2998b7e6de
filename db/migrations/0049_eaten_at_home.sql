-- What a household eats of a crop each week, in the unit that it is sold by.
alter table variety add column eaten_per_week double precision check (eaten_per_week >= 0.01 and eaten_per_week <= 10000);
