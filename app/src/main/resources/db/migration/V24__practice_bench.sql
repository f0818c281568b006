-- A dry run on the practice bench: its kind and number say what it is, its doings what was done.
create table bench_run (
    id uuid primary key,
    point_id uuid not null references point,
    user_id uuid not null references app_user on delete cascade,
    kind varchar(10) not null check (kind in ('FIT', 'FIND', 'CHOOSE', 'TEACH')),
    number int not null check (number between 1 and 999999),
    begun_at timestamptz not null,
    ended_at timestamptz,
    clean boolean,
    -- What was chosen, with its arguments, in a run of that kind.
    choice varchar(600),
    -- Who asked for it; none where somebody practises by themselves.
    set_by varchar(60)
);
create index bench_run_of on bench_run (point_id, user_id, begun_at desc);

create table bench_doing (
    run_id uuid not null references bench_run on delete cascade,
    number int not null check (number between 1 and 600),
    doing varchar(120) not null,
    at timestamptz not null,
    primary key (run_id, number)
);

-- What somebody knows of an area of the rules, and when it is worth practising again.
create table bench_skill (
    user_id uuid not null references app_user on delete cascade,
    point_id uuid not null references point,
    area varchar(8) not null,
    right_in_a_row int not null check (right_in_a_row between 0 and 5),
    due date not null,
    primary key (user_id, area)
);

-- Runs that a lead asks somebody to do.
create table bench_asked (
    id uuid primary key,
    point_id uuid not null references point,
    user_id uuid not null references app_user on delete cascade,
    kind varchar(10) not null check (kind in ('FIT', 'FIND', 'CHOOSE', 'TEACH')),
    number int not null check (number between 1 and 999999),
    asked_by varchar(60) not null,
    asked_at timestamptz not null,
    run_id uuid references bench_run on delete set null
);
create index bench_asked_of on bench_asked (user_id) where run_id is null;
