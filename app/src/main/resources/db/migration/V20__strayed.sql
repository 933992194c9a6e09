-- A device may change its network while it is measured; what was heard is kept beside the run.
alter table speed_run add column other_carrier varchar(400);
