-- What waits in somebody's browser is sealed with this key of theirs; made when it is first asked for.
alter table app_user add column safe_key bytea;
