-- Whom a family calls, and when somebody answers; both are printed on their page once they are set.
alter table point add column phone varchar(40);
alter table point add column call_hours varchar(80);
