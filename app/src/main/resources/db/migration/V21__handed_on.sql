-- What another fitting point handed on with a family: its record and sheets as they were sealed there, without names.
create table received_case (
    fitting_id uuid primary key references fitting,
    point_id uuid not null references point,
    from_point varchar(200) not null,
    sha256 char(64) not null,
    document text not null,
    received_at timestamptz not null,
    received_by varchar(60) not null
);
