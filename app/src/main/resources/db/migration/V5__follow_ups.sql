-- How long after it was done a thing comes due again, as an ISO 8601 period; null for what comes once.
alter table due_item add column every varchar(10);

-- What was done and what is put off is written with the item: among a million families most of what ever came due is done.
alter table due_item add column done boolean not null default false;
alter table due_item add column hidden_until date;
drop index due_item_by_day;
create index due_item_open on due_item (point_id, earliest, fitting_id, what) where not done;

-- The day on which something was done by the clocks of the fitting point: what comes again counts from it.
alter table due_mark add column day date;
update due_mark m set day = (m.at at time zone p.zone)::date
    from fitting f join point p on p.id = f.point_id where f.id = m.fitting_id;
alter table due_mark alter column day set not null;

-- Part of the projection for lists: a newer fitting of the same restraint in the same car takes over what comes due.
alter table fitting add column car varchar(250);

-- Fittings to be planned again though nobody touched them. All stored before this version are: it tells more dates.
create table fitting_stale (
    fitting_id uuid not null primary key references fitting
);
insert into fitting_stale select id from fitting;
create index fitting_next_change on fitting (next_change_on) where state = 'OPEN';
create index fitting_of_family on fitting (family_id, created_at);
create index entry_adopts on entry ((document #>> '{fact,of}')) where document #>> '{fact,kind}' = 'sheetAdopted';

-- Any part of a reference or name, however long ago the family came.
create extension if not exists pg_trgm;
create index family_find on family using gin (lower(reference || ' ' || child_name) gin_trgm_ops);
