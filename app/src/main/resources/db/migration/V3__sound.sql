-- Names made for an import that is not finished; one that was broken off takes back those that nothing refers to.
create table import_made (
    kind varchar(10) not null,
    name_id bigint not null,
    primary key (kind, name_id)
);

-- From when to when stays still have to follow an import; at most one row.
create table stay_due (
    id int primary key check (id = 1),
    from_at timestamp(9) with time zone not null,
    to_at timestamp(9) with time zone not null
);

create index stay_by_time on stay (arrived_at);
