-- People: who works here today, until when a certificate counts, and the links by which somebody sets a password.
alter table app_user add column certificate varchar(40);
alter table app_user add column certificate_until date;
alter table app_user add column retired_at timestamptz;

-- A link is used once; what is kept of it is its hash.
create table password_link (
    sha256     char(64)    not null primary key,
    user_id    uuid        not null references app_user,
    made_at    timestamptz not null,
    expires_at timestamptz not null,
    used_at    timestamptz
);
create index password_link_of on password_link (user_id);

-- What was done with accounts, sheets, practice and families: each line holds the hash of the one before it.
create table trail (
    point_id uuid         not null references point,
    seq      int          not null check (seq >= 1),
    at       timestamptz  not null,
    by_user  varchar(60)  not null,
    what     varchar(40)  not null,
    about    varchar(200) not null,
    sha256   char(64)     not null,
    primary key (point_id, seq)
);

-- The units that somebody sees who chose none.
alter table point add column units varchar(20) check (units in ('METRIC', 'CUSTOMARY'));
