-- The part of the day that the advice was for; null where it was for the time it was given at.
alter table followed_advice add column part varchar(20);
