-- The most that the vehicle may be high while it drives, in m.
alter table rig add column limit_m double precision default 4 not null;
