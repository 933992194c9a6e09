-- A retired setup is offered no more; what was measured with it stays.
alter table setup add column retired boolean default false not null;

-- Names that setups had before. Under its first name a setup's measurements are told apart for ever, so that a file from
-- before a renaming still adds nothing.
create table setup_former (
    name varchar(120) primary key,
    setup_id bigint not null references setup (id),
    first boolean not null
);
