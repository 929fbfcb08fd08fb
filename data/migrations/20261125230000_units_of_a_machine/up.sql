-- In which the figures of a machine are spoken of, for whoever wants them as the machine says.
alter table machine add column units text not null default 'metric' check (units in ('metric', 'inch'));
