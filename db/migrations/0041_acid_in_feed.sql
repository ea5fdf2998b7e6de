-- Acid may go into the feed water of a loop all the time: what it brings then counts in the recipe.
alter table loop add column acid_in_feed boolean not null default false;
