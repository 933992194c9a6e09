-- Secrets are encrypted with a key beside the store, which makes them longer.
alter table router alter column password varchar(900);
alter table router alter column token varchar(900);
alter table speed_server alter column secret varchar(900);

-- Whether the address was set from this machine itself, and whether an address on the internet is meant.
alter table router add column set_here boolean default false not null;
alter table router add column public_allowed boolean default false not null;
alter table speed_server add column set_here boolean default false not null;
alter table speed_server add column public_allowed boolean default false not null;

-- What is set already goes on being used; an archive that is taken in says neither.
update router set set_here = true, public_allowed = true;
update speed_server set set_here = true, public_allowed = true;

-- The moment by which a stay is known, however its ends move: its number always means the stay around it. Null, as in an archive of
-- an earlier layout, is its arrival.
alter table stay add column anchor_at timestamp(9) with time zone;
update stay set anchor_at = arrived_at;

-- Numbers of stays that are part of another now; whoever asks for one gets the stay around its moment.
create table former_stay (
    id bigint primary key,
    campsite_id bigint not null references campsite (id) on delete cascade,
    anchor_at timestamp(9) with time zone not null
);
