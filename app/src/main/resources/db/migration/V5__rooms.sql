-- Measurements take their numbers from a sequence in lots of 1000; those that were deleted keep theirs.
alter table measurement alter column id drop identity;
create sequence measurement_seq start with (
    select greatest(coalesce((select max(id) from measurement), 0), coalesce((select max(id) from deleted_measurement), 0))
        + 1
) increment by 1000;

-- The sheet of a part as a revision was measured with it, where the piece on the shelf is another by now.
create table frozen_sheet (
    revision_id bigint not null references setup_revision (id),
    gear_id bigint not null references gear (id),
    sheet varchar(200000) not null,
    primary key (revision_id, gear_id)
);
