-- On which days of the week somebody works; who is not named here works on all of them.
create table at_work (
    user_id uuid primary key references app_user on delete cascade,
    point_id uuid not null references point,
    weekdays varchar(7) not null check (weekdays ~ '^1?2?3?4?5?6?7?$')
);
-- Days on which somebody is not here, the first and the last of them too.
create table away (
    user_id uuid not null references app_user on delete cascade,
    point_id uuid not null references point,
    from_day date not null,
    to_day date not null check (to_day >= from_day),
    primary key (user_id, from_day)
);
create index away_by_point on away (point_id, to_day);

-- Who has to see to it: who signed the fitting, before that who entered last.
alter table due_item add column person varchar(60) not null default '';
