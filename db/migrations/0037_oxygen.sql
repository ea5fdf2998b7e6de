-- Oxygen in a tank, where somebody has a meter for it.
alter table reading add column oxygen_mg_per_l double precision check (oxygen_mg_per_l between 0 and 40);
