-- A second factor beside the password: time codes (RFC 6238), passkeys, and codes on paper for the day the phone is lost.
alter table point add column leads_need_second boolean not null default false;
alter table app_user add column second_factor boolean not null default false;

create table time_code (
    user_id      uuid        not null primary key references app_user,
    secret       bytea       not null,
    confirmed_at timestamptz,
    last_step    bigint      not null
);

create table recovery_code (
    user_id uuid     not null references app_user,
    sha256  char(64) not null,
    used_at timestamptz,
    primary key (user_id, sha256)
);

-- As Spring Security's own passkey store expects them.
create table user_entities (
    id           varchar(1000) not null primary key,
    name         varchar(100)  not null unique,
    display_name varchar(200)
);

create table user_credentials (
    credential_id                varchar(1000) not null primary key,
    user_entity_user_id          varchar(1000) not null references user_entities,
    public_key                   bytea         not null,
    signature_count              bigint,
    uv_initialized               boolean,
    backup_eligible              boolean       not null,
    authenticator_transports     varchar(1000),
    public_key_credential_type   varchar(100),
    backup_state                 boolean       not null,
    attestation_object           bytea,
    attestation_client_data_json bytea,
    created                      timestamp,
    last_used                    timestamp,
    label                        varchar(1000) not null
);
create index user_credentials_of on user_credentials (user_entity_user_id);
