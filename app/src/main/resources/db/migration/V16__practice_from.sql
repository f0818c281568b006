-- A version of a point's practice can be put in force from a day on; fittings keep the one they began with.
alter table practice_profile add column in_force_from date;
