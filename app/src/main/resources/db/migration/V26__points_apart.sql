-- Several points in one database. Every row that is a point's says whose it is, every key of such a row begins with the
-- point, and a second wall of the database's own stands behind the filters of the program: what works for a point does
-- so in the role layette_point, which sees the rows of that point alone, whatever a query forgot.

-- Who owns the tables makes the role, where it may; else it has to be there (README, "Running it").
do $$
begin
    if not exists (select from pg_roles where rolname = 'layette_point') then
        create role layette_point nologin;
    end if;
exception when duplicate_object or unique_violation then
    null;
end $$;
do $$
begin
    if not pg_has_role(current_user, 'layette_point', 'member') then
        execute format('grant layette_point to %I', current_user);
    end if;
end $$;

-- Keys are rebuilt below.
do $$
declare
    each record;
begin
    for each in
        select conrelid::regclass as owner, conname from pg_constraint
        where contype = 'f' and confrelid in ('fitting'::regclass, 'family'::regclass, 'stock_seat'::regclass,
            'bay'::regclass, 'bench_run'::regclass)
    loop
        execute format('alter table %s drop constraint %I', each.owner, each.conname);
    end loop;
end $$;

alter table entry add column point_id uuid;
alter table seal add column point_id uuid;
alter table seal_struck add column point_id uuid;
alter table family_page add column point_id uuid;
alter table due_mark add column point_id uuid;
alter table photo add column point_id uuid;
alter table fitting_stale add column point_id uuid;
alter table stock_event add column point_id uuid;
alter table bench_doing add column point_id uuid;

update entry e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update seal e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update seal_struck e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update family_page e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update due_mark e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update photo e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update fitting_stale e set point_id = f.point_id from fitting f where f.id = e.fitting_id;
update stock_event e set point_id = s.point_id from stock_seat s where s.id = e.seat_id;
update bench_doing e set point_id = r.point_id from bench_run r where r.id = e.run_id;

alter table entry alter column point_id set not null;
alter table seal alter column point_id set not null;
alter table seal_struck alter column point_id set not null;
alter table family_page alter column point_id set not null;
alter table due_mark alter column point_id set not null;
alter table photo alter column point_id set not null;
alter table fitting_stale alter column point_id set not null;
alter table stock_event alter column point_id set not null;
alter table bench_doing alter column point_id set not null;

alter table family drop constraint family_pkey, add primary key (point_id, id);
alter table fitting drop constraint fitting_pkey, add primary key (point_id, id),
    drop constraint fitting_unit, add constraint fitting_unit unique (point_id, record_id, unit);
alter table entry drop constraint entry_pkey, add primary key (point_id, fitting_id, seq),
    drop constraint entry_id_key, add constraint entry_id_key unique (point_id, id);
alter table seal drop constraint seal_pkey, add primary key (point_id, fitting_id);
alter table seal_struck drop constraint seal_struck_pkey, add primary key (point_id, fitting_id, at);
alter table due_mark drop constraint due_mark_pkey, add primary key (point_id, id);
alter table due_item drop constraint due_item_pkey, add primary key (point_id, fitting_id, what, likely);
alter table photo drop constraint photo_pkey, add primary key (point_id, id);
alter table fitting_stale drop constraint fitting_stale_pkey, add primary key (point_id, fitting_id);
alter table stock_seat drop constraint stock_seat_pkey, add primary key (point_id, id);
alter table stock_event drop constraint stock_event_pkey, add primary key (point_id, seat_id, seq);
alter table bench_run drop constraint bench_run_pkey, add primary key (point_id, id);
alter table bench_doing drop constraint bench_doing_pkey, add primary key (point_id, run_id, number);
alter table bench_skill drop constraint bench_skill_pkey, add primary key (point_id, user_id, area);
alter table bench_asked drop constraint bench_asked_pkey, add primary key (point_id, id);
alter table bay drop constraint bay_pkey, add primary key (point_id, id);
alter table appointment drop constraint appointment_pkey, add primary key (point_id, id);
alter table received_case drop constraint received_case_pkey, add primary key (point_id, fitting_id);
alter table at_work drop constraint at_work_pkey, add primary key (point_id, user_id);
alter table away drop constraint away_pkey, add primary key (point_id, user_id, from_day);
alter table roll_good drop constraint roll_good_pkey, add primary key (point_id, id);
alter table simulated_mail drop constraint simulated_mail_pkey, add primary key (point_id, id);

alter table fitting
    add foreign key (point_id, family_id) references family (point_id, id),
    add foreign key (point_id, record_id) references fitting (point_id, id);
alter table entry add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table seal add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table seal_struck add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table family_page add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table due_mark add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table due_item add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table photo add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table fitting_stale add foreign key (point_id, fitting_id) references fitting (point_id, id) on delete cascade;
alter table received_case add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table stock_seat add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table stock_event add foreign key (point_id, seat_id) references stock_seat (point_id, id) on delete cascade;
alter table appointment
    add foreign key (point_id, bay_id) references bay (point_id, id),
    add foreign key (point_id, fitting_id) references fitting (point_id, id);
alter table bench_doing add foreign key (point_id, run_id) references bench_run (point_id, id) on delete cascade;
alter table bench_asked
    add foreign key (point_id, run_id) references bench_run (point_id, id) on delete set null (run_id);

drop index fitting_next_change;
create index fitting_next_change on fitting (point_id, next_change_on) where state in ('OPEN', 'PREPARED');
create index fitting_open on fitting (point_id, touched_at desc) where state in ('OPEN', 'PREPARED');
drop index fitting_of_family;
create index fitting_of_family on fitting (point_id, family_id, created_at);
drop index entry_adopts;
create index entry_adopts on entry (point_id, (document #>> '{fact,of}')) where document #>> '{fact,kind}' = 'sheetAdopted';
drop index entry_label_model;
create index entry_label_model on entry (point_id, lower(document #>> '{fact,model}'))
    where document #>> '{fact,kind}' = 'labelRead';
create index entry_found_so on entry (point_id, at) where document #>> '{fact,kind}' = 'foundSo';
drop index family_page_of;
create index family_page_of on family_page (point_id, fitting_id);
drop index due_mark_of;
create index due_mark_of on due_mark (point_id, fitting_id);
drop index photo_of;
create index photo_of on photo (point_id, fitting_id, at);
drop index stock_by_fitting;
create index stock_by_fitting on stock_seat (point_id, fitting_id) where fitting_id is not null;
drop index appointment_by_fitting;
create index appointment_by_fitting on appointment (point_id, fitting_id) where fitting_id is not null;
create index appointment_by_reference on appointment (point_id, reference);
drop index bench_asked_of;
create index bench_asked_of on bench_asked (point_id, user_id) where run_id is null;
create index seal_by_day on seal (point_id, sealed_at);
create index app_user_by_point on app_user (point_id, name);
create extension if not exists btree_gin;
drop index family_find;
create index family_find on family using gin (point_id, (lower(reference || ' ' || child_name)) gin_trgm_ops);
create index fitting_child_find on fitting using gin (point_id, (lower(child_name)) gin_trgm_ops)
    where child_name is not null;

-- Whoever inserts what hangs on something of a point need not say whose it is: it is that point's.
create function point_of_fitting() returns trigger language plpgsql as $$
begin
    select f.point_id into new.point_id from fitting f where f.id = new.fitting_id;
    return new;
end $$;
create function point_of_seat() returns trigger language plpgsql as $$
begin
    select s.point_id into new.point_id from stock_seat s where s.id = new.seat_id;
    return new;
end $$;
create function point_of_run() returns trigger language plpgsql as $$
begin
    select r.point_id into new.point_id from bench_run r where r.id = new.run_id;
    return new;
end $$;
create trigger whose before insert on entry for each row when (new.point_id is null) execute function point_of_fitting();
create trigger whose before insert on seal_struck for each row when (new.point_id is null) execute function point_of_fitting();
create trigger whose before insert on due_mark for each row when (new.point_id is null) execute function point_of_fitting();
create trigger whose before insert on photo for each row when (new.point_id is null) execute function point_of_fitting();
create trigger whose before insert on fitting_stale for each row when (new.point_id is null) execute function point_of_fitting();
create trigger whose before insert on stock_event for each row when (new.point_id is null) execute function point_of_seat();
create trigger whose before insert on bench_doing for each row when (new.point_id is null) execute function point_of_run();

-- Part of a name finds families by an index that may not be used behind the wall, where a pattern could look at rows
-- that are not shown: so it is asked here, of one point, and only of the one that the session works for.
create function fittings_like(asked uuid, pattern text, most int) returns table (fitting_id uuid)
language plpgsql stable security definer set search_path = public, pg_temp as $fn$
begin
    if asked is distinct from coalesce(nullif(current_setting('layette.point', true), '')::uuid, asked) then
        return;
    end if;
    -- Planned with the pattern at hand: a rare one goes by its letters, a common one by what was touched last.
    return query execute $q$
        select found.id from (
            (select f.id, f.touched_at from family a
                join fitting f on f.point_id = a.point_id and f.family_id = a.id
                where a.point_id = $1 and lower(a.reference || ' ' || a.child_name) like $2 escape '\'
                order by f.touched_at desc limit $3)
            union
            (select f.id, f.touched_at from fitting f
                where f.point_id = $1 and f.child_name is not null and lower(f.child_name) like $2 escape '\'
                order by f.touched_at desc limit $3)) found
        order by found.touched_at desc limit $3
        $q$ using asked, pattern, most;
end $fn$;

-- What the role may do is granted after each migration (afterMigrate.sql).

-- The wall. Where there is no point in the session, the role sees nothing.
do $$
declare
    each text;
begin
    for each in
        select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid
        where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and a.attname = 'point_id'
    loop
        execute format('alter table %I enable row level security', each);
        execute format('create policy own_point on %I to layette_point'
            ' using (point_id = nullif(current_setting(''layette.point'', true), '''')::uuid)', each);
    end loop;
end $$;
alter table point enable row level security;
create policy own_point on point to layette_point
    using (id = nullif(current_setting('layette.point', true), '')::uuid);

-- Who sees the counts of all points, and opens new ones.
alter table app_user add column organisation boolean not null default false;
-- Whoever led the only point there was answers for all there will be.
update app_user set organisation = true where role = 'LEAD' and (select count(*) from point) = 1;
alter table point add column opened_at timestamptz not null default now();
