-- Splits the large tables by fitting point, with PostgreSQL's own partitions; for installations of thousands of points.
-- By hand, with the application stopped, as the owner of the tables:
--     psql -v ON_ERROR_STOP=1 -v parts=64 -f split_by_point.sql
-- The program knows nothing of it: its queries name the point, and so does the wall (decision 66).
create or replace function split_by_point(parts int) returns void language plpgsql as $$
declare
    large constant text[] := array['family', 'fitting', 'entry', 'seal', 'due_item', 'due_mark', 'photo', 'ledger_line'];
    each text;
    keys record;
    made text[];
    again text[] := '{}';
begin
    -- Keys from and to these tables, to be made again at the end.
    for keys in
        select conrelid::regclass::text as owner, conname, pg_get_constraintdef(oid) as def from pg_constraint
        where contype = 'f' and connamespace = 'public'::regnamespace
            and (conrelid::regclass::text = any (large) or confrelid::regclass::text = any (large))
    loop
        execute format('alter table %s drop constraint %I', keys.owner, keys.conname);
        again := again || format('alter table %s add constraint %I %s', keys.owner, keys.conname, keys.def);
    end loop;
    foreach each in array large loop
        made := array(
            select format('alter table %I add constraint %I %s', each, conname, pg_get_constraintdef(oid)) from pg_constraint
            where conrelid = each::regclass and contype in ('p', 'u'));
        made := made || array(
            select pg_get_indexdef(indexrelid) from pg_index i where indrelid = each::regclass
                and not exists (select 1 from pg_constraint c where c.conindid = i.indexrelid));
        execute format('alter table %I rename to %I', each, each || '_whole');
        execute format('create table %I (like %I including defaults including constraints including storage'
            ' including compression) partition by hash (point_id)', each, each || '_whole');
        for part in 0 .. parts - 1 loop
            execute format('create table %I partition of %I for values with (modulus %s, remainder %s)',
                each || '_' || part, each, parts, part);
        end loop;
        execute format('insert into %I select * from %I', each, each || '_whole');
        execute format('drop table %I', each || '_whole');
        for index in 1 .. coalesce(array_length(made, 1), 0) loop
            execute made[index];
        end loop;
        execute format('alter table %I enable row level security', each);
        execute format('create policy own_point on %I to layette_point'
            ' using (point_id = nullif(current_setting(''layette.point'', true), '''')::uuid)', each);
        execute format('grant select, insert, update, delete on %I to layette_point', each);
    end loop;
    for index in 1 .. coalesce(array_length(again, 1), 0) loop
        execute again[index];
    end loop;
end $$;
select split_by_point(:parts);
drop function split_by_point(int);
