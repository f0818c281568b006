-- Words that name somebody, struck from the record when a family is erased. What is read and kept elsewhere goes by the
-- count; the seal is taken anew over what is left, and what it was before is kept with the reason.
alter table fitting add column struck int not null default 0;

create table seal_struck (
    fitting_id    uuid         not null references fitting,
    at            timestamptz  not null,
    by_user       varchar(60)  not null,
    why           varchar(400) not null,
    places        varchar(400) not null,
    sha256_before char(64)     not null,
    primary key (fitting_id, at)
);
