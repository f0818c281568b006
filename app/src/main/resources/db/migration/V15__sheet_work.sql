-- Seat sheets that are being written. They decide nothing and are on no shelf until they are put there.
create table sheet_work (
    point_id uuid not null references point,
    id varchar(60) not null,
    document text not null,
    -- Everybody who changed anything in it: none of them confirms it.
    writers text[] not null,
    changed_at timestamptz not null,
    primary key (point_id, id)
);

-- Who wrote a draft, besides whoever put it on the shelf.
alter table sheet add column writers text[] not null default '{}';
