-- What works for a point may read and write every table; which rows is the policies' to say. Said for what is missing
-- alone: a backup brings no rights, and two processes may start at once.
do $$
declare
    each text;
begin
    if not has_schema_privilege('layette_point', 'public', 'usage') then
        grant usage on schema public to layette_point;
    end if;
    for each in
        select format('%I', c.relname) from pg_class c
        where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and not c.relispartition
            and c.relname <> 'flyway_schema_history'
            and not (has_table_privilege('layette_point', c.oid, 'select')
                and has_table_privilege('layette_point', c.oid, 'insert')
                and has_table_privilege('layette_point', c.oid, 'update')
                and has_table_privilege('layette_point', c.oid, 'delete'))
    loop
        execute 'grant select, insert, update, delete on ' || each || ' to layette_point';
    end loop;
end $$;
