-- Programs of others: each with a token of a point, with scopes and an end. Only its hash is kept.
create table program (
    point_id uuid not null references point,
    id uuid not null,
    name varchar(60) not null,
    scopes varchar(200) not null,
    sha256 char(64) not null,
    made_by varchar(60) not null,
    made_at timestamptz not null,
    expires_on date not null,
    revoked_at timestamptz,
    primary key (point_id, id)
);
-- Asked for before the point is known.
create unique index program_by_token on program (sha256);

-- How often a program asked in a minute: counted here, so that every process counts the same.
create table program_use (
    point_id uuid not null,
    program_id uuid not null,
    minute timestamptz not null,
    requests int not null,
    primary key (point_id, program_id, minute),
    foreign key (point_id, program_id) references program (point_id, id) on delete cascade
);

-- What was answered to a request that may come twice.
create table program_answer (
    point_id uuid not null,
    program_id uuid not null,
    key varchar(100) not null,
    request_sha256 char(64) not null,
    status int not null,
    location varchar(200) not null,
    body text not null,
    at timestamptz not null,
    primary key (point_id, program_id, key),
    foreign key (point_id, program_id) references program (point_id, id) on delete cascade
);

-- Newborns that a ward described, until a fitting is begun with them.
create table brought_in (
    point_id uuid not null references point,
    id uuid not null,
    source varchar(80) not null,
    brought_by varchar(80) not null,
    at timestamptz not null,
    given varchar(80) not null,
    sha256 char(64) not null,
    document text not null,
    fitting_id uuid,
    primary key (point_id, id),
    unique (point_id, sha256),
    foreign key (point_id, fitting_id) references fitting (point_id, id)
);
create index brought_in_waiting on brought_in (point_id, at) where fitting_id is null;

alter table program enable row level security;
alter table program_use enable row level security;
alter table program_answer enable row level security;
alter table brought_in enable row level security;
create policy own_point on program to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
create policy own_point on program_use to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
create policy own_point on program_answer to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
create policy own_point on brought_in to layette_point
    using (point_id = nullif(current_setting('layette.point', true), '')::uuid);
