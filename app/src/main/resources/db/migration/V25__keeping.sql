-- When a backup was made, and what came of the last look at every seal; for whoever answers for it.
create table backup_made (
    at timestamptz primary key,
    bytes bigint not null,
    sha256 char(64) not null
);
create table seals_checked (
    at timestamptz primary key,
    seals int not null,
    broken int not null,
    seconds int not null
);
