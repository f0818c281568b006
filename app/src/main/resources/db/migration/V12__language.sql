-- The language somebody chose to read in; none leaves it to their browser.
alter table app_user add column language varchar(8);

-- What a seat needed in the same car the last time.
create index fitting_same_car on fitting (point_id, seat_sheet, car, touched_at desc) where state = 'HANDED_OVER';
