-- How the house reads a stage unless somebody chooses otherwise: by number, or by hand where the kind can be.
alter table workshop add column read_first text not null default 'numbers'
  check (read_first in ('numbers', 'feel', 'paper', 'print', 'pins'));
