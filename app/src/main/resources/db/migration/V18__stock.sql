-- The actual seats that a fitting point keeps, and what became of each.
create table stock_seat (
    id uuid primary key,
    point_id uuid not null references point,
    sheet_id varchar(60) not null,
    model varchar(200) not null,
    made varchar(10) not null,
    serial varchar(80) not null,
    state varchar(10) not null check (state in ('READY', 'LENT', 'CLEANING', 'OUT')),
    -- With whom it is, while it is lent.
    fitting_id uuid references fitting,
    until date,
    washed_on date,
    counted_on date,
    -- What a recall asks for was done to it.
    remedied_on date,
    check ((state = 'LENT') = (fitting_id is not null and until is not null))
);
create index stock_by_point on stock_seat (point_id, state);
create index stock_by_fitting on stock_seat (fitting_id) where fitting_id is not null;
create table stock_event (
    seat_id uuid not null references stock_seat on delete cascade,
    seq int not null,
    at timestamptz not null,
    by_user varchar(80) not null,
    what varchar(20) not null,
    about varchar(200) not null,
    primary key (seat_id, seq)
);
