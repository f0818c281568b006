-- What comes next of a child that was fitted anew since stands with its newer fitting: said when it is written, not
-- looked for with every list.
alter table due_item add column taken_over boolean not null default false;
update due_item i set taken_over = true from fitting f
    where f.point_id = i.point_id and f.id = i.fitting_id and exists (
        select 1 from fitting g where g.point_id = f.point_id and g.family_id = f.family_id and g.rider = f.rider
            and g.created_at > f.created_at and g.seat_sheet = f.seat_sheet and g.car is not distinct from f.car
            and g.state in ('HANDED_OVER', 'LEFT_WITH_OPEN_FINDINGS'));
drop index due_item_open;
create index due_item_open on due_item (point_id, earliest, fitting_id, what) where not done and not taken_over;

-- The models that a point has seen a label of: what the recall service is asked about.
create table label_model (
    point_id uuid not null references point,
    model varchar(200) not null,
    primary key (point_id, model)
);
insert into label_model (point_id, model)
    select distinct point_id, left(lower(document #>> '{fact,model}'), 200) from entry
    where document #>> '{fact,kind}' = 'labelRead' and document #>> '{fact,model}' <> ''
    on conflict do nothing;
alter table label_model enable row level security;
create policy own_point on label_model to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
