-- What the lists are read by, so that they stay as quick as the log grows, with as few indexes as serve them: each is
-- written to by an import. Those that H2 made by itself for references go where one of ours begins with the same column.
alter table measurement drop constraint constraint_14;
alter table measurement drop constraint constraint_144;
drop index measurement_by_campsite;
drop index measurement_by_time;
-- with what is counted of a stay
create index measurement_by_campsite on measurement (campsite_id, taken_at, setup_id, outcome);
-- the latest first; with what stays follow from
create index measurement_by_time on measurement (taken_at desc, id desc, campsite_id);
create index measurement_by_setup on measurement (setup_id, taken_at);
alter table measurement add constraint measurement_campsite foreign key (campsite_id) references campsite (id);
alter table measurement add constraint measurement_setup foreign key (setup_id) references setup (id);

-- An import takes many numbers; fetched in small lots, each lot is a change of its own.
alter table measurement alter column id set cache 1000;

-- How much was measured during a stay with each setup.
create table stay_tally (
    stay_id bigint not null references stay (id) on delete cascade,
    setup_id bigint not null references setup (id),
    measured bigint not null,
    failed bigint not null,
    primary key (stay_id, setup_id)
);
insert into stay_tally
    select st.id, m.setup_id, count(*), sum(case when m.outcome = 'ok' then 0 else 1 end)
    from stay st join measurement m on m.campsite_id = st.campsite_id
        and m.taken_at >= st.arrived_at and (st.left_at is null or m.taken_at <= st.left_at)
    group by st.id, m.setup_id;

-- Between which moments the measurements of a trial lie; it may have fewer by now, or none.
create table known_trial (
    campsite_id bigint not null references campsite (id),
    name varchar(120) not null,
    first_at timestamp(9) with time zone not null,
    last_at timestamp(9) with time zone not null,
    primary key (campsite_id, name)
);
insert into known_trial
    select campsite_id, trial, min(taken_at), max(taken_at) from measurement where trial is not null
    group by campsite_id, trial;
