-- Several actual seats in one fitting: each has a row, and all of them one record. The first seat's row is the record's.
alter table fitting
    add column record_id uuid references fitting,
    add column unit varchar(8) not null default 'u1',
    add column rider varchar(8) not null default 'r1',
    -- Names live beside the record, so that they can be erased; null where it is the family's own child.
    add column child_name varchar(80);
update fitting set record_id = id;
alter table fitting
    alter column record_id set not null,
    add constraint fitting_unit unique (record_id, unit);
