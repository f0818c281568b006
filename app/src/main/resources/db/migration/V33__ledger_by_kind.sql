-- The kind of restraint, for a year laid together by it.
alter table ledger_line add column kind varchar(30) not null default '';
update ledger_line l set kind = coalesce((
    select upper(regexp_replace(s.document ->> 'kind', '([a-z0-9])([A-Z])', '\1_\2', 'g'))
    from fitting f join sheet s on s.point_id = f.point_id and s.id = f.seat_sheet and s.kind = 'SEAT'
    where f.point_id = l.point_id and f.id = l.fitting_id order by s.version desc limit 1), '');
