-- A rare part of a name is found by its letters first; a common one by walking from what was touched last, which ends soon.
create or replace function fittings_like(asked uuid, pattern text, most int) returns table (fitting_id uuid)
language plpgsql stable security definer set search_path = public, pg_temp as $fn$
declare
    families uuid[];
    rare constant int := 1500;
begin
    if asked is distinct from coalesce(nullif(current_setting('layette.point', true), '')::uuid, asked) then
        return;
    end if;
    execute $q$
        select array(select a.id from family a
            where a.point_id = $1 and lower(a.reference || ' ' || a.child_name) like $2 escape '\' limit $3 + 1)
        $q$ into families using asked, pattern, rare;
    if coalesce(array_length(families, 1), 0) <= rare then
        return query execute $q$
            select found.id from (
                select f.id, f.touched_at from fitting f where f.point_id = $1 and f.family_id = any ($4)
                union
                select f.id, f.touched_at from fitting f
                    where f.point_id = $1 and f.child_name is not null and lower(f.child_name) like $2 escape '\') found
            order by found.touched_at desc limit $3
            $q$ using asked, pattern, most, families;
    else
        return query execute $q$
            select f.id from fitting f join family a on a.point_id = f.point_id and a.id = f.family_id
                where f.point_id = $1 and (lower(a.reference || ' ' || a.child_name) like $2 escape '\'
                    or lower(f.child_name) like $2 escape '\')
                order by f.touched_at desc limit $3
            $q$ using asked, pattern, most;
    end if;
end $fn$;
