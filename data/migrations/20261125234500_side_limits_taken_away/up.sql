-- A revision without either end: from then on nothing is asked of that quantity.
alter table side_limits drop constraint side_limits_check;
