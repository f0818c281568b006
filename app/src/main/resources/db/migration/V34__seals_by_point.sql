-- A look at the seals is a point's: what one lead looked at says nothing of another point's seals.
alter table seals_checked add column point_id uuid references point;
delete from seals_checked where (select count(*) from point) <> 1;
update seals_checked set point_id = (select id from point);
alter table seals_checked
    alter column point_id set not null,
    drop constraint seals_checked_pkey,
    add primary key (point_id, at);
alter table seals_checked enable row level security;
create policy own_point on seals_checked to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
