create table nothing (id bigint primary key);
