-- How many of each kind are open is counted from the index alone: of a point's years the rows lie far apart.
drop index due_item_open;
create index due_item_open on due_item (point_id, earliest, fitting_id, what) include (person, hidden_until)
    where not done and not taken_over;
