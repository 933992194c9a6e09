-- What prices are in, as it stands behind them.
alter table rig add column currency varchar(8);
