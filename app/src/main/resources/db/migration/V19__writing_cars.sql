-- Vehicle sheets are written here too.
alter table sheet_work add column kind varchar(10) not null default 'SEAT' check (kind in ('SEAT', 'VEHICLE'));

-- What is known of a kept seat's past: how it came here, and that it was in no crash up to the day of its last count.
alter table stock_seat add column history varchar(20) check (history in ('OWNED_FROM_NEW', 'KNOWN_DONOR'));
alter table stock_seat add column no_crash boolean not null default false;
-- Since when it is lent: a sheet that came later is news to whoever has it.
alter table stock_seat add column lent_on date;
