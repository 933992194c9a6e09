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

-- What a person edited, as it was after each change; 0 is as it was before the first that is kept here.
create table edit (
    kind varchar(10) not null,
    number bigint not null,
    version int not null,
    at timestamp(9) with time zone not null,
    content varchar(400000) not null,
    primary key (kind, number, version)
);

-- Numbers keep up to 40 digits.
alter table campsite alter column lat varchar(48);
alter table campsite alter column lon varchar(48);
alter table measurement alter column digits varchar(600);
alter table deleted_measurement alter column digits varchar(600);
