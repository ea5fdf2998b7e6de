-- Targets whose charges do not balance are kept when somebody says so.
alter table recipe add column balance_doubted boolean not null default false;
