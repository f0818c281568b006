-- What was signed, as it was signed; later entries are outside it.
create table seal (
    fitting_id     uuid        not null primary key references fitting,
    last_seq       int         not null check (last_seq >= 1),
    sha256         char(64)    not null,
    engine_version varchar(20) not null,
    sealed_at      timestamptz not null,
    sealed_by      varchar(60) not null,
    plan           jsonb       not null
);

-- A family's own page: unguessable, read-only, expiring, revocable. No name is in its address.
create table family_page (
    token      char(43)    not null primary key,
    fitting_id uuid        not null references fitting,
    made_at    timestamptz not null,
    expires_on date        not null,
    revoked_at timestamptz
);
create index family_page_of on family_page (fitting_id);

-- What was done about something that came due; what comes due is computed.
create table due_mark (
    id         uuid        not null primary key,
    fitting_id uuid        not null references fitting,
    what       varchar(60) not null,
    due_on     date        not null,
    kind       varchar(10) not null check (kind in ('DONE', 'SNOOZED', 'CONTACT')),
    until      date,
    note       varchar(400) not null,
    by_user    varchar(60) not null,
    at         timestamptz not null
);
create index due_mark_of on due_mark (fitting_id);

-- What comes due for each fitting, written in the entry's transaction: the list of all families is asked often.
create table due_item (
    fitting_id uuid        not null references fitting,
    point_id   uuid        not null references point,
    what       varchar(60) not null,
    earliest   date        not null,
    likely     date        not null,
    latest     date,
    primary key (fitting_id, what, likely)
);
create index due_item_by_day on due_item (point_id, earliest);

-- A calendar feed of one technician; the token is the whole secret.
create table calendar_feed (
    token    char(43)    not null primary key,
    user_id  uuid        not null unique references app_user,
    made_at  timestamptz not null
);

-- What the stand-in for a mail service was given; nothing leaves the machine.
create table simulated_mail (
    id         uuid         not null primary key,
    point_id   uuid         not null references point,
    at         timestamptz  not null,
    recipient  varchar(120) not null,
    subject    varchar(200) not null,
    body       text         not null
);
create index simulated_mail_of on simulated_mail (point_id, at desc);

-- Photographs of a fitting, made small and clean on the way in: no location, no camera, no name.
create table photo (
    id         uuid        not null primary key,
    fitting_id uuid        not null references fitting,
    at         timestamptz not null,
    by_user    varchar(60) not null,
    width      int         not null,
    height     int         not null,
    sha256     char(64)    not null,
    picture    bytea       not null
);
create index photo_of on photo (fitting_id, at);
