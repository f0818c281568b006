-- What ended, one narrow line each, so that a year is counted without reading its entries anew.
create table ledger_line (
    point_id uuid not null references point,
    fitting_id uuid not null,
    -- The day at the point.
    day date not null,
    ended_at timestamptz not null,
    ending varchar(30) not null,
    by_user varchar(60) not null,
    method varchar(40) not null,
    minutes int not null,
    looks int not null,
    -- What was found wrong on arrival, and how much of it was put right.
    found int not null default 0,
    put_right int not null default 0,
    primary key (point_id, fitting_id),
    foreign key (point_id, fitting_id) references fitting (point_id, id)
);
create index ledger_line_by_day on ledger_line (point_id, day, ending);
insert into ledger_line (point_id, fitting_id, day, ended_at, ending, by_user, method, minutes, looks)
    select f.point_id, f.id, (s.sealed_at at time zone p.zone)::date, s.sealed_at, f.state, s.sealed_by,
        coalesce((select upper(regexp_replace(e.document #>> '{fact,method}', '([a-z0-9])([A-Z])', '\1_\2', 'g')) from entry e
            where e.point_id = f.point_id and e.fitting_id = f.record_id and e.document #>> '{fact,kind}' = 'placed'
            order by e.seq desc limit 1), ''),
        greatest(0, round(extract(epoch from (s.sealed_at - f.created_at)) / 60))::int,
        (select count(*) from entry e
            where e.point_id = f.point_id and e.fitting_id = f.record_id and e.document #>> '{fact,kind}' = 'levelRead')
    from seal s
    join fitting f on f.point_id = s.point_id and f.id = s.fitting_id
    join point p on p.id = f.point_id;
alter table ledger_line enable row level security;
create policy own_point on ledger_line to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
