-- By which school the strength of a loop's feed follows age and season. What was there before keeps the recipe's strength.
alter table loop add column strength jsonb not null default '{"kind": "constant"}'
  constraint loop_strength check (measures_within(strength, '{
    "constant": {},
    "age": {"ecAtStart":[0.05,10],"ecAtMaturity":[0.05,10],"maturityDays":[1,400]},
    "season": {"ecBright":[0.05,10],"ecDark":[0.05,10]},
    "bands": {}
  }'));
