-- What hands arrange for a contender that is no part of its setup's chain, and the times of day over which a trial is spread.
alter table trial_contender add column arranged_kind varchar(12);
alter table trial_contender add column arranged_value varchar(40);
alter table trial_plan add column spread varchar(60);
