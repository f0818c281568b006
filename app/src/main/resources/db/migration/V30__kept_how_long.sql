-- How long a point keeps who its families were, and from when on that counts: first it is tried, then it is put in force.
alter table point
    add column keep_months int check (keep_months between 6 and 240),
    add column keep_from date,
    add column keep_by varchar(60);
