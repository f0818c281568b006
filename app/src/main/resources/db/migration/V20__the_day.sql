-- Two families in one bay at one time are refused by the database itself.
create extension if not exists btree_gist;

create table bay (
    id uuid primary key,
    point_id uuid not null references point,
    name varchar(60) not null,
    ward boolean not null default false,
    travel_minutes int not null default 0 check (travel_minutes between 0 and 120),
    place int not null,
    unique (point_id, name)
);

-- When a point is open, at its own time. A day of the week without a row is closed.
create table opening (
    point_id uuid not null references point,
    weekday smallint not null check (weekday between 1 and 7),
    from_time time not null,
    to_time time not null check (to_time > from_time),
    primary key (point_id, weekday, from_time)
);
-- A day that is otherwise: open at other times, or closed where there are none.
create table opening_exception (
    point_id uuid not null references point,
    day date not null,
    hours varchar(80) not null,
    primary key (point_id, day)
);

create table appointment (
    id uuid primary key,
    point_id uuid not null references point,
    bay_id uuid references bay,
    day date,
    from_time time,
    to_time time,
    minutes int not null check (minutes between 5 and 480),
    what varchar(20) not null,
    who varchar(120) not null,
    reference varchar(40) not null,
    due_on date,
    several boolean not null default false,
    sooner_by date,
    fitting_id uuid references fitting,
    state varchar(10) not null check (state in ('BOOKED', 'CAME', 'NO_SHOW', 'CANCELLED', 'WAITING')),
    -- Grows with each change, so that a calendar updates what it has.
    revision int not null default 0,
    -- Of which change the family was written; none while it was not.
    told int,
    made_by varchar(60) not null,
    changed_at timestamptz not null,
    during tsrange generated always as (tsrange(day + from_time, day + to_time)) stored,
    check (state not in ('BOOKED', 'CAME') or (bay_id is not null and day is not null and from_time < to_time)),
    exclude using gist (bay_id with =, during with &&) where (state in ('BOOKED', 'CAME'))
);
create index appointment_by_day on appointment (point_id, day);
create index appointment_by_fitting on appointment (fitting_id) where fitting_id is not null;
