-- A fitting is its entries; everything else about it can be computed again.
create table point (
    id              uuid primary key,
    name            varchar(120) not null,
    zone            varchar(60)  not null,
    law_country     char(2)      not null,
    profile_id      varchar(60)  not null
);

create table app_user (
    id            uuid primary key,
    point_id      uuid         not null references point,
    name          varchar(60)  not null unique,
    display_name  varchar(120) not null,
    password_hash varchar(200) not null,
    role          varchar(20)  not null check (role in ('TRAINEE', 'TECHNICIAN', 'LEAD')),
    units         varchar(20)  check (units in ('METRIC', 'CUSTOMARY'))
);

create table practice_profile (
    point_id uuid        not null references point,
    id       varchar(60) not null,
    version  int         not null check (version >= 1),
    document jsonb       not null,
    primary key (point_id, id, version)
);

create table sheet (
    point_id    uuid         not null references point,
    kind        varchar(10)  not null check (kind in ('SEAT', 'VEHICLE')),
    id          varchar(60)  not null,
    version     int          not null check (version >= 1),
    status      varchar(10)  not null check (status in ('DRAFT', 'CONFIRMED')),
    title       varchar(250) not null,
    sha256      char(64)     not null,
    document    jsonb        not null,
    imported_by varchar(60)  not null,
    imported_at timestamptz  not null,
    primary key (point_id, kind, id, version)
);

-- Names live here alone, so that a family can be erased without touching the record.
create table family (
    id         uuid primary key,
    point_id   uuid         not null references point,
    reference  varchar(40)  not null,
    child_name varchar(80)  not null,
    unique (point_id, reference)
);

create table fitting (
    id              uuid primary key,
    point_id        uuid        not null references point,
    family_id       uuid        not null references family,
    profile_id      varchar(60) not null,
    profile_version int         not null,
    law_country     char(2)     not null,
    seat_sheet      varchar(60) not null,
    last_seq        int         not null,
    created_at      timestamptz not null,
    -- projection for lists, written in the entry's transaction
    state           varchar(30) not null,
    next_step       varchar(40),
    blocking        int         not null,
    next_change_on  date,
    touched_at      timestamptz not null
);
create index fitting_today on fitting (point_id, touched_at desc);

create table entry (
    fitting_id uuid        not null references fitting,
    seq        int         not null check (seq >= 1),
    id         uuid        not null unique,
    at         timestamptz not null,
    document   jsonb       not null,
    primary key (fitting_id, seq)
);
