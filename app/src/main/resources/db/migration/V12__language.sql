-- The language somebody chose to read in; none leaves it to their browser.
alter table app_user add column language varchar(8);
