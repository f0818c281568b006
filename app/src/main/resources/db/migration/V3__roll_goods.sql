-- What a fitting point keeps to roll up under a foot end: cloths by their sizes, noodles by their thickness.
create table roll_good (
    id uuid primary key,
    point_id uuid not null references point (id),
    name text not null check (length(name) between 1 and 80),
    kind text not null check (kind in ('CLOTH', 'NOODLE')),
    length_mm double precision,
    width_mm double precision,
    thickness_mm double precision not null,
    softness text check (softness in ('FIRM', 'SOFT')),
    check (kind = 'NOODLE' and softness is not null or kind = 'CLOTH' and length_mm is not null and width_mm is not null)
);
create index roll_good_by_point on roll_good (point_id, name);
