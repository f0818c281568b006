-- What a process keeps of a point's shelf is good as long as this number stays: every process sees it with the point.
alter table point add column shelf_seq bigint not null default 0;
create function shelf_changed() returns trigger language plpgsql as $$
begin
    update point set shelf_seq = shelf_seq + 1 where id = coalesce(new.point_id, old.point_id);
    return null;
end $$;
create trigger changed after insert or update or delete on sheet for each row execute function shelf_changed();

-- Failed tries to sign in, and where somebody signed in before; hashes alone, of account and address.
create table sign_in_try (
    who char(64) primary key,
    failed int not null,
    waits_until timestamptz,
    at timestamptz not null
);
create table sign_in_known (
    who char(64) primary key,
    at timestamptz not null
);

-- Plans under a seal are large, and read seldom: quicker to put away.
do $$
begin
    execute 'alter table seal alter column plan set compression lz4';
exception when feature_not_supported then
    null;
end $$;

-- A letter that is being sent: a second press, by whichever process, sends it not again.
create table letter_under_way (
    point_id uuid not null references point,
    id uuid not null,
    at timestamptz not null,
    primary key (point_id, id)
);
alter table letter_under_way enable row level security;
create policy own_point on letter_under_way to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
