-- Runs that a browser makes: under which name at the speed server, on whose SIM, and what its way to Syntoma's machine carries.
alter table speed_run add column browser_name varchar(36);
alter table speed_run add column own_sim boolean default false not null;
alter table speed_run add column leg_down_mbps double precision;
alter table speed_run add column leg_up_mbps double precision;
