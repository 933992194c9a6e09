-- How tables kept by hand are read, known again by their headings.
create table import_mapping (
    headings varchar(64) primary key,
    mapping varchar(1000000) not null,
    kept_at timestamp(9) with time zone not null
);
