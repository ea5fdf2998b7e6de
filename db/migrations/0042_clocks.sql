-- How long stages take: by the calendar day by day or read at the start, or by warmth and light; lamps and heat mats for that.
alter table variety
  add column clock text not null default 'calendar' check (clock in ('calendar', 'start', 'warmth')),
  add column half_light_mol double precision check (half_light_mol between 0.1 and 100),
  add column learns boolean not null default true,
  add column up_within_days double precision check (up_within_days between 1 and 90 and up_within_days = floor(up_within_days)),
  add column not_modelled text[] not null default '{}'
    constraint variety_not_modelled check (not_modelled <@ array['bolting', 'chilling', 'cold-to-flower', 'day-length']);
alter table variety_stage
  add column reference_days double precision check (reference_days between 0.5 and 400),
  add column uses_light boolean not null default true;
alter table house add column lamps_umol_per_m2_s double precision check (lamps_umol_per_m2_s between 0 and 3000);
alter table stand
  add column mat_c double precision check (mat_c between 5 and 45),
  add column lamps_umol_per_m2_s double precision check (lamps_umol_per_m2_s between 0 and 3000),
  add column lamp_hours double precision check (lamp_hours between 0 and 24),
  add column domed boolean not null default false;
