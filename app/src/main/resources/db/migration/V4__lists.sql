-- What the lists are read by, so that they stay as quick as the log grows. The indexes that H2 made by itself for the
-- references go where one of ours begins with the same column.
alter table measurement drop constraint constraint_14;
alter table measurement drop constraint constraint_144;
create index measurement_latest on measurement (taken_at desc, id desc);
create index measurement_by_trial on measurement (trial, campsite_id, taken_at);
create index measurement_by_setup on measurement (setup_id, taken_at);
alter table measurement add constraint measurement_campsite foreign key (campsite_id) references campsite (id);
alter table measurement add constraint measurement_setup foreign key (setup_id) references setup (id);

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
