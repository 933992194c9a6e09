-- Under which key a device sent a measurement, so that what is sent again after its answer was lost is stored once.
create table delivery (
    sent_key varchar(64) primary key,
    -- SHA-256 of what was sent
    print varchar(64) not null,
    measurement_id bigint not null,
    at timestamp(9) with time zone not null
);
create index delivery_at on delivery (at);
