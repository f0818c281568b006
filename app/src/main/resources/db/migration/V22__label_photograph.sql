-- The label of a kept seat as it was photographed: made small, with nothing in it but the picture.
alter table stock_seat add column label_photo bytea;
