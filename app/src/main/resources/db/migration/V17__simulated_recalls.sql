-- The recall service that pretends: what it published, and how it behaves. A real one keeps this itself.
create table simulated_recall (
    id uuid primary key,
    model varchar(200) not null,
    made_from date,
    made_to date,
    title varchar(200) not null,
    remedy varchar(400) not null,
    published_at timestamptz not null
);
create index simulated_recall_model on simulated_recall (lower(model));
-- Which carrier a fitting is about, to find it when a recall is published.
create index entry_label_model on entry (lower(document #>> '{fact,model}')) where document #>> '{fact,kind}' = 'labelRead';
-- What the recall service last said of a model: what comes due rests on it, so that no entry waits for the service.
create table recall_known (
    model varchar(200) primary key,
    notices jsonb not null,
    asked_at timestamptz not null
);
