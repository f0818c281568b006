-- Where a family wants its letters; kept beside its name, and erased with it.
alter table family add column letters_to varchar(254);
