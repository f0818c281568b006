-- Seat sheets that are being written. They decide nothing and are on no shelf until they are put there.
create table sheet_work (
    point_id uuid not null references point,
    id varchar(60) not null,
    document text not null,
    changed_by varchar(80) not null,
    changed_at timestamptz not null,
    primary key (point_id, id)
);
